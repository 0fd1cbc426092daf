import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { Check, FileQuestion, TriangleAlert } from 'lucide-react';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import type { TrayLine } from '#contracts';

const ROW_PX = 42;
const BEYOND = 10;

interface RowProps {
  line: TrayLine;
  number: number;
  isHere: boolean;
  isOpen: boolean;
  /** What is wrong with its name; null for nothing. */
  fault: string | null;
  go: () => void;
  /** Its name as it is written on. */
  children: ReactNode;
}

/** What a line that is not written on reads. */
function NameToRead({ line, fault }: Pick<RowProps, 'line' | 'fault'>) {
  if (line.newName !== null)
    return (
      <span className="flex min-w-0 items-baseline gap-2">
        <span className="min-w-0 font-book text-[15.5px] break-words">{line.newName}</span>
        {fault && (
          <span className="flex items-center gap-1 text-[12.5px] text-rust">
            <TriangleAlert size={13} aria-hidden /> {fault}
          </span>
        )}
      </span>
    );
  return <span className="min-w-0 font-book text-[15.5px] break-words text-soft">{line.words}</span>;
}

const giveKeysWithin = (row: HTMLElement) => row.querySelector<HTMLElement>('[role=textbox]')?.focus();

/** One file: its old name, and beside it the new one. */
function TrayRow({ line, number, isHere, isOpen, fault, go, children }: RowProps) {
  const state = line.renamed ? 'renamed' : line.newName !== null ? 'named' : null;
  return (
    <div
      role="listitem"
      aria-current={isHere ? 'true' : undefined}
      // The line that is written on has the keys already: wherever else in it one clicks, it has them again.
      onClick={isHere ? ({ currentTarget }) => giveKeysWithin(currentTarget) : go}
      className={`grid grid-cols-[2.4rem_minmax(0,2fr)_minmax(0,3.4fr)_1.2rem] items-baseline gap-x-3 border-b border-hair px-9 py-2 max-[899px]:grid-cols-[1.6rem_minmax(0,1fr)_1.2rem] max-[899px]:px-4 ${isHere ? 'bg-flower/50' : 'cursor-pointer hover:bg-flower/25'}`}
      style={{ minHeight: ROW_PX }}
    >
      <span className="text-right text-[12.5px] text-soft">{number}</span>
      <button type="button" tabIndex={-1} className="min-w-0 text-left text-[13px] break-all text-soft">
        {line.folder !== '' && <span className="text-[12px]">{line.folder}/</span>}
        {line.name}
        {!isOpen && line.file === null && (
          <FileQuestion
            size={13}
            className="ml-1 inline text-rust"
            role="img"
            aria-label="not open on this computer"
          />
        )}
      </button>
      <div className="min-w-0 max-[899px]:col-start-2 max-[899px]:row-start-2">
        {isHere ? children : <NameToRead line={line} fault={fault} />}
      </div>
      <span className="self-center max-[899px]:row-start-1 max-[899px]:col-start-3">
        {state && (
          <Check
            size={15}
            role="img"
            aria-label={state}
            className={state === 'renamed' ? 'text-leaf' : 'text-soft'}
          />
        )}
      </span>
    </div>
  );
}

interface Props {
  lines: readonly TrayLine[];
  here: string | null;
  open: ReadonlySet<string>;
  faultOf: (line: TrayLine) => string | null;
  go: (line: string) => void;
  /** Draws the line that is written on. */
  written: ReactNode;
}

/** All files of a tray, one below the other; those out of sight are not drawn. */
export function TrayList({ lines, here, open, faultOf, go, written }: Props) {
  const list = useRef<HTMLDivElement>(null);
  const [top, setTop] = useState(0);
  useEffect(() => {
    const measure = () => setTop((list.current?.getBoundingClientRect().top ?? 0) + window.scrollY);
    measure();
    const sized = new ResizeObserver(measure);
    if (list.current?.parentElement) sized.observe(list.current.parentElement);
    return () => sized.disconnect();
  }, []);
  const at = lines.findIndex(({ id }) => id === here);
  const virtual = useWindowVirtualizer({
    count: lines.length,
    estimateSize: () => ROW_PX,
    getItemKey: (index) => lines[index]!.id,
    overscan: BEYOND,
    scrollMargin: top,
    // The line that is written on is never taken away: what is typed there would be.
    rangeExtractor: ({ startIndex, endIndex, overscan, count }) => {
      const first = Math.max(0, startIndex - overscan);
      const last = Math.min(count - 1, endIndex + overscan);
      const range = Array.from({ length: Math.max(0, last - first + 1) }, (_, index) => first + index);
      return at < 0 || (at >= first && at <= last) ? range : [...range, at].sort((a, b) => a - b);
    },
  });
  const shown = useRef(virtual);
  useEffect(() => {
    shown.current = virtual;
  });
  useEffect(() => {
    if (at < 0) return;
    const drawn = list.current?.querySelector(`[data-index="${at}"]`);
    if (drawn) drawn.scrollIntoView({ block: 'nearest' });
    else shown.current.scrollToIndex(at, { align: 'center' });
  }, [at]);
  return (
    <div
      ref={list}
      role="list"
      aria-label="Files"
      className="relative"
      style={{ height: virtual.getTotalSize() }}
    >
      {virtual.getVirtualItems().map(({ index, start, key }) => {
        const line = lines[index]!;
        return (
          <div
            key={key}
            ref={virtual.measureElement}
            data-index={index}
            className="absolute inset-x-0 top-0 scroll-my-24"
            style={{ transform: `translateY(${start - virtual.options.scrollMargin}px)` }}
          >
            <TrayRow
              {...{ line, number: index + 1 }}
              isHere={line.id === here}
              isOpen={open.has(line.id)}
              fault={faultOf(line)}
              go={() => go(line.id)}
            >
              {written}
            </TrayRow>
          </div>
        );
      })}
    </div>
  );
}
