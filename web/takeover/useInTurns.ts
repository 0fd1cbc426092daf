import { useEffect, useState } from 'react';

/** So long a turn is worked before the page has the next. */
const TURN_MS = 8;

/**
 * What a long work of the page comes to, done in turns between which the page answers keys: null until it is done. Begun anew whenever
 * `begin` is another; until that is done too it is what it came to before.
 */
export function useInTurns<Result>(begin: () => Generator<unknown, Result>): Result | null {
  const [done, setDone] = useState<Result | null>(null);
  useEffect(() => {
    const work = begin();
    let timer: ReturnType<typeof setTimeout>;
    const turn = () => {
      const until = performance.now() + TURN_MS;
      while (performance.now() < until) {
        const step = work.next();
        if (!step.done) continue;
        setDone(() => step.value);
        return;
      }
      timer = setTimeout(turn);
    };
    timer = setTimeout(turn);
    return () => clearTimeout(timer);
  }, [begin]);
  return done;
}
