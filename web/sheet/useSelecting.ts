import { useCallback, useState } from 'react';
import type { Entry } from '#contracts';
import { takeEntries } from '../api';

/** What is selected on the sheet: null until one begins to select. */
export interface Selecting {
  ids: ReadonlySet<string> | null;
  set: (ids: ReadonlySet<string> | null) => void;
  toggle: (entry: Entry) => void;
  add: (ids: readonly string[]) => void;
}

export function useSelecting(): Selecting {
  const [ids, set] = useState<ReadonlySet<string> | null>(null);
  const toggle = useCallback((entry: Entry) => {
    const { id } = entry;
    // Found in a collection that is away, it is had by itself from now on.
    takeEntries([entry]);
    set((all) => new Set(all?.has(id) ? [...all].filter((one) => one !== id) : [...(all ?? []), id]));
  }, []);
  const add = (more: readonly string[]) => set(new Set([...(ids ?? []), ...more]));
  return { ids, set, toggle, add };
}
