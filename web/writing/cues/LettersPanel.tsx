import type { BankIndex } from '#core/bank';
import { Key } from '../../ui';
import type { Begun } from './keyCues';

/** After a key that begins key cues: which letter brings what. */
export function LettersPanel({ begun, index }: { begun: Begun; index: BankIndex | null }) {
  return (
    <section aria-label="What each letter brings" role="status">
      <h2 className="section-head">
        <Key>{begun.keys}</Key>, then a letter
      </h2>
      <ul className="mt-1">
        {begun.letters.map(({ letter, entry }) => (
          <li key={letter} className="grid grid-cols-[1.6rem_1fr] gap-2 border-b border-hair py-1">
            <span className="cue">{letter}</span>
            <span className="truncate text-[14px]">{index?.entries.get(entry)?.content.title}</span>
          </li>
        ))}
      </ul>
      <p className="mt-1 text-[12.5px] text-soft">
        <Key>Esc</Key> leaves.
      </p>
    </section>
  );
}
