import { useSyncExternalStore } from 'react';

function subscribe(changed: () => void): () => void {
  window.addEventListener('online', changed);
  window.addEventListener('offline', changed);
  return () => {
    window.removeEventListener('online', changed);
    window.removeEventListener('offline', changed);
  };
}

/** Whether the browser says that it has a connection. */
export const useOnline = (): boolean => useSyncExternalStore(subscribe, () => navigator.onLine);

/** Said on every screen while there is no connection. */
export function Offline() {
  const online = useOnline();
  return (
    <p role="status" data-print="no" className={online ? 'sr-only' : 'offline-line'}>
      {!online &&
        'You are offline. The bank stays usable and drafts are saved on this computer. Other changes are not saved until you are online again.'}
    </p>
  );
}
