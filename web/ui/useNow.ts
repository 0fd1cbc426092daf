import { useEffect, useState } from 'react';

const MINUTE_MS = 60_000;

/** The time, as it was at most a minute ago: what hangs on it is shown anew though nothing else changes on a page left open. */
export function useNow(): Date {
  const [now, setNow] = useState(() => new Date());
  useEffect(() => {
    const timer = setInterval(() => setNow(new Date()), MINUTE_MS);
    return () => clearInterval(timer);
  }, []);
  return now;
}
