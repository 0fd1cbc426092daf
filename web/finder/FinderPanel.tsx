import { CueShown, NotAllSearched } from '../show';
import type { ResolvedCue } from '#core/cue';
import { useEffect, useId, useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import type { Entry } from '#contracts';
import { takeWhole, useBankIndex, useFoundAway } from '../api';
import { excerptOfEntry } from '#core/entry';
import { firstCue, type BankIndex } from '#core/bank';
import { useShell, type Action } from '../shell';
import { Key } from '../ui';

const SHOWN = 9;
/** So many of these at least, where some are found in collections that are not at hand. */
const SHOWN_AWAY = 4;
/** So many letters of something to do name it. */
const NAMED_FROM = 4;

const begins = (label: string, query: string) => label.toLowerCase().startsWith(query.trim().toLowerCase());

/** One line of the finder: wording from the bank, or something to do. */
interface Row {
  id: string;
  title: string;
  cue: ResolvedCue | null;
  detail: string;
  run: () => void;
}

function actionRows(actions: Action[], query: string): Row[] {
  const asked = query.trim().toLowerCase();
  const matching = actions.filter(({ label }) => label.toLowerCase().includes(asked));
  return matching.map(({ label, key, run }) => ({
    id: label,
    title: label,
    cue: null,
    detail: key ?? 'go',
    run,
  }));
}

function entryRows(
  index: BankIndex | null,
  query: string,
  away: readonly Entry[],
  choose: (id: string) => void,
): Row[] {
  if (!index) return [];
  const row = (entry: Entry, run: () => void): Row => ({
    id: entry.id,
    title: entry.content.title,
    cue: firstCue(entry, index.collections.get(entry.collection)),
    detail: excerptOfEntry(entry.content, 90),
    run,
  });
  // What is at hand is there at once, and stays where it is when the rest comes.
  const here = index.finder
    .find(query)
    .slice(0, away.length > 0 ? SHOWN - SHOWN_AWAY : SHOWN)
    .flatMap((id) => index.entries.get(id) ?? []);
  return [
    ...here.map((entry) => row(entry, () => choose(entry.id))),
    ...away.map((entry) => row(entry, () => void takeWhole(entry).then(() => choose(entry.id)))),
  ].slice(0, SHOWN);
}

/** The rows for what is asked: wording first when something is asked, then things to do. */
function useRows(query: string, close: () => void): { rows: Row[]; error: Error | null } {
  const index = useBankIndex();
  const away = useFoundAway(index, query);
  const navigate = useNavigate();
  const { screen, places } = useShell();
  const rows = useMemo(() => {
    const go = (to: string) => () => void navigate(to);
    const actions: Action[] = [
      ...screen.actions,
      ...places.map(({ label, to }) => ({ label, run: go(to) })),
      { label: 'New leaf', run: go('/?new=leaf') },
      { label: 'New case', run: go('/?new=case') },
    ];
    const choose = screen.place ?? ((id: string) => void navigate(`/bank/${id}`));
    const then = (row: Row): Row => ({
      ...row,
      run: () => {
        close();
        row.run();
      },
    });
    const found = entryRows(index, query, away.entries, choose);
    const doing = actionRows(actions, query);
    // What is asked for by its own first words comes first; the rest of what can be done comes last.
    const named = query.trim().length >= NAMED_FROM ? doing.filter(({ title }) => begins(title, query)) : [];
    const others = doing.filter((row) => !named.includes(row)).slice(0, query ? 4 : actions.length);
    return [...named, ...found, ...others].map(then);
  }, [index, query, away.entries, screen, places, navigate, close]);
  return { rows, error: away.error };
}

function Line({ row, current, id }: { row: Row; current: boolean; id: string }) {
  return (
    <li
      id={id}
      role="option"
      aria-selected={current}
      onMouseDown={(event) => event.preventDefault()}
      onClick={row.run}
      className={`cursor-pointer border-b border-hair px-2 py-1.5 last:border-0 ${current ? 'bg-flower' : ''}`}
    >
      <span className="flex items-baseline gap-2">
        <span className="min-w-0 truncate font-medium">{row.title}</span>
        <CueShown cue={row.cue} className="ml-auto shrink-0" />
      </span>
      <span className="line-clamp-1 text-[13px] text-soft">{row.detail}</span>
    </li>
  );
}

/** The finder, in the margin: any word of the bank, and anything there is to do here. */
export function FinderPanel() {
  const { setFinderOpen, screen } = useShell();
  const [query, setQuery] = useState('');
  const [at, setAt] = useState(0);
  const input = useRef<HTMLInputElement>(null);
  const close = useMemo(() => () => setFinderOpen(false), [setFinderOpen]);
  const { rows, error } = useRows(query, close);
  const list = useId();
  const index = useBankIndex();
  const readAs = useMemo(() => index?.finder.readAs(query) ?? [], [index, query]);
  const current = Math.min(at, rows.length - 1);
  useEffect(() => {
    // What had the keys gets them back when the finder closes without having gone anywhere.
    const before = document.activeElement as HTMLElement | null;
    const asked = input.current;
    asked?.focus();
    return () => {
      // Where what was chosen took the keys, they stay there.
      const active = document.activeElement;
      if (active === document.body || active === asked) before?.focus({ preventScroll: true });
    };
  }, []);
  const steer = (event: React.KeyboardEvent) => {
    if (event.key === 'ArrowDown') setAt(Math.min(current + 1, rows.length - 1));
    else if (event.key === 'ArrowUp') setAt(Math.max(current - 1, 0));
    else if (event.key === 'Enter' && !event.nativeEvent.isComposing) rows[current]?.run();
    else if (event.key === 'Escape') close();
    else return;
    event.preventDefault();
  };
  return (
    <section aria-label="Look-up" className="slip sticky top-4">
      <label className="eyebrow" htmlFor={`${list}-input`}>
        {screen.place ? 'Find wording to place' : 'Find wording'}, or something to do
      </label>
      <input
        ref={input}
        id={`${list}-input`}
        role="combobox"
        aria-expanded
        aria-controls={list}
        aria-activedescendant={rows[current] ? `${list}-${current}` : undefined}
        className="input text-[17px]"
        value={query}
        autoComplete="off"
        spellCheck={false}
        onKeyDown={steer}
        onChange={(event) => {
          setQuery(event.target.value);
          setAt(0);
        }}
      />
      <ul id={list} role="listbox" aria-label="Found" className="mt-2">
        {rows.map((row, index) => (
          <Line key={row.id} row={row} current={index === current} id={`${list}-${index}`} />
        ))}
      </ul>
      {readAs.length > 0 && rows.length > 0 && (
        <p role="status" className="pt-1.5 text-[13px] text-soft">
          {readAs.map(({ typed, as }) => `“${typed}” read as “${as}”`).join(', ')}
        </p>
      )}
      {error && <NotAllSearched error={error} />}
      {rows.length === 0 && <p className="py-2 text-soft">Nothing found. Try fewer or other words.</p>}
      <p className="mt-2 text-[13px] text-soft">
        <Key>Up</Key> <Key>Down</Key> choose, <Key>Enter</Key> {screen.place ? 'places' : 'opens'},{' '}
        <Key>Esc</Key> closes
      </p>
    </section>
  );
}
