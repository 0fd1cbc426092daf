import { useEffect } from 'react';
import { createPortal } from 'react-dom';
import { PassageView } from '../../../show';
import type { Letter } from '../letterMaker';
import { passageOnPaper } from './writtenLetters';

/** Letters on their way to a printer, each on a page of its own, in one job; seen on paper alone. */
export function PrintedLetters({ letters, done }: { letters: readonly Letter[]; done: () => void }) {
  useEffect(() => {
    const root = document.documentElement;
    root.dataset.printing = 'letters';
    window.print();
    delete root.dataset.printing;
    done();
  }, [done]);
  return createPortal(
    <div className="letters-on-paper book">
      {letters.map((letter) => (
        <article key={letter.row.id}>
          <PassageView passage={passageOnPaper(letter)} nameOf={(field) => field} />
        </article>
      ))}
    </div>,
    document.body,
  );
}
