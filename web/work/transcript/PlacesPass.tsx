import { useState } from 'react';
import type { FoundPlace } from '../../editor';
import { Button, Tick } from '../../ui';

/** So many places are looked at in one go. */
const AT_ONCE = 60;

/** How many places, in words. */
export const placesInWords = (count: number) => (count === 1 ? '1 place' : `${count} places`);

interface Props<Place extends FoundPlace> {
  found: readonly Place[];
  /** What is told of a place behind its words. */
  told: (place: Place) => string;
  /** What is done with those that stay ticked: "Mark". */
  does: string;
  act: (chosen: readonly Place[]) => void;
  goTo: (place: Place) => void;
}

/** Each place that was found, with what stands around it: something is done with those that stay ticked. */
export function PlacesPass<Place extends FoundPlace>({ found, told, does, act, goTo }: Props<Place>) {
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set());
  const shown = found.slice(0, AT_ONCE);
  const chosen = shown.filter(({ from }) => !left.has(from));
  const toggle = (from: number) => {
    const next = new Set(left);
    if (!next.delete(from)) next.add(from);
    setLeft(next);
  };
  return (
    <>
      <ul className="grid max-h-[22rem] gap-1 overflow-y-auto pr-2 text-[14px]" aria-label="Found">
        {shown.map((place) => {
          const { from, before, words, behind } = place;
          return (
            <li key={from} className="flex items-baseline gap-2 border-t border-hair py-1">
              <Tick on={!left.has(from)} toggle={() => toggle(from)}>
                <span>
                  {before}
                  <mark className="found-in-line">{words}</mark>
                  {behind} <span className="text-soft">({told(place)})</span>
                </span>
              </Tick>
              <Button
                look="text"
                className="ml-auto"
                aria-label={`Go to “${words.trim()}”`}
                onClick={() => goTo(place)}
              >
                Go
              </Button>
            </li>
          );
        })}
      </ul>
      {found.length > AT_ONCE && (
        <p className="text-[13px] text-soft">
          The first {AT_ONCE} of {found.length}; the others follow once these are done.
        </p>
      )}
      <p>
        <Button
          look="main"
          disabled={chosen.length === 0}
          onClick={() => {
            act(chosen);
            setLeft(new Set());
          }}
        >
          {does} {placesInWords(chosen.length)}
        </Button>
      </p>
    </>
  );
}
