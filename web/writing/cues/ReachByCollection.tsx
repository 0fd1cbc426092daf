import { useMemo, useState } from 'react';
import type { Entry } from '#contracts';
import type { BankIndex, Reach } from '#core/bank';
import { ReachEntry } from './ReachEntry';

/** Of a collection so many are drawn; the look-up finds the others. */
const DRAWN = 200;

/** The entries in reach by their collections, which are in order of their names. */
function byCollection(entries: readonly Entry[], { collections }: BankIndex) {
  const all = new Map<string, Entry[]>();
  for (const entry of entries) all.set(entry.collection, [...(all.get(entry.collection) ?? []), entry]);
  return [...all]
    .map(([id, its]) => ({ id, name: collections.get(id)?.name ?? '', its }))
    .sort((a, b) => a.name.localeCompare(b.name));
}

interface Props {
  index: BankIndex;
  reach: Reach;
  place: (entry: string) => void;
}

/** All wording in reach, walked by the mouse: its collections, each opened where it stands. */
export function ReachByCollection({ index, reach, place }: Props) {
  const [open, setOpen] = useState<string | null>(null);
  const collections = useMemo(() => byCollection(reach.entries, index), [reach, index]);
  return (
    <ul aria-label="By collection">
      {collections.map(({ id, name, its }) => (
        <li key={id}>
          <button
            type="button"
            aria-expanded={open === id}
            onMouseDown={(event) => event.preventDefault()}
            onClick={() => setOpen(open === id ? null : id)}
            className="flex w-full items-baseline gap-2 border-b border-hair py-1 text-left text-[14px] hover:text-elder"
          >
            <span aria-hidden className="w-3 text-soft">
              {open === id ? '–' : '+'}
            </span>
            <span className="min-w-0 truncate">{name}</span>
            <span className="ml-auto shrink-0 text-[12.5px] text-soft">{its.length.toLocaleString()}</span>
          </button>
          {open === id && (
            <ul aria-label={name} className="pl-3">
              {its.slice(0, DRAWN).map((entry) => (
                <ReachEntry key={entry.id} entry={entry} index={index} place={place} />
              ))}
              {its.length > DRAWN && (
                <li className="py-1 text-[13px] text-soft">
                  The first {DRAWN.toLocaleString()} of {its.length.toLocaleString()}; F2 finds the others.
                </li>
              )}
            </ul>
          )}
        </li>
      ))}
    </ul>
  );
}
