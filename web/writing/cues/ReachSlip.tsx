import { useEffect, useRef, useState } from 'react';
import type { Glossary } from '#contracts';
import {
  broughtTogether,
  folded,
  isInReach,
  switchedIn,
  switchedTo,
  type Preferences,
  type ReachSet,
} from '#core/glossary';
import { renewCollection, usePreferences } from '../../api';
import { inWords } from '#client/api';
import type { BankIndex } from '#core/bank';
import { useSavePreferences } from '../../offers';
import { Key, Notice } from '../../ui';
import { ReachSets } from './ReachSets';

const SHOWN = 60;
const NONE: ReadonlySet<string> = new Set();

interface Props {
  kind: string;
  index: BankIndex | null;
  glossaries: readonly Glossary[];
  close: () => void;
}

/**
 * A change that switches a list the other way than it is on this page, once that is known: what another window saved
 * meanwhile does not turn it round.
 */
function turning(list: Parameters<typeof switchedTo>[1], kind: string) {
  let isWanted: boolean | undefined;
  return (before: Preferences): Preferences => {
    isWanted ??= !isInReach(list, kind, before.reach[kind]);
    return switchedTo(before, list, kind, isWanted);
  };
}

const rowId = (row: { id: string } | { name: string; lists: readonly string[] }): string =>
  'lists' in row ? `reach-set-${row.name.replace(/\s+/g, '-')}` : `reach-${row.id}`;

interface RowProps {
  id: string;
  name: string;
  told: string;
  isIn: boolean;
  isCurrent: boolean;
  flip: () => void;
}

/** A list or a set of them that Enter or a click switches. */
const ReachRow = ({ id, name, told, isIn, isCurrent, flip }: RowProps) => (
  <li
    id={id}
    role="option"
    aria-selected={isIn}
    className={`flex cursor-pointer items-baseline gap-2 border-b border-hair px-1 py-1 ${isCurrent ? 'bg-flower' : ''}`}
    onMouseDown={(event) => event.preventDefault()}
    onClick={flip}
  >
    <span aria-hidden className="w-4 text-leaf">
      {isIn ? '✓' : ''}
    </span>
    <span className={`min-w-0 truncate ${isIn ? '' : 'text-soft'}`}>{name}</span>
    <span className="ml-auto shrink-0 text-[12px] text-soft">{told}</span>
  </li>
);

/** What there is to switch for what is typed, and what of it is in reach for a kind of work; and the switch itself. */
function useReachRows({ kind, index, glossaries }: Omit<Props, 'close'>, query: string) {
  const preferences = usePreferences();
  const save = useSavePreferences();
  const asked = folded(query.trim());
  const isAsked = ({ name }: { name: string }) => folded(name).includes(asked);
  // Of these no cue fires until they are switched in by name.
  const away = index?.away ?? NONE;
  const everything = [
    ...(index?.bank.collections ?? []).map((list) => ({
      ...list,
      what: list.leadIn ? `cues begin with ${list.leadIn}` : 'wording',
    })),
    ...glossaries.map((list) => ({ ...list, what: 'glossary' })),
  ];
  const allSets = preferences.data?.reachSets ?? [];
  const named = everything.filter(isAsked);
  const lists = named.slice(0, SHOWN);
  const sets = allSets.filter(isAsked);
  // Until it is known what was switched, no row says that it is in.
  const isIn = (list: (typeof everything)[number]): boolean =>
    !away.has(list.id) && !!preferences.data && isInReach(list, kind, preferences.data.reach[kind]);
  const flip = (row: ReachSet | (typeof everything)[number]) => {
    if ('lists' in row) return save.mutate((before) => broughtTogether(before, row, everything, kind));
    if (!away.has(row.id)) return save.mutate(turning(row, kind));
    // Asked for by name, it is at hand from now on, here and wherever one signs in.
    save.mutate((before) => switchedIn(before, row, kind));
    void renewCollection(row.id);
  };
  return {
    ...{ lists, sets, allSets, isIn, flip, away },
    rows: [...sets, ...lists],
    more: named.length - lists.length,
    inReach: everything.filter(isIn).map(({ id }) => id),
    change: (now: (before: Preferences) => Preferences, done?: () => void) =>
      save.mutate(now, { onSuccess: done }),
    problem: save.error ?? preferences.error,
  };
}

/** Sets and lists as they are found, the one that Enter switches marked. */
const ReachRows = ({ found, current }: { found: ReturnType<typeof useReachRows>; current: number }) => {
  const { sets, lists, away, isIn, flip } = found;
  return (
    <ul
      id="reach-lists"
      role="listbox"
      aria-label="Collections and glossaries"
      aria-multiselectable
      className="mt-1"
    >
      {sets.map((set, place) => (
        <ReachRow
          key={set.name}
          id={rowId(set)}
          name={set.name}
          told={`set of ${set.lists.length}`}
          isIn={false}
          isCurrent={place === current}
          flip={() => flip(set)}
        />
      ))}
      {lists.map((list, place) => (
        <ReachRow
          key={list.id}
          id={rowId(list)}
          name={list.name}
          told={away.has(list.id) ? 'not loaded' : list.what}
          isIn={isIn(list)}
          isCurrent={sets.length + place === current}
          flip={() => flip(list)}
        />
      ))}
    </ul>
  );
};

/** What is in reach for this kind of work, switched by typing a few letters and Enter; remembered for such work. */
export function ReachSlip({ kind, index, glossaries, close }: Props) {
  const [query, setQuery] = useState('');
  const [at, setAt] = useState(0);
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => field.current?.focus(), []);
  const found = useReachRows({ kind, index, glossaries }, query);
  const { rows, flip, more, problem } = found;
  const current = Math.min(at, rows.length - 1);
  const press = (event: React.KeyboardEvent) => {
    if (event.key === 'Escape') close();
    // The form beneath has its own keys.
    if (event.target !== field.current) return;
    const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    if (step !== 0 && rows.length > 0) setAt((current + step + rows.length) % rows.length);
    const row = rows[current];
    if (event.key === 'Enter' && row) flip(row);
    if (step !== 0 || event.key === 'Enter') event.preventDefault();
  };
  return (
    <section aria-label="In reach" className="slip" onKeyDown={press}>
      <label className="eyebrow block">
        In reach here
        <input
          ref={field}
          className="input font-normal text-ink"
          value={query}
          placeholder="Type to find a collection or glossary"
          autoComplete="off"
          aria-controls="reach-lists"
          aria-activedescendant={rows[current] && rowId(rows[current])}
          role="combobox"
          aria-expanded
          onChange={({ target }) => {
            setQuery(target.value);
            setAt(0);
          }}
        />
      </label>
      <ReachRows found={found} current={current} />
      {more > 0 && (
        <p className="mt-1 text-[12.5px] text-soft">
          {more.toLocaleString()} more: type a few letters of one.
        </p>
      )}
      <ReachSets sets={found.allSets} inReach={found.inReach} change={found.change} />
      {problem && <Notice tone="warning" title={inWords(problem)} />}
      <p className="mt-2 text-[12.5px] text-soft">
        <Key>Enter</Key> switches it in or out, or brings a set; <Key>Esc</Key> leaves. Remembered for this
        kind of work.
      </p>
    </section>
  );
}
