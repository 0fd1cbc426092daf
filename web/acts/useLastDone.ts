import { useSyncExternalStore } from 'react';
import { followDone, lastDone, type LastDone } from '#client/acts';

/** Follows what was done last, on whatever page one is. */
export const useLastDone = (): LastDone => useSyncExternalStore(followDone, lastDone);
