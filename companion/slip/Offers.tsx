import { OFFER_LABELS } from '#core/glossary';
import type { OfferedRow } from '../messages';

const keepFocus = (event: React.MouseEvent) => event.preventDefault();

/** What is offered, beneath the caret; the keys stay with the page's box. */
export function Offers({ rows, take }: { rows: readonly OfferedRow[]; take: (at: number) => void }) {
  return (
    <ul className="offers" aria-label="Offers" aria-live="polite">
      {rows.map(({ id, title, cue }, at) => (
        <li key={id}>
          <button type="button" tabIndex={-1} onMouseDown={keepFocus} onClick={() => take(at)}>
            <kbd>Alt + {OFFER_LABELS[at]}</kbd>
            <b>{title}</b>
            {cue && <code className="cue">{cue}</code>}
          </button>
        </li>
      ))}
    </ul>
  );
}
