import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { useLayoutEffect, useRef, useState } from 'react';
import type { LeftRow } from '#core/intake';
import type { Choice, Planned } from '#core/takeover';
import { Button } from '../ui';
import { ArrivalRow } from './ArrivalRow';
import type { RowEdit } from './useIntake';

/** An arriving entry as it is listed. */
export interface ArrivalLine {
  planned: Planned;
  leadIn: string;
  oddities: readonly string[];
}

const FILTERS = ['all', 'new', 'differs', 'same', 'odd', 'left'] as const;
type Filter = (typeof FILTERS)[number];

const FILTER_WORDS: Record<Filter, string> = {
  all: 'All',
  new: 'New',
  differs: 'Different from yours',
  same: 'Identical',
  odd: 'To check',
  left: 'Without a wording',
};

const fits = (filter: Filter, { planned, oddities }: ArrivalLine): boolean =>
  filter === 'all' || (filter === 'odd' ? oddities.length > 0 : planned.state === filter);

const ROW_PX = 92;
const BEYOND = 6;

interface Props {
  lines: readonly ArrivalLine[];
  left: readonly LeftRow[];
  choose: (ids: readonly string[], choice: Choice) => void;
  /** Changes a row of what comes in; null where entries come as they are. */
  edit: ((id: string, change: RowEdit) => void) | null;
  wordsOf: (id: string) => string;
  /** Gives each new entry without a cue a free one; null where all have one. */
  proposeCues: (() => void) | null;
  /** Gives a row a wording that has none. */
  give: (row: number, words: string) => void;
}

/** A row without a wording: left out, or given one here. */
function LeftLine({ row: { row, words }, give }: { row: LeftRow; give: Props['give'] }) {
  return (
    <div className="grid gap-1 border-b border-hair px-9 py-3 max-[899px]:px-4">
      <p className="font-book text-[17px] break-words">{words || `Row ${row + 1}`}</p>
      <textarea
        aria-label={`Wording for ${words || `row ${row + 1}`}`}
        placeholder="No wording: it is left out unless you write one."
        rows={1}
        className="input field-sizing-content font-book"
        onBlur={({ target }) => target.value.trim() !== '' && give(row, target.value)}
      />
    </div>
  );
}

/** What of it is listed, with how many there are, and what is chosen for all of these. */
function Filters({
  counts,
  picked,
  pick,
  chooseAll,
  proposeCues,
}: {
  counts: ReadonlyMap<Filter, number>;
  picked: Filter;
  pick: (filter: Filter) => void;
  chooseAll: (choice: Choice) => void;
  proposeCues: (() => void) | null;
}) {
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-hair px-9 py-2 text-[13.5px] max-[899px]:px-4">
      {FILTERS.filter((one) => one === 'all' || counts.get(one)! > 0).map((one) => (
        <button
          key={one}
          type="button"
          aria-pressed={picked === one}
          className={`min-h-6 ${picked === one ? 'font-semibold text-elder' : 'text-soft hover:text-elder'}`}
          onClick={() => pick(one)}
        >
          {FILTER_WORDS[one]}: {counts.get(one)!.toLocaleString()}
        </button>
      ))}
      <span className="ml-auto flex gap-4">
        {proposeCues && (
          <Button look="text" onClick={proposeCues}>
            Propose cues
          </Button>
        )}
        {picked === 'differs' && (
          <>
            <Button look="text" onClick={() => chooseAll('replace')}>
              Use all of theirs
            </Button>
            <Button look="text" onClick={() => chooseAll('leave')}>
              Keep all of yours
            </Button>
          </>
        )}
        {(picked === 'new' || picked === 'odd') && (
          <Button look="text" onClick={() => chooseAll('leave')}>
            Leave all of these out
          </Button>
        )}
      </span>
    </div>
  );
}

/** What arrives, each with what it becomes and what is odd about it; ten thousand of them scroll as ten do. */
export function ArrivalList({ lines, left, choose, edit, wordsOf, give, proposeCues }: Props) {
  const [picked, setFilter] = useState<Filter>('all');
  const counts = new Map(
    FILTERS.map((filter) => [filter, lines.filter((line) => fits(filter, line)).length]),
  );
  counts.set('left', left.length);
  const filter = counts.get(picked) === 0 ? 'all' : picked;
  const shown = filter === 'left' ? [] : lines.filter((line) => fits(filter, line));
  const list = useRef<HTMLDivElement>(null);
  const [top, setTop] = useState(0);
  useLayoutEffect(() => {
    const now = list.current?.getBoundingClientRect().top ?? 0;
    setTop(now + window.scrollY);
  }, [filter, lines.length]);
  const count = filter === 'left' ? left.length : shown.length;
  const virtual = useWindowVirtualizer({
    count,
    estimateSize: () => ROW_PX,
    getItemKey: (at) => (filter === 'left' ? `left ${left[at]!.row}` : shown[at]!.planned.id),
    overscan: BEYOND,
    scrollMargin: top,
  });
  const items = virtual.getVirtualItems();
  const ids = shown.map(({ planned }) => planned.id);
  return (
    <section aria-label="Arriving entries">
      <Filters
        counts={counts}
        picked={filter}
        pick={setFilter}
        chooseAll={(choice) => choose(ids, choice)}
        proposeCues={proposeCues}
      />
      <div ref={list} className="relative" style={{ height: virtual.getTotalSize() }}>
        <div
          style={{ transform: `translateY(${(items[0]?.start ?? top) - virtual.options.scrollMargin}px)` }}
        >
          {items.map(({ index, key }) => (
            <div key={key} ref={virtual.measureElement} data-index={index}>
              {filter === 'left' ? (
                <LeftLine row={left[index]!} give={give} />
              ) : (
                <ArrivalRow
                  {...shown[index]!}
                  choose={(choice) => choose([shown[index]!.planned.id], choice)}
                  edit={edit && ((change) => edit(shown[index]!.planned.id, change))}
                  words={() => wordsOf(shown[index]!.planned.id)}
                />
              )}
            </div>
          ))}
        </div>
      </div>
    </section>
  );
}
