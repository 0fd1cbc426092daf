import { useState } from 'react';
import { createPortal } from 'react-dom';
import type { Speaker } from '#core/transcript';
import { Button } from '../../ui';

/** Prints the keys of a cast on a card, to stand beside the keyboard: the card alone is on the paper. */
export function CastCard({ cast }: { cast: readonly Speaker[] }) {
  const [isPrinting, setPrinting] = useState(false);
  const print = () => {
    setPrinting(true);
    const { documentElement: page } = document;
    page.dataset.printing = 'card';
    const over = () => {
      delete page.dataset.printing;
      setPrinting(false);
    };
    window.addEventListener('afterprint', over, { once: true });
    // Once the card is there.
    requestAnimationFrame(() => window.print());
  };
  const card = (
    <table className="cast-card">
      <tbody>
        {cast.map(({ id, key, name, initials, role }) => (
          <tr key={id}>
            <td className="cue">{key}</td>
            <td>{name}</td>
            <td>{initials}</td>
            <td>{role}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
  return (
    <>
      <Button look="text" onClick={print}>
        Print a card of the keys
      </Button>
      {isPrinting && createPortal(card, document.body)}
    </>
  );
}
