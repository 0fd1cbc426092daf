import { useCallback, useEffect, useRef, useState } from 'react';
import { STAND_IN_RESTS, type StandInRest } from '#contracts';
import { call } from '#client/api';

/** The rests of the stand-in pedal that are down, and what lets them go down and up: told to the member's other pages in this order. */
export function useStandIn() {
  const [down, setDown] = useState<ReadonlySet<StandInRest>>(new Set());
  const [isLost, setLost] = useState(false);
  const isDown = useRef(new Set<StandInRest>());
  // One after the other: two requests at once may arrive in either order, and a pedal would stay down.
  const telling = useRef(Promise.resolve());
  const set = useCallback((rest: StandInRest, to: boolean) => {
    if (isDown.current.has(rest) === to) return;
    if (to) isDown.current.add(rest);
    else isDown.current.delete(rest);
    setDown(new Set(isDown.current));
    telling.current = telling.current
      .then(() => call('pressPedal', { body: { rest, isDown: to } }))
      .then(() => setLost(false))
      .catch(() => setLost(true));
  }, []);
  useEffect(() => {
    const allUp = () => STAND_IN_RESTS.forEach((rest) => set(rest, false));
    // What is held when the window loses the keys goes up elsewhere, unheard.
    window.addEventListener('blur', allUp);
    return () => {
      window.removeEventListener('blur', allUp);
      allUp();
    };
  }, [set]);
  useEffect(() => {
    const follow = (event: KeyboardEvent) => {
      const rest = STAND_IN_RESTS[Number(event.key) - 1];
      if (!rest || event.ctrlKey || event.altKey || event.metaKey) return;
      event.preventDefault();
      set(rest, event.type === 'keydown');
    };
    const events = ['keydown', 'keyup'] as const;
    for (const type of events) window.addEventListener(type, follow);
    return () => {
      for (const type of events) window.removeEventListener(type, follow);
    };
  }, [set]);
  return { down, isLost, set };
}
