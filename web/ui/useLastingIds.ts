import { useState } from 'react';

/** Ids for what is yet to be made, by what that is. */
export interface LastingIds {
  /** The id of what is called so: the same until it is made. */
  of: (name: string) => string;
  /** It is made: what is made next, and called so too, is another. */
  renew: () => void;
}

/**
 * Ids that last until what they are for is made: sent again after an answer that was lost, it is made once, not a second time.
 */
export function useLastingIds(): LastingIds {
  const [ids] = useState(() => new Map<string, string>());
  return {
    of: (name) => {
      const id = ids.get(name) ?? crypto.randomUUID();
      ids.set(name, id);
      return id;
    },
    renew: () => ids.clear(),
  };
}
