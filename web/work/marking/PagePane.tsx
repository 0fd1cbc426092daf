import { EditorContent, type Editor } from '@tiptap/react';
import { useEffect, useLayoutEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { inWords } from '#client/api';
import { MARKING_POINTS, type PagePoint } from '#core/passage';
import type { PageSize, PageSource } from '../../documents';
import { Leads } from './Leads';
import { MoveHandle } from './MoveHandle';
import type { Markings } from './useMarkings';

/** By so many points the cross moves with an arrow; with Shift by one. */
const GRID = 9;
/** Less than this is a click, more is a drag, in px. */
const DRAGGED_PX = 4;

interface Props {
  source: PageSource;
  editor: Editor;
  zoom: number;
  setZoom: (change: (zoom: number) => number) => void;
  markings: Markings;
}

/** How wide an element is, as that changes. */
function useWidth(): [number, (element: HTMLElement | null) => void] {
  const [element, setElement] = useState<HTMLElement | null>(null);
  const [width, setWidth] = useState(0);
  useLayoutEffect(() => {
    if (!element) return;
    const measure = () => setWidth(element.clientWidth);
    measure();
    const sized = new ResizeObserver(measure);
    sized.observe(element);
    return () => sized.disconnect();
  }, [element]);
  return [width, setElement];
}

/** The size of a page, and what keeps it from being shown. */
function usePageSize(source: PageSource, page: number) {
  const [known, setKnown] = useState<{ page: number; size: PageSize } | null>(null);
  const [failed, fail] = useState<string | null>(null);
  useEffect(() => {
    let isOver = false;
    source.size(page).then(
      (size) => !isOver && setKnown({ page, size }),
      (error: unknown) => !isOver && fail(inWords(error)),
    );
    return () => {
      isOver = true;
    };
  }, [source, page]);
  return { size: known?.page === page ? known.size : null, failed, fail };
}

/** Puts the boxes of markings at their places of the page that is shown, and hides those of others. */
function usePlaces(editor: Editor, { markings, page, current, isReading }: Markings, scale: number): void {
  useLayoutEffect(() => {
    const boxes = new Map(
      [...editor.view.dom.querySelectorAll<HTMLElement>('[data-marking]')].map((box) => [
        box.dataset.marking,
        box,
      ]),
    );
    for (const { marking } of markings) {
      const box = boxes.get(marking.id);
      if (!box) continue;
      box.hidden = marking.page !== page;
      box.style.left = `${marking.at.x * scale}px`;
      box.style.top = `${marking.at.y * scale}px`;
      box.style.fontSize = `${MARKING_POINTS[marking.size] * scale}px`;
      box.dataset.colour = marking.colour;
      box.dataset.framed = String(marking.framed);
      box.classList.toggle('is-current', marking.id === current);
      box.classList.toggle('is-written', marking.id === current && !isReading);
    }
  }, [editor, markings, page, current, isReading, scale]);
}

/** The picture of a page, drawn anew as it is enlarged. */
function Picture({
  source,
  page,
  scale,
  fail,
}: {
  source: PageSource;
  page: number;
  scale: number;
  fail: (words: string) => void;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    let isOver = false;
    // Drawn apart and put in its place whole: while one enlarges the page stays.
    const drawn = document.createElement('canvas');
    source.draw(page, drawn, scale * Math.min(devicePixelRatio, 2)).then(
      () => {
        const own = canvas.current;
        if (isOver || !own) return;
        [own.width, own.height] = [drawn.width, drawn.height];
        own.getContext('2d')?.drawImage(drawn, 0, 0);
      },
      (error: unknown) => !isOver && fail(inWords(error)),
    );
    return () => {
      isOver = true;
    };
  }, [source, page, scale, fail]);
  return (
    <canvas ref={canvas} role="img" aria-label={`Page ${page + 1}`} className="absolute inset-0 size-full" />
  );
}

/** What keys do on the page. */
function onPaneKey(
  event: KeyboardEvent,
  { acts, current, cross, page, setPage }: Markings,
  count: number,
): boolean {
  const step = event.shiftKey ? 1 : GRID;
  const arrows: Record<string, [number, number]> = {
    ...{ ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] },
  };
  if (event.ctrlKey || event.metaKey) return event.key === 'z' && acts.undo();
  if (event.altKey) return false;
  const arrow = arrows[event.key];
  if (arrow) acts.move(...arrow);
  else if (event.key === 'Enter') {
    if (current) acts.write(current);
    else acts.pointAt(cross);
  } else if (event.key === 'Escape') acts.pick(null);
  else if (event.key === 'Delete' || event.key === 'Backspace') acts.drop();
  else if (event.key === 'PageDown') setPage(Math.min(count - 1, page + 1));
  else if (event.key === 'PageUp') setPage(Math.max(0, page - 1));
  else if ([...event.key].length === 1 && event.key !== ' ') acts.begin(cross, event.key);
  else return false;
  return true;
}

/** Points and drags on the page: a click is a place, a drag moves what is seen. */
function usePointer(pane: Markings['paneRef'], scale: number, pointAt: (to: PagePoint) => void) {
  const from = useRef<{ x: number; y: number; left: number; top: number; isDrag: boolean } | null>(null);
  return {
    onPointerDown: (event: PointerEvent) => {
      const own = pane.current;
      if (!own || event.button !== 0 || (event.target as Element).closest('.marking, button')) return;
      from.current = {
        x: event.clientX,
        y: event.clientY,
        left: own.scrollLeft,
        top: own.scrollTop,
        isDrag: false,
      };
    },
    onPointerMove: (event: PointerEvent) => {
      const own = pane.current;
      const begun = from.current;
      // Fingers scroll by themselves.
      if (!own || !begun || event.pointerType === 'touch') return;
      const [dx, dy] = [event.clientX - begun.x, event.clientY - begun.y];
      begun.isDrag ||= Math.hypot(dx, dy) > DRAGGED_PX;
      if (begun.isDrag) own.scrollTo(begun.left - dx, begun.top - dy);
    },
    onPointerCancel: () => {
      from.current = null;
    },
    onPointerUp: (event: PointerEvent<HTMLElement>) => {
      const begun = from.current;
      from.current = null;
      if (!begun || begun.isDrag) return;
      const sheet = event.currentTarget.getBoundingClientRect();
      pointAt({ x: (event.clientX - sheet.left) / scale, y: (event.clientY - sheet.top) / scale });
    },
  };
}

/** A page with what is marked on it: the words stand at their places, and are written there. */
export function PagePane({ source, editor, zoom, setZoom, markings }: Props) {
  const { page, cross, isReading, current, acts, paneRef, pointing } = markings;
  const [width, measure] = useWidth();
  const { size, failed, fail } = usePageSize(source, page);
  const scale = size && width > 0 ? (width / size.width) * zoom : 1;
  usePlaces(editor, markings, scale);
  const pointer = usePointer(paneRef, scale, (to) => acts.pointAt(to));
  const pane = (element: HTMLDivElement | null) => {
    paneRef.current = element;
    measure(element);
  };
  if (failed) return <p className="px-9 py-6 text-rust">{failed}</p>;
  return (
    <div
      ref={pane}
      tabIndex={0}
      role="region"
      aria-label={`Page ${page + 1} of ${source.count}`}
      className="page-pane"
      onKeyDown={(event) => {
        if (event.target !== event.currentTarget || event.nativeEvent.isComposing) return;
        if (onPaneKey(event, markings, source.count)) event.preventDefault();
      }}
      onWheel={(event) => {
        if (event.ctrlKey) setZoom((now) => now * (event.deltaY < 0 ? 1.15 : 1 / 1.15));
      }}
    >
      <div
        className={`page-sheet ${pointing === 'marking' ? '' : 'is-leading'}`}
        style={{ width: (size?.width ?? 1) * scale, height: (size?.height ?? 1) * scale }}
        {...pointer}
      >
        {size && <Picture {...{ source, page, scale, fail }} />}
        {size && <Leads markings={markings} size={size} />}
        <EditorContent editor={editor} className="page-markings" />
        {isReading && current === null && (
          <span aria-hidden className="page-cross" style={{ left: cross.x * scale, top: cross.y * scale }} />
        )}
        {current !== null && <MoveHandle {...{ markings, scale }} />}
      </div>
    </div>
  );
}
