import { useWindowVirtualizer, type VirtualItem } from '@tanstack/react-virtual';
import { useCallback, useEffect, useRef, useState, useSyncExternalStore } from 'react';
import { Link } from 'react-router';
import type { Entry } from '#contracts';
import { renewCollection, takeEntries } from '../api';
import { Button } from '../ui';
import type { BankIndex } from '#core/bank';
import { holdsOthers } from '#core/fill';
import type { SheetLook } from './look';
import { RowEditor } from './RowEditor';
import { SheetRow } from './SheetRow';
import { useKeptPlace } from './useKeptPlace';
import type { Selecting } from './useSelecting';
import type { SheetLine } from './useSheetLines';

const HEAD_PX = 58;
const ROW_PX = 90;
/** So many lines are drawn beyond what is seen: the next ones for Tab, and for a quick turn of the wheel. */
const BEYOND = 8;
/** What is passed by in scrolling is not asked for. */
const REST_MS = 120;

interface Props {
  lines: readonly SheetLine[];
  selecting: Selecting;
  look: SheetLook;
  /** How often entries were placed, by id. */
  times: Readonly<Record<string, number>>;
  due: ReadonlySet<string>;
  index: BankIndex;
}

const PRINT = matchMedia('print');

/** Whether the page is being printed: then all of it is wanted, not what is seen. */
function usePrinting(): boolean {
  return useSyncExternalStore(
    (told) => {
      PRINT.addEventListener('change', told);
      return () => PRINT.removeEventListener('change', told);
    },
    () => PRINT.matches,
  );
}

/** How a line is measured once it is drawn. */
interface Measured {
  ref: (element: Element | null) => void;
  'data-index': number;
}

function Head({
  line: { collection, entries, count },
  selecting,
  ...measured
}: {
  line: SheetLine & { kind: 'head' };
  selecting: Selecting;
} & Measured) {
  return (
    <div {...measured}>
      <h2 className="flex items-baseline gap-3 border-b border-hair px-9 pt-5 pb-1.5 max-[899px]:px-4">
        <span className="font-book text-[19px]">{collection.name}</span>
        {selecting.ids && entries.length > 0 && (
          <Button
            look="text"
            className="text-[13px]"
            onClick={() => selecting.add(entries.map(({ id }) => id))}
          >
            Select all
          </Button>
        )}
        <span className="text-[12.5px] text-soft">
          {count === 1 ? '1 entry' : `${count.toLocaleString()} entries`}
          {collection.leadIn && (
            <>
              , cues begin with <span className="cue">{collection.leadIn}</span>
            </>
          )}
        </span>
        <Link
          to={`/collections/${collection.id}`}
          aria-label={`Settings of ${collection.name}`}
          className="ml-auto text-[13px] text-elder underline"
        >
          Settings
        </Link>
      </h2>
      {count === 0 && <p className="px-9 py-4 text-soft">No entries here yet.</p>}
    </div>
  );
}

interface Drawn {
  line: SheetLine;
  at: number;
}

/** About how long a line is, in px, until it has been drawn. */
function lengthOf(line: SheetLine): number {
  if (line.kind === 'head') return HEAD_PX;
  return line.kind === 'waiting' ? line.count * ROW_PX : ROW_PX;
}

/** What a line is known by, so that its length is remembered wherever it comes to stand. */
const keyOf = (line: SheetLine) =>
  line.kind === 'entry' ? line.entry.id : `${line.kind} ${line.collection.id}`;

/** Lines that follow each other, by their collections. */
function sectionsOf(drawn: readonly Drawn[]): Drawn[][] {
  const sections: Drawn[][] = [];
  for (const one of drawn) {
    const last = sections.at(-1);
    if (last?.[0]!.line.collection === one.line.collection) last.push(one);
    else sections.push([one]);
  }
  return sections;
}

/** Entries that come to be seen are asked for, where they are not at hand. */
function useBroughtToHand(drawn: readonly Drawn[]): void {
  const seen = new Set(drawn.flatMap(({ line }) => (line.kind === 'waiting' ? [line.collection.id] : [])));
  const key = [...seen].join(' ');
  useEffect(() => {
    if (key === '') return undefined;
    const rest = setTimeout(() => {
      for (const id of key.split(' ')) void renewCollection(id);
    }, REST_MS);
    return () => clearTimeout(rest);
  }, [key]);
}

/** Entries that are not at hand yet: how many will stand there. */
function Waiting({ line, ...measured }: { line: SheetLine & { kind: 'waiting' } } & Measured) {
  return (
    <li {...measured} className="sheet-row px-9" style={{ height: lengthOf(line) }}>
      <span className="appear-late sticky top-0 block py-6 text-soft">
        Loading {line.count.toLocaleString()} entries …
      </span>
    </li>
  );
}

/** The lines that are drawn: those that are seen and some beyond, measured as they are; in print all of them. */
function useDrawn(lines: readonly SheetLine[], { ids }: Selecting) {
  const list = useRef<HTMLDivElement>(null);
  const [top, setTop] = useState(0);
  useEffect(() => setTop((list.current?.getBoundingClientRect().top ?? 0) + window.scrollY), [ids]);
  const isPrinting = usePrinting();
  const measuredNow = useRef<() => VirtualItem[]>(() => []);
  const place = useKeptPlace(() => measuredNow.current());
  const virtual = useWindowVirtualizer({
    initialOffset: place?.scrolled,
    initialMeasurementsCache: place?.lengths,
    count: lines.length,
    estimateSize: (at) => lengthOf(lines[at]!),
    getItemKey: (at) => keyOf(lines[at]!),
    overscan: BEYOND,
    scrollMargin: top,
  });
  useEffect(() => {
    measuredNow.current = () => virtual.measurementsCache;
  });
  const items = virtual.getVirtualItems();
  const drawn: Drawn[] = isPrinting
    ? lines.map((line, at) => ({ line, at }))
    : items.map(({ index: at }) => ({ line: lines[at]!, at }));
  return { list, virtual, items, drawn, isPrinting, top };
}

/** The lines of the sheet, of which those are drawn that are seen; in print all of them. */
export function SheetLines({ lines, selecting, look, times, due, index }: Props) {
  const [editing, setEditing] = useState<string | null>(null);
  const edit = useCallback((entry: Entry) => {
    takeEntries([entry]);
    setEditing(entry.id);
  }, []);
  const close = useCallback(() => setEditing(null), []);
  const { list, virtual, items, drawn, isPrinting, top } = useDrawn(lines, selecting);
  useBroughtToHand(drawn);
  const measured = (at: number): Measured => ({ ref: virtual.measureElement, 'data-index': at });
  const drawnRow = ({ line, at }: Drawn) => {
    if (line.kind === 'head') return null;
    if (line.kind === 'waiting') return <Waiting key="waiting" line={line} {...measured(at)} />;
    const { entry, collection } = line;
    if (editing === entry.id)
      return (
        <li key={entry.id} className="sheet-row" {...measured(at)}>
          <RowEditor entry={index.entries.get(entry.id) ?? entry} index={index} close={close} />
        </li>
      );
    return (
      <SheetRow
        key={entry.id}
        {...{ entry, collection, at, look }}
        selected={selecting.ids ? selecting.ids.has(entry.id) : null}
        toggle={selecting.toggle}
        pieces={holdsOthers(entry.content) ? index.entries : null}
        place={line.place}
        count={line.count}
        measure={virtual.measureElement}
        times={times[entry.id] ?? 0}
        isDue={due.has(entry.id)}
        edit={collection.right === 'read' ? null : edit}
      />
    );
  };
  return (
    <div ref={list} className="relative" style={{ height: isPrinting ? undefined : virtual.getTotalSize() }}>
      <div
        style={
          isPrinting
            ? undefined
            : { transform: `translateY(${(items[0]?.start ?? top) - virtual.options.scrollMargin}px)` }
        }
      >
        {sectionsOf(drawn).map((section) => {
          const [first] = section;
          const { collection } = first!.line;
          return (
            <section key={collection.id} aria-label={collection.name}>
              {first!.line.kind === 'head' && (
                <Head line={first!.line} selecting={selecting} {...measured(first!.at)} />
              )}
              <ul>{section.map(drawnRow)}</ul>
            </section>
          );
        })}
      </div>
    </div>
  );
}
