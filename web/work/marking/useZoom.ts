import { useCallback, useMemo, useRef, useState, type RefObject } from 'react';

/** How small a page becomes, to its whole width; and how large, to that and to its points. */
const SMALLEST = 0.25;
const LARGEST = 12;
const LARGEST_PX_TO_POINT = 6;

/** A place on the screen, in px. */
export interface ScreenPoint {
  x: number;
  y: number;
}

/** A place of the sheet, as parts of its width and height. */
export interface SheetPlace {
  along: number;
  down: number;
}

/** A place, and where on the screen it is to be seen. */
interface Held {
  place: SheetPlace;
  to: ScreenPoint;
}

const sheetIn = (pane: HTMLElement | null) => pane?.querySelector<HTMLElement>('.page-sheet') ?? null;

const isIn = ({ left, right, top, bottom }: DOMRect, { x, y }: ScreenPoint): boolean =>
  x >= left && x <= right && y >= top && y <= bottom;

/** How many times its whole width a page can be shown; `points`: how wide it is. */
const largest = (wide: number, points: number) => Math.max(LARGEST, (LARGEST_PX_TO_POINT * points) / wide);

/** What of the sheet is seen at a place of the screen. */
const placeAt = ({ left, top, width, height }: DOMRect, { x, y }: ScreenPoint): SheetPlace => ({
  along: (x - left) / width,
  down: (y - top) / height,
});

/** What one looks at: the marking at hand or the cross, where they are in sight; else the middle. */
function lookedAt(pane: HTMLElement): ScreenPoint {
  const seen = pane.getBoundingClientRect();
  const middle = { x: seen.left + seen.width / 2, y: seen.top + seen.height / 2 };
  const mark = pane.querySelector('.marking.is-current, .page-cross')?.getBoundingClientRect();
  const at = mark && { x: mark.left, y: mark.top };
  return at && isIn(seen, at) ? at : middle;
}

/** How large a page is shown: what one looks at stays where it is on the screen. */
export function useZoom(paneRef: RefObject<HTMLElement | null>) {
  const [{ zoom, most }, setZoom] = useState({ zoom: 1, most: LARGEST });
  const now = useRef(1);
  const held = useRef<Held | null>(null);
  /** Brings what is held to its place on the screen: once the sheet has its new size. */
  const settle = useCallback(() => {
    const own = paneRef.current;
    const sheet = sheetIn(own)?.getBoundingClientRect();
    const kept = held.current;
    held.current = null;
    if (!own || !sheet || !kept) return;
    const { place, to } = kept;
    own.scrollLeft += sheet.left + place.along * sheet.width - to.x;
    own.scrollTop += sheet.top + place.down * sheet.height - to.y;
  }, [paneRef]);
  /** What of the sheet is seen at a place of the screen; null where no page is shown. */
  const seenAt = useCallback(
    (at: ScreenPoint) => {
      const sheet = sheetIn(paneRef.current);
      return sheet && placeAt(sheet.getBoundingClientRect(), at);
    },
    [paneRef],
  );
  /** So many times larger; a place of the sheet is seen at `to` then: what was seen there, where none is given. Without: what one looks at stays. */
  const enlarge = useCallback(
    (by: number, to?: ScreenPoint, place?: SheetPlace | null) => {
      const own = paneRef.current;
      const sheet = sheetIn(own);
      if (!own || !sheet) return;
      const seen = sheet.getBoundingClientRect();
      const at = to ?? lookedAt(own);
      held.current = { place: place ?? placeAt(seen, at), to: at };
      const before = now.current;
      const limit = largest(seen.width / before, Number(sheet.dataset.points));
      now.current = Math.min(limit, Math.max(SMALLEST, before * by));
      if (now.current === before) settle();
      else setZoom({ zoom: now.current, most: limit });
    },
    [paneRef, settle],
  );
  return useMemo(
    () => ({
      ...{ zoom, enlarge, settle, seenAt },
      isNearest: zoom >= most,
      isFarthest: zoom <= SMALLEST,
      larger: () => enlarge(1.4),
      smaller: () => enlarge(1 / 1.4),
      whole: () => enlarge(1 / now.current),
    }),
    [zoom, most, enlarge, settle, seenAt],
  );
}

export type Zoom = ReturnType<typeof useZoom>;
