import { Move } from 'lucide-react';
import { useRef, type PointerEvent } from 'react';
import type { Markings } from './useMarkings';

/** Moves the marking at hand: dragged, or by the arrows. */
export function MoveHandle({
  markings: { markings, current, page, acts },
  scale,
}: {
  markings: Markings;
  scale: number;
}) {
  const from = useRef<{ x: number; y: number } | null>(null);
  const found = markings.find(({ marking }) => marking.id === current)?.marking;
  if (!found || found.page !== page) return null;
  const begin = (event: PointerEvent<HTMLButtonElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    from.current = { x: event.clientX, y: event.clientY };
  };
  const move = (event: PointerEvent) => {
    if (!from.current) return;
    acts.move((event.clientX - from.current.x) / scale, (event.clientY - from.current.y) / scale);
    from.current = { x: event.clientX, y: event.clientY };
  };
  const end = () => {
    from.current = null;
  };
  return (
    <button
      type="button"
      aria-label="Move this marking"
      className="move-handle"
      style={{ left: found.at.x * scale, top: found.at.y * scale }}
      onPointerDown={begin}
      onPointerMove={move}
      onPointerUp={end}
      onPointerCancel={end}
      onKeyDown={(event) => {
        const step = event.shiftKey ? 1 : 9;
        const arrows: Record<string, [number, number]> = {
          ...{ ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] },
        };
        const arrow = arrows[event.key];
        if (!arrow) return;
        event.preventDefault();
        acts.move(...arrow);
      }}
    >
      <Move size={13} aria-hidden />
    </button>
  );
}
