import type { Entry } from '#contracts';
import { useId, useMemo, useState } from 'react';
import { entryIn, type BankIndex } from '#core/bank';
import { takeWhole, useFoundAway } from '../api';

interface Props {
  label: string;
  index: BankIndex;
  /** The entry that is picked; null for none yet. */
  value: string | null;
  pick: (entry: string) => void;
  /** An entry that is not offered: what it is picked for. */
  except?: string | null;
  autoFocus?: boolean;
}

const SHOWN = 8;

interface FoundProps {
  id: string;
  index: BankIndex;
  found: readonly Entry[];
  at: number;
  choose: (at: number) => void;
}

/** What was found, beneath the line. */
const Found = ({ id, index, found, at, choose }: FoundProps) => (
  <ul
    id={`${id}-list`}
    role="listbox"
    aria-label="Entries found"
    className="absolute z-10 w-full border border-rule bg-paper shadow-sm"
  >
    {found.map((entry, place) => (
      <li
        key={entry.id}
        id={`${id}-${place}`}
        role="option"
        aria-selected={place === at}
        className={`cursor-pointer px-2 py-1 text-[14px] ${place === at ? 'bg-flower' : ''}`}
        onMouseDown={(event) => {
          event.preventDefault();
          choose(place);
        }}
      >
        {entry.content.title}
        {/* Of two that are called the same it is told which is which. */}
        {found.some((other) => other !== entry && other.content.title === entry.content.title) && (
          <span className="ml-2 text-[12.5px] text-soft">
            {index.collections.get(entry.collection)?.name}
          </span>
        )}
      </li>
    ))}
  </ul>
);

/** Picks an entry of the bank by words of it: a line to type in, and beneath it what is found. */
export function EntryPick({ label, index, value, pick, except = null, autoFocus = false }: Props) {
  const id = useId();
  const [words, setWords] = useState<string | null>(null);
  const [at, setAt] = useState(0);
  const away = useFoundAway(index, words ?? '');
  const title =
    value === null ? '' : (entryIn(index, value)?.content.title ?? 'an entry that is not here any more');
  const found = useMemo(() => {
    if (words === null || words.trim() === '') return [];
    const here = index.finder.find(words).flatMap((one) => index.entries.get(one) ?? []);
    const all = [...here.slice(0, SHOWN), ...away.entries];
    return all.filter((entry) => entry.id !== except).slice(0, SHOWN);
  }, [words, index, away, except]);
  const choose = (chosen: number) => {
    const entry = found[chosen];
    if (!entry) return;
    setWords(null);
    void takeWhole(entry).then(() => pick(entry.id));
  };
  return (
    <div className="relative min-w-56 grow">
      <input
        role="combobox"
        aria-label={label}
        aria-expanded={found.length > 0}
        aria-controls={`${id}-list`}
        aria-activedescendant={found.length > 0 ? `${id}-${at}` : undefined}
        autoComplete="off"
        autoFocus={autoFocus}
        placeholder="Look up an entry"
        className="input"
        value={words ?? title}
        onFocus={({ target }) => target.select()}
        onChange={({ target }) => {
          setWords(target.value);
          setAt(0);
        }}
        onBlur={() => setWords(null)}
        onKeyDown={(event) => {
          if (event.nativeEvent.isComposing) return;
          if (event.key === 'ArrowDown') setAt(Math.min(at + 1, found.length - 1));
          else if (event.key === 'ArrowUp') setAt(Math.max(at - 1, 0));
          else if (event.key === 'Enter') choose(at);
          else if (event.key === 'Escape' && words !== null) setWords(null);
          else return;
          event.preventDefault();
          event.stopPropagation();
        }}
      />
      {found.length > 0 && <Found {...{ id, index, found, at, choose }} />}
      {words !== null && words.trim() !== '' && found.length === 0 && (
        <p
          role="status"
          className="absolute z-10 w-full border border-rule bg-paper px-2 py-1 text-[13.5px] text-soft"
        >
          No entry has these words.
        </p>
      )}
    </div>
  );
}
