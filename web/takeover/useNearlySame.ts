import { useEffect, useState } from 'react';
import type { Entry } from '#contracts';
import { startLikenessSearch } from '#client/imports';
import type { NearlySame } from '#core/takeover';
import type { IntakeFile } from '#core/intake';

/** Whoever changes one row is likely to change another: all goes to the other thread once they pause. */
const PAUSE_MS = 400;

/** What arriving entries say nearly the same as, by their ids; null while it is looked for. */
export function useNearlySame(
  arriving: IntakeFile['entries'],
  here: readonly Entry[],
): ReadonlyMap<string, NearlySame> | null {
  const [found, setFound] = useState<{ of: unknown; result: ReadonlyMap<string, NearlySame> } | null>(null);
  useEffect(() => {
    const bare = ({ id, content }: Pick<Entry, 'id' | 'content'>) => ({ id, content });
    let worker: ReturnType<typeof startLikenessSearch> | undefined;
    let isOver = false;
    const put = (result: ReadonlyMap<string, NearlySame>) => !isOver && setFound({ of: arriving, result });
    const timer = setTimeout(() => {
      worker = startLikenessSearch();
      // Without it entries come as they are: nothing is told of what is like them.
      worker.remote.find(arriving.map(bare), here.map(bare)).then(put, () => put(new Map()));
    }, PAUSE_MS);
    return () => {
      isOver = true;
      clearTimeout(timer);
      worker?.end();
    };
  }, [arriving, here]);
  // What was found stays until it is found anew: a change of one title makes none of it wrong for long.
  return found?.result ?? null;
}
