import { useSyncExternalStore } from 'react';

/** From here on there is room for a record beside the margin. */
const WIDE = '(min-width: 1500px)';

const changes = (told: () => void) => {
  const wide = window.matchMedia(WIDE);
  wide.addEventListener('change', told);
  return () => wide.removeEventListener('change', told);
};

/** Whether the window is wide enough for the record to stand beside the margin. */
export const useIsWide = (): boolean => useSyncExternalStore(changes, () => window.matchMedia(WIDE).matches);
