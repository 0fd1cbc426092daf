import { useEffect, useRef, useState } from 'react';
import { ask, type FoundEntry, type ListedCollection } from '../messages';

interface Props {
  take: (entry: FoundEntry, keys: number) => void;
  close: () => void;
}

type Row = { collection: ListedCollection } | { entry: FoundEntry };

/** What is walked: the collections within one, then its entries. */
const rowsWithin = (all: readonly ListedCollection[], within: string | null): Row[] => [
  ...all.filter(({ parent }) => parent === within).map((collection) => ({ collection })),
  ...(all.find(({ id }) => id === within)?.entries ?? []).map((entry) => ({ entry })),
];

const sizeOf = (all: readonly ListedCollection[], { id, entries }: ListedCollection): number =>
  all.filter(({ parent }) => parent === id).reduce((sum, one) => sum + sizeOf(all, one), entries.length);

/** The bank beside a box: looked through by words, or walked from collection to collection. */
export function FindSlip({ take, close }: Props) {
  const [words, setWords] = useState('');
  const [found, setFound] = useState<FoundEntry[]>([]);
  const [list, setList] = useState<ListedCollection[] | null>(null);
  const [within, setWithin] = useState<string | null>(null);
  const [at, setAt] = useState(0);
  const line = useRef<HTMLInputElement>(null);
  const rowsShown = useRef<HTMLUListElement>(null);
  const pressed = useRef(3);
  useEffect(() => {
    line.current?.focus({ preventScroll: true });
    void ask('list', {}).then((all) => setList(all ?? []));
  }, []);
  useEffect(() => {
    let isWanted = true;
    if (words.trim() === '') setFound([]);
    else
      void ask('find', { words }).then((all) => {
        if (isWanted) setFound(all ?? []);
      });
    return () => {
      isWanted = false;
    };
  }, [words]);
  const isWalked = words.trim() === '';
  const rows: Row[] = isWalked ? rowsWithin(list ?? [], within) : found.map((entry) => ({ entry }));
  const here = list?.find(({ id }) => id === within) ?? null;
  const open = (row: Row | undefined) => {
    if (!row) return;
    if ('entry' in row) return take(row.entry, pressed.current);
    setWithin(row.collection.id);
    setAt(0);
  };
  const out = () => {
    const back = rowsWithin(list ?? [], here?.parent ?? null);
    setWithin(here?.parent ?? null);
    setAt(
      Math.max(
        0,
        back.findIndex((row) => 'collection' in row && row.collection.id === within),
      ),
    );
  };
  useEffect(() => {
    rowsShown.current?.children[at]?.scrollIntoView({ block: 'nearest' });
  }, [at]);
  const keys = (event: React.KeyboardEvent) => {
    if (!['Shift', 'Control', 'Alt', 'Meta'].includes(event.key)) pressed.current += 1;
    if (event.nativeEvent.isComposing) return;
    const atStart = isWalked && within !== null;
    if (event.key === 'Escape') close();
    else if (event.key === 'ArrowDown') setAt(Math.min(at + 1, rows.length - 1));
    else if (event.key === 'ArrowUp') setAt(Math.max(at - 1, 0));
    else if (event.key === 'Enter' || (event.key === 'ArrowRight' && isWalked)) open(rows[at]);
    else if (atStart && (event.key === 'ArrowLeft' || event.key === 'Backspace')) out();
    else return;
    event.preventDefault();
  };
  return (
    <div role="dialog" aria-label="Look up" onKeyDown={keys}>
      <header>
        <h2>{here ? here.name : 'Look up'}</h2>
        {here && (
          <button
            type="button"
            className="text"
            onMouseDown={(event) => event.preventDefault()}
            onClick={out}
          >
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
        onChange={(event) => {
          setWords(event.target.value);
          setAt(0);
        }}
      />
      <ul
        ref={rowsShown}
        id="rows"
        role="listbox"
        aria-label={isWalked ? 'The bank' : 'Found'}
        className="rows"
      >
        {rows.map((row, number) => (
          <li
            key={'entry' in row ? row.entry.id : row.collection.id}
            id={`row-${number}`}
            role="option"
            aria-selected={number === at}
            onMouseDown={(event) => event.preventDefault()}
            onClick={() => open(row)}
          >
            {'entry' in row ? (
              <>
                <b>{row.entry.title}</b>
                {row.entry.cue && <code className="cue">{row.entry.cue}</code>}
                <span className="help">{row.entry.words}</span>
              </>
            ) : (
              <>
                <b>{row.collection.name}</b>
                <span className="help">{sizeOf(list ?? [], row.collection)} entries</span>
              </>
            )}
          </li>
        ))}
      </ul>
      {list !== null && rows.length === 0 && (
        <p className="help">
          {isWalked ? 'This collection has no entries yet.' : 'No entry has these words. Try fewer of them.'}
        </p>
      )}
      <footer>
        <span>
          <kbd>↑</kbd> <kbd>↓</kbd> <kbd>Enter</kbd>
        </span>
        <button type="button" onMouseDown={(event) => event.preventDefault()} onClick={close}>
          Close <kbd>Esc</kbd>
        </button>
      </footer>
    </div>
  );
}
