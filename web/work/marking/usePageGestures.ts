import { useEffect, useRef, type PointerEvent } from 'react';
import type { PagePoint } from '#core/passage';
import type { ScreenPoint, SheetPlace, Zoom } from './useZoom';

/** Less than this is a click, more is a drag, in px. */
const DRAGGED_PX = 4;
/** So much a turn of the wheel enlarges, of its px; a touchpad's pinch comes as many small turns. */
const WHEEL = 0.0022;

const between = ([a, b]: readonly [ScreenPoint, ScreenPoint]): ScreenPoint => ({
  x: (a.x + b.x) / 2,
  y: (a.y + b.y) / 2,
});
const apart = ([a, b]: readonly [ScreenPoint, ScreenPoint]): number => Math.hypot(a.x - b.x, a.y - b.y);

const fingersOf = ({ touches }: TouchEvent): [ScreenPoint, ScreenPoint] | null =>
  touches.length === 2
    ? [
        { x: touches[0]!.clientX, y: touches[0]!.clientY },
        { x: touches[1]!.clientX, y: touches[1]!.clientY },
      ]
    : null;

/** The wheel with Ctrl, and two fingers: what is beneath the pointer or between them stays there. The browser's own zoom is held back. */
function useEnlarging(pane: HTMLElement | null, { enlarge, seenAt }: Zoom, begun: () => void): void {
  const latest = useRef(begun);
  useEffect(() => {
    latest.current = begun;
  });
  useEffect(() => {
    if (!pane) return;
    let fingers: [ScreenPoint, ScreenPoint] | null = null;
    // What was between them at first stays between them.
    let place: SheetPlace | null = null;
    const onWheel = (event: WheelEvent) => {
      if (!event.ctrlKey) return;
      event.preventDefault();
      const px = event.deltaMode === WheelEvent.DOM_DELTA_LINE ? event.deltaY * 40 : event.deltaY;
      enlarge(Math.exp(-Math.max(-150, Math.min(150, px)) * WHEEL), { x: event.clientX, y: event.clientY });
    };
    const onTouch = (event: TouchEvent) => {
      const now = fingersOf(event);
      if (now) {
        event.preventDefault();
        if (fingers) enlarge(apart(now) / Math.max(1, apart(fingers)), between(now), place);
        else {
          place = seenAt(between(now));
          latest.current();
        }
      }
      fingers = now;
    };
    // React's own would be told too late to hold the browser back.
    pane.addEventListener('wheel', onWheel, { passive: false });
    for (const name of ['touchstart', 'touchmove', 'touchend', 'touchcancel'] as const)
      pane.addEventListener(name, onTouch, { passive: false });
    return () => {
      pane.removeEventListener('wheel', onWheel);
      for (const name of ['touchstart', 'touchmove', 'touchend', 'touchcancel'] as const)
        pane.removeEventListener(name, onTouch);
    };
  }, [pane, enlarge, seenAt]);
}

/** Where a pointer went down, and what was in sight then. */
interface Begun extends ScreenPoint {
  left: number;
  top: number;
  isDrag: boolean;
}

/** What a pointer does on the sheet: a click or a tap is a place, a drag moves what is seen (fingers do by themselves); two fingers enlarge. */
export function usePageGestures(
  pane: HTMLElement | null,
  scale: number,
  zoom: Zoom,
  pointAt: (to: PagePoint) => void,
) {
  const from = useRef<Begun | null>(null);
  useEnlarging(pane, zoom, () => {
    from.current = null;
  });
  return {
    onPointerDown: (event: PointerEvent) => {
      const isElse = (event.target as Element).closest('.marking, button') !== null;
      if (!pane || event.button !== 0 || !event.isPrimary || isElse) return;
      from.current = {
        ...{ x: event.clientX, y: event.clientY, isDrag: false },
        ...{ left: pane.scrollLeft, top: pane.scrollTop },
      };
    },
    onPointerMove: (event: PointerEvent) => {
      const begun = from.current;
      if (!pane || !begun || event.pointerType === 'touch') return;
      const [dx, dy] = [event.clientX - begun.x, event.clientY - begun.y];
      begun.isDrag ||= Math.hypot(dx, dy) > DRAGGED_PX;
      if (begun.isDrag) pane.scrollTo(begun.left - dx, begun.top - dy);
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
