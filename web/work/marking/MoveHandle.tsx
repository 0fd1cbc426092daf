import { Move } from 'lucide-react';
import { useRef, type PointerEvent } from 'react';
import { markingUnit } from '#core/passage';
import { arrowStep } from './arrowStep';
import type { Markings } from './useMarkings';

/** Moves the marking at hand: dragged, or by the arrows. */
export function MoveHandle({
  markings: { markings, current, page, acts, size },
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
    acts.moveMarking((event.clientX - from.current.x) / scale, (event.clientY - from.current.y) / scale);
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
        const arrow = arrowStep(event, markingUnit(size.current));
        if (!arrow) return;
        event.preventDefault();
        acts.moveMarking(...arrow);
      }}
    >
      <Move size={13} aria-hidden />
    </button>
  );
}
