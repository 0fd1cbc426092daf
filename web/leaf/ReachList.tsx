import { useState } from 'react';
import { Link } from 'react-router';
import { excerpt } from '#core/passage';
import { typedCue, type BankIndex } from '../bank/bankIndex';
import type { Reach } from '../bank/reach';
import { Button, Key } from '../ui';

const SHOWN = 12;

interface Props {
  index: BankIndex | null;
  reach: Reach | null;
  place: (entry: string) => void;
}

/** While the caret is in nothing in particular: what can be brought here, each with its cue. */
export function ReachList({ index, reach, place }: Props) {
  const [all, setAll] = useState(false);
  if (!index || !reach) return null;
  if (reach.entries.length === 0) {
    return (
      <p className="text-[14px] text-soft">
        No wording is in reach here yet. Write a sentence worth keeping, select it and press <Key>F4</Key>, or{' '}
        <Link to="/bank/new" className="text-elder underline">
          write an entry
        </Link>
        .
      </p>
    );
  }
  const shown = all ? reach.entries : reach.entries.slice(0, SHOWN);
  return (
    <section aria-label="Wording in reach">
      <h2 className="eyebrow">Type a cue, and its wording stands here</h2>
      <ul className="mt-1">
        {shown.map((entry) => (
          <li key={entry.id} className="border-b border-hair">
            <button
              type="button"
              tabIndex={-1}
              title={excerpt(entry.content.wordings[0]!.parts[0]!.passage, 200)}
              onMouseDown={(event) => event.preventDefault()}
              onClick={() => place(entry.id)}
              className="grid w-full grid-cols-[4.5rem_1fr] items-baseline gap-3 py-1 text-left hover:text-elder"
            >
              <span className="cue truncate">
                {typedCue(entry, index.collections.get(entry.collection)) ?? ''}
              </span>
              <span className="truncate text-[14px]">{entry.content.title}</span>
            </button>
          </li>
        ))}
      </ul>
      {reach.entries.length > SHOWN && !all && (
        <Button look="text" className="mt-1 text-[13px]" onClick={() => setAll(true)}>
          All {reach.entries.length}
        </Button>
      )}
      <p className="mt-2 text-[13px] text-soft">
        <Key>F2</Key> finds any of it by its words. <Key>F4</Key> keeps words you select.
      </p>
    </section>
  );
}
