import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useRef, type KeyboardEvent, type RefObject } from 'react';
import type { Letter } from './letterMaker';
import { STATE_LOOKS, STATE_WORDS } from './stateWords';

const LINE_PX = 30;

interface Props {
  letters: readonly Letter[];
  here: string | null;
  go: (row: string) => void;
  /** A key that is not the list's own; true where it was used. */
  press: (key: string) => boolean;
  listRef: RefObject<HTMLDivElement | null>;
}

/** All letters of a batch as a narrow list, each with its state: walked by the arrows, acted on by keys. */
export function LetterList({ letters, here, go, press, listRef }: Props) {
  const at = letters.findIndex(({ row }) => row.id === here);
  const lines = useVirtualizer({
    count: letters.length,
    getScrollElement: () => listRef.current,
    estimateSize: () => LINE_PX,
    overscan: 12,
  });
  const shown = useRef(lines);
  useEffect(() => {
    shown.current = lines;
  });
  useEffect(() => {
    if (at >= 0) shown.current.scrollToIndex(at);
  }, [at]);
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.ctrlKey || event.altKey || event.metaKey || event.nativeEvent.isComposing) return;
    const page = Math.max(1, Math.floor((listRef.current?.clientHeight ?? 0) / LINE_PX) - 1);
    const steps: Record<string, number> = {
      ...{ ArrowDown: at + 1, ArrowUp: at - 1, Home: 0, End: letters.length - 1 },
      ...{ PageDown: at + page, PageUp: at - page },
    };
    const to = steps[event.key];
    const next = to === undefined ? undefined : letters[Math.max(0, Math.min(to, letters.length - 1))];
    if (next) go(next.row.id);
    else if (!press(event.key)) return;
    event.preventDefault();
  };
  return (
    <div
      ref={listRef}
      role="listbox"
      aria-label="Letters"
      tabIndex={0}
      aria-activedescendant={at >= 0 ? `letter-${here}` : undefined}
      onKeyDown={onKeyDown}
      className="max-h-[38vh] min-h-24 overflow-y-auto border-y border-hair focus-visible:outline-2 focus-visible:outline-elder"
    >
      <div style={{ height: lines.getTotalSize(), position: 'relative' }} role="presentation">
        {lines.getVirtualItems().map(({ index, start }) => {
          const letter = letters[index]!;
          const { row, name, state } = letter;
          const isHere = row.id === here;
          return (
            <div
              key={row.id}
              id={`letter-${row.id}`}
              role="option"
              aria-selected={isHere}
              aria-setsize={letters.length}
              aria-posinset={index + 1}
              onClick={() => go(row.id)}
              style={{ position: 'absolute', insetInline: 0, top: start, height: LINE_PX }}
              className={`grid cursor-pointer grid-cols-[2.6rem_1fr_auto] items-center gap-x-1 border-b border-hair px-1 text-[13.5px] ${isHere ? 'bg-flower' : 'hover:text-elder'}`}
            >
              <span className="text-right pr-1 text-soft">{row.position + 1}</span>
              <span className="truncate">{name || 'Nobody is named'}</span>
              <span className={`text-[12.5px] ${STATE_LOOKS[state]}`}>
                {row.byHand && <span className="text-soft">by hand, </span>}
                {STATE_WORDS[state]}
              </span>
            </div>
          );
        })}
      </div>
    </div>
  );
}
