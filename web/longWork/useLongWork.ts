import { useCallback, useEffect, useRef, useState } from 'react';
import type { BodyOf } from '#contracts';
import { longCall, type LongRoute, type ResultOf } from '#client/api';

/** How far a long work is. */
export type Working<Result> =
  | { state: 'idle' }
  | { state: 'working'; progress: number }
  | { state: 'done'; result: Result }
  | { state: 'failed'; error: unknown };

/** A long work of the server: begun by `start`, ended by `stop`, and when one goes elsewhere. */
export function useLongWork<N extends LongRoute>(name: N) {
  const [working, setWorking] = useState<Working<ResultOf<N>>>({ state: 'idle' });
  const running = useRef<AbortController | null>(null);
  const stop = useCallback(() => {
    running.current?.abort();
    running.current = null;
    setWorking({ state: 'idle' });
  }, []);
  useEffect(() => () => running.current?.abort(), []);
  const start = useCallback(
    (body: BodyOf<N>) => {
      running.current?.abort();
      const mine = new AbortController();
      running.current = mine;
      const put = (next: Working<ResultOf<N>>) => {
        if (running.current === mine) setWorking(next);
      };
      put({ state: 'working', progress: 0 });
      longCall(name, { body, signal: mine.signal }, (progress) => put({ state: 'working', progress })).then(
        (result) => put({ state: 'done', result }),
        (error: unknown) => put({ state: 'failed', error }),
      );
    },
    [name],
  );
  return { working, start, stop };
}
