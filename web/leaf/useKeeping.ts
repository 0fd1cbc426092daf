import { useEffect, useMemo, useState } from 'react';
import type { Draft } from '#contracts';
import { call } from '../api/client';
import { DraftKeeper, type Keeping } from './draftKeeper';
import type { LocalCopy } from './localCopy';

/**
 * Keeps a draft saved while it is on the page, and tells where it stands. `copy` is what this computer kept of it: it goes to
 * the version that it was written on, so that what another computer saved meanwhile is never overwritten unseen.
 */
export function useKeeping(
  draft: Draft,
  member: string,
  copy: LocalCopy | null,
): { keeper: DraftKeeper; keeping: Keeping } {
  const [keeping, setKeeping] = useState<Keeping>({ kind: 'saved', at: draft.savedAt });
  const keeper = useMemo(() => {
    const save = (id: string, document: Draft['document'], version: number, over: boolean) =>
      call('saveDraft', {
        params: { draft: id },
        body: { document, ...(over && { over: true as const }) },
        version,
      });
    const setAside = (id: string, document: Draft['document']) =>
      call('setAside', { params: { draft: id }, body: { document } });
    return new DraftKeeper({ member, save, setAside, tell: setKeeping }, draft, copy?.version);
  }, [draft, member, copy]);
  useEffect(() => {
    const leave = () => keeper.copyNow();
    window.addEventListener('pagehide', leave);
    document.addEventListener('visibilitychange', leave);
    return () => {
      window.removeEventListener('pagehide', leave);
      document.removeEventListener('visibilitychange', leave);
      // Gone to another screen: what is unsaved stays on this computer, and is sent once more from there.
      keeper.copyNow();
      void keeper.flush();
    };
  }, [keeper]);
  return { keeper, keeping };
}
