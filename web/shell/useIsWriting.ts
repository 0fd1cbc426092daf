import { useEffect } from 'react';
import { beginWriting } from '#client/atHand';

/** Says that something is being written on this screen, so that no update of the application comes in between. */
export function useIsWriting(isWriting = true): void {
  useEffect(() => (isWriting ? beginWriting() : undefined), [isWriting]);
}
