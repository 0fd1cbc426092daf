import { useCallback, useEffect, useRef, useState } from 'react';
import type { Alike } from '#contracts';
import { longCall } from '../api/longCall';

/** How far looking through the bank is. */
export type Looking =
  | { state: 'idle' }
  | { state: 'looking'; progress: number }
  | { state: 'found'; found: Alike }
  | { state: 'failed'; error: unknown };

/** Looks through the bank for what is alike; stopped by `stop`, and when one goes elsewhere. */
export function useAlike() {
  const [looking, setLooking] = useState<Looking>({ state: 'idle' });
  const running = useRef<AbortController | null>(null);
  const stop = useCallback(() => {
    running.current?.abort();
    running.current = null;
    setLooking({ state: 'idle' });
  }, []);
  useEffect(() => () => running.current?.abort(), []);
  const look = useCallback((least: number) => {
    running.current?.abort();
    const mine = new AbortController();
    running.current = mine;
    setLooking({ state: 'looking', progress: 0 });
    longCall('alike', { body: { least }, signal: mine.signal }, (progress) => {
      if (running.current === mine) setLooking({ state: 'looking', progress });
    }).then(
      (found) => running.current === mine && setLooking({ state: 'found', found }),
      (error: unknown) => running.current === mine && setLooking({ state: 'failed', error }),
    );
  }, []);
  return { looking, look, stop };
}
