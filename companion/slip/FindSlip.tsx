import { useEffect, useRef, useState } from 'react';
import { usePresses } from './usePresses';
import { ask, type FoundEntry, type ListedCollection } from '../messages';

interface Props {
  take: (entry: FoundEntry, keys: number) => void;
  close: () => void;
}

/** The keys that open the look-up, as they are counted. */
const KEYS_TO_OPEN = 3;

type Row = { collection: ListedCollection } | { entry: FoundEntry };

/** What is walked: the collections within one, then its entries. */
const rowsWithin = (all: readonly ListedCollection[], within: string | null): Row[] => [
  ...all.filter(({ parent }) => parent === within).map((collection) => ({ collection })),
  ...(all.find(({ id }) => id === within)?.entries ?? []).map((entry) => ({ entry })),
];

const sizeOf = (all: readonly ListedCollection[], { id, entries }: ListedCollection): number =>
  all.filter(({ parent }) => parent === id).reduce((sum, one) => sum + sizeOf(all, one), entries.length);

/** What is looked for and walked through: the rows there are, and the one that is chosen. */
function useWalking(take: Props['take']) {
  const [words, setWords] = useState('');
  const [found, setFound] = useState<{ of: string; entries: readonly FoundEntry[] }>({ of: '', entries: [] });
  const [list, setList] = useState<ListedCollection[] | null>(null);
  const [within, setWithin] = useState<string | null>(null);
  const [at, setAt] = useState(0);
  const { count: countPress, soFar } = usePresses(KEYS_TO_OPEN);
  /** Enter came before what these words find: the first of it is taken once it is there. */
  const isAwaited = useRef(false);
  const latest = useRef(take);
  useEffect(() => {
    latest.current = take;
  });
  useEffect(() => void ask('list', {}).then((all) => setList(all ?? [])), []);
  useEffect(() => {
    let isWanted = true;
    const looked = words.trim() === '' ? Promise.resolve([]) : ask('find', { words });
    void looked.then((all) => {
      if (!isWanted) return;
      const entries = all ?? [];
      setFound({ of: words, entries });
      if (isAwaited.current && entries[0]) latest.current(entries[0], soFar());
      isAwaited.current = false;
    });
    return () => {
      isWanted = false;
    };
  }, [words, soFar]);
  const isWalked = words.trim() === '';
  // What was found for the words before stands until what these find is there; only a click takes it.
  const isThere = isWalked || found.of === words;
  const rows: Row[] = isWalked ? rowsWithin(list ?? [], within) : found.entries.map((entry) => ({ entry }));
  const here = list?.find(({ id }) => id === within) ?? null;
  const open = (row: Row | undefined) => {
    if (!row) return;
    if ('entry' in row) return take(row.entry, soFar());
    setWithin(row.collection.id);
    setAt(0);
  };
  return {
    ...{ words, list, rows, here, at, isWalked, countPress },
    look: (next: string) => {
      setWords(next);
      setAt(0);
      isAwaited.current = false;
    },
    move: (by: number) => isThere && setAt(Math.max(0, Math.min(at + by, rows.length - 1))),
    open,
    /** Opens what is chosen, once it is known what that is. */
    openChosen: () => {
      if (isThere) open(rows[at]);
      else isAwaited.current = true;
    },
    /** Out of the collection that is walked, to where it stands among those around it. */
    out: () => {
      const back = rowsWithin(list ?? [], here?.parent ?? null);
      setWithin(here?.parent ?? null);
      setAt(
        Math.max(
          0,
          back.findIndex((row) => 'collection' in row && row.collection.id === within),
        ),
      );
    },
  };
}
type Walking = ReturnType<typeof useWalking>;

/** What a key does in the look-up; false for one that is the line's own. */
function keyInFind(event: React.KeyboardEvent, walking: Walking, close: () => void): boolean {
  const { isWalked, here } = walking;
  if (event.key === 'Escape') close();
  else if (event.key === 'ArrowDown') walking.move(1);
  else if (event.key === 'ArrowUp') walking.move(-1);
  else if (event.key === 'Enter' || (event.key === 'ArrowRight' && isWalked)) walking.openChosen();
  else if (isWalked && here && (event.key === 'ArrowLeft' || event.key === 'Backspace')) walking.out();
  else return false;
  return true;
}

const keepFocus = (event: React.MouseEvent) => event.preventDefault();

function Rows({ walking }: { walking: Walking }) {
  const { rows, at, isWalked, list, open } = walking;
  const shown = useRef<HTMLUListElement>(null);
  useEffect(() => {
    shown.current?.children[at]?.scrollIntoView({ block: 'nearest' });
  }, [at]);
  return (
    <ul ref={shown} id="rows" role="listbox" aria-label={isWalked ? 'The bank' : 'Found'} className="rows">
      {rows.map((row, number) => (
        <li
          key={'entry' in row ? row.entry.id : row.collection.id}
          id={`row-${number}`}
          role="option"
          aria-selected={number === at}
          onMouseDown={keepFocus}
          onClick={() => open(row)}
        >
          <b>{'entry' in row ? row.entry.title : row.collection.name}</b>
          {'entry' in row && row.entry.cue && <code className="cue">{row.entry.cue}</code>}
          <span className="help">
            {'entry' in row ? row.entry.words : `${sizeOf(list ?? [], row.collection)} entries`}
          </span>
        </li>
      ))}
    </ul>
  );
}

/** The bank beside a box: looked through by words, or walked from collection to collection. */
export function FindSlip({ take, close }: Props) {
  const walking = useWalking(take);
  const { words, rows, here, at, list, isWalked, countPress } = walking;
  const line = useRef<HTMLInputElement>(null);
  useEffect(() => line.current?.focus({ preventScroll: true }), []);
  const keys = (event: React.KeyboardEvent) => {
    countPress(event);
    if (!event.nativeEvent.isComposing && keyInFind(event, walking, close)) event.preventDefault();
  };
  return (
    <div role="dialog" aria-label="Look up" onKeyDown={keys}>
      <header>
        <h2>{here ? here.name : 'Look up'}</h2>
        {here && (
          <button type="button" className="text" onMouseDown={keepFocus} onClick={walking.out}>
            Back <kbd>←</kbd>
          </button>
        )}
      </header>
      <input
        ref={line}
        className="line"
        role="combobox"
        aria-expanded={rows.length > 0}
        aria-controls="rows"
        aria-activedescendant={rows.length > 0 ? `row-${at}` : undefined}
        aria-label="Words to look for"
        placeholder="words, a title or a cue"
        value={words}
        onChange={(event) => walking.look(event.target.value)}
      />
      <Rows walking={walking} />
      {list !== null && rows.length === 0 && (
        <p className="help">
          {isWalked ? 'This collection has no entries yet.' : 'No entry has these words. Try fewer of them.'}
        </p>
      )}
      <footer>
        <span>
          <kbd>↑</kbd> <kbd>↓</kbd> <kbd>Enter</kbd>
        </span>
        <button type="button" onMouseDown={keepFocus} onClick={close}>
          Close <kbd>Esc</kbd>
        </button>
      </footer>
    </div>
  );
}
