import { useEffect, useRef, useState } from 'react';
import { contentsWithin, type PlaceRequest } from '#core/fill';
import type { Trial } from '#core/workbench';
import { startBranchTrier } from '#client/branches';

/** Trying begins when so many milliseconds have passed without a change. */
const PAUSE = 250;

/**
 * What comes of trying the branches of an entry's wording, in a worker; null until it is first known. While one
 * writes, what was found last stands, and the latest change alone is tried when there is a pause.
 */
export function useTrial(
  request: Omit<PlaceRequest, 'cue' | 'id' | 'answers'>,
  wording: string,
): Trial | null {
  const [trial, setTrial] = useState<Trial | null>(null);
  const trier = useRef<ReturnType<typeof startBranchTrier>>(null);
  useEffect(() => {
    const started = startBranchTrier();
    trier.current = started;
    return () => started.end();
  }, []);
  useEffect(() => {
    let isLatest = true;
    const timer = setTimeout(() => {
      const { entry, record, today, now, writer, find } = request;
      const within = find ? contentsWithin(entry.content, find) : {};
      const asked = { content: entry.content, wording, record, today, now, writer, within };
      void trier.current?.remote.try(asked).then((found) => isLatest && setTrial(found));
    }, PAUSE);
    return () => {
      isLatest = false;
      clearTimeout(timer);
    };
  }, [request, wording]);
  return trial;
}
