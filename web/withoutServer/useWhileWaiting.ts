import { useEffect, useState } from 'react';
import { onWaiting } from '#client/waiting';

/** What `read` finds of what waits on this computer: read again whenever that changes, here or in another window, and for another `read`. */
export function useWhileWaiting<T>(read: () => Promise<readonly T[]>): readonly T[] {
  const [found, setFound] = useState<readonly T[]>([]);
  useEffect(() => {
    let isOver = false;
    const look = () => void read().then((now) => !isOver && setFound(now));
    look();
    const stop = onWaiting(look);
    return () => {
      isOver = true;
      stop();
    };
  }, [read]);
  return found;
}
