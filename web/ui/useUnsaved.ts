import { useState } from 'react';
import { isSame } from '#core/difference';

type Merge<T> = (mine: T, base: T, theirs: T) => T | null;

interface Unsaved<T> {
  value: T;
  set: (value: T) => void;
  /** Whether it differs from what stands there. */
  changed: boolean;
  /** The version that the change was made to. */
  version: number;
  /** Whether what stands there is another now than what the change was made to. */
  overtaken: boolean;
  /** What was saved stands there now, as this version; what was changed since stays a change to it. */
  saved: (there: T, version: number) => void;
  /** Gives the change up for what stands there now. */
  takeTheirs: () => void;
  /** Makes the change one to what stands there now, so that it can be saved over it. */
  keepMine: () => void;
}

/**
 * What someone is changing and has not saved. As long as nothing is changed it follows what stands there; a change stays
 * while others save, and knows to which version it was made; where `merge` can make one of the two, it does.
 */
export function useUnsaved<T>(there: T, version: number, merge: Merge<T> = () => null): Unsaved<T> {
  const [own, setOwn] = useState({ base: there, version, value: there });
  const changed = !isSame(own.value, own.base);
  const go = (value: T) => setOwn({ base: there, version, value });
  const overtaken = version > own.version;
  const merged =
    overtaken && changed && !isSame(own.value, there) ? merge(own.value, own.base, there) : there;
  // Nothing of one's own is lost by it: it follows.
  if (overtaken && merged !== null) go(merged);
  return {
    value: own.value,
    set: (value) => setOwn({ ...own, value }),
    changed,
    version: own.version,
    overtaken: overtaken && merged === null,
    saved: (base, to) => setOwn((one) => ({ ...one, base, version: to })),
    takeTheirs: () => go(there),
    keepMine: () => go(own.value),
  };
}
