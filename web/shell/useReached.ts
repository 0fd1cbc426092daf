import { useSyncExternalStore } from 'react';
import { isReached, onReach } from '#client/api';

function subscribe(changed: () => void): () => void {
  const stop = onReach(changed);
  window.addEventListener('online', changed);
  window.addEventListener('offline', changed);
  return () => {
    stop();
    window.removeEventListener('online', changed);
    window.removeEventListener('offline', changed);
  };
}

/** Whether the server can be reached: the browser says that it has a connection, and what was asked last was answered. */
export const useReached = (): boolean =>
  useSyncExternalStore(subscribe, () => navigator.onLine && isReached());
