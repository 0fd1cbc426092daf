import { useEffect, useMemo, useState } from 'react';
import type { CaseSummary, Draft } from '#contracts';
import { call } from '#client/api';
import { sendFirst } from '#client/waiting';
import { KEYS, queryClient } from '../../api';
import { withSavedDraft } from '#client/cases';
import { DraftKeeper, type Keeping, type LocalCopy } from '#client/drafts';

/** The desk, and the other leaves of its case, show how a draft begins and when it was saved. */
const askAgain = ({ case: of }: Draft) => {
  for (const queryKey of [KEYS.cases, KEYS.case(of)]) void queryClient.invalidateQueries({ queryKey });
};

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
    const save = async (id: string, document: Draft['document'], version: number, over: boolean) => {
      const body = { document, ...(over && { over: true as const }) };
      // One that was begun here without the server is made first.
      await sendFirst(member, id);
      const saved = await call('saveDraft', { params: { draft: id }, body, version });
      queryClient.setQueryData<CaseSummary[]>(KEYS.cases, (cases) => cases && withSavedDraft(cases, saved));
      return saved;
    };
    const setAside = (id: string, document: Draft['document']) =>
      call('setAside', { params: { draft: id }, body: { document } });
    const host = { member, save, setAside, tell: setKeeping, savedElsewhere: () => askAgain(draft) };
    return new DraftKeeper(host, draft, copy ?? undefined);
  }, [draft, member, copy]);
  useEffect(() => {
    const keepHere = () => keeper.copyNow();
    keeper.open();
    window.addEventListener('pagehide', keepHere);
    document.addEventListener('visibilitychange', keepHere);
    return () => {
      window.removeEventListener('pagehide', keepHere);
      document.removeEventListener('visibilitychange', keepHere);
      askAgain(draft);
      keeper.leave();
    };
  }, [keeper, draft]);
  return { keeper, keeping };
}
