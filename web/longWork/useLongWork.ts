import { useCallback, useEffect, useRef, useState } from 'react';
import type { BodyOf } from '#contracts';
import { call, longCall, type LongRoute, type ResultOf } from '#client/api';

/** How far a long work is. */
export type Working<Result> =
  | { state: 'idle' }
  | { state: 'working'; progress: number }
  // `foundAt` of one that ended while no page was there to see it.
  | { state: 'done'; result: Result; foundAt?: string }
  | { state: 'failed'; error: unknown };

/**
 * A long work of the server: begun by `start`, ended by `stop`. It goes on when one goes elsewhere or closes the page; come back to,
 * it is followed again, or shows what came of it, unless it was asked something.
 */
export function useLongWork<N extends LongRoute>(name: N) {
  const [working, setWorking] = useState<Working<ResultOf<N>>>({ state: 'idle' });
  const following = useRef<AbortController | null>(null);
  const follow = useCallback(
    (body: BodyOf<N>, progress: number) => {
      following.current?.abort();
      const mine = new AbortController();
      following.current = mine;
      const put = (next: Working<ResultOf<N>>) => {
        if (following.current === mine) setWorking(next);
      };
      put({ state: 'working', progress });
      longCall(name, { body, signal: mine.signal }, (now) => put({ state: 'working', progress: now })).then(
        (result) => put({ state: 'done', result }),
        (error: unknown) => put({ state: 'failed', error }),
      );
    },
    [name],
  );
  useEffect(() => {
    let isHere = true;
    call('jobLeft', { params: { work: name } }).then(
      (left) => {
        // Begun anew meanwhile, that is what is looked at.
        if (!isHere || following.current || !left) return;
        // Of a work that asks something the page no longer knows what was asked: its answer would stand beside another question.
        if (left.asked !== null) return;
        if (left.state === 'working') follow(undefined as BodyOf<N>, left.progress);
        else setWorking({ state: 'done', result: left.result as ResultOf<N>, foundAt: left.endedAt });
      },
      // Nothing to come back to is told of by nothing: it can be begun.
      () => undefined,
    );
    return () => {
      isHere = false;
      following.current?.abort();
      following.current = null;
    };
  }, [name, follow]);
  const stop = useCallback(() => {
    following.current?.abort();
    following.current = null;
    setWorking({ state: 'idle' });
    void call('stopJob', { params: { work: name } }).catch(() => undefined);
  }, [name]);
  const start = useCallback((body: BodyOf<N>) => follow(body, 0), [follow]);
  return { working, start, stop };
}
