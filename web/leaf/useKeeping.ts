import { useEffect, useMemo, useState } from 'react';
import type { Draft } from '#contracts';
import { call } from '../api/client';
import { DraftKeeper, type Keeping } from './draftKeeper';

/** Keeps a draft saved while it is on the page, and tells where it stands. */
export function useKeeping(draft: Draft, member: string): { keeper: DraftKeeper; keeping: Keeping } {
  const [keeping, setKeeping] = useState<Keeping>({ kind: 'saved', at: draft.savedAt });
  const keeper = useMemo(() => {
    const save = (id: string, document: Draft['document'], version: number) =>
      call('saveDraft', { params: { draft: id }, body: { document }, version });
    return new DraftKeeper({ member, save, tell: setKeeping }, draft);
  }, [draft, member]);
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
