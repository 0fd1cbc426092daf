import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import type { CaseSummary, Draft } from '#contracts';
import { call, ForPeople, isReached } from '#client/api';
import { KEYS, queryClient } from '../../api';
import { withSavedDraft } from '#client/cases';
import type { DraftKeeper } from '#client/drafts';

/** Without a connection nothing is finished, neither now nor by itself later. */
class Offline extends ForPeople {
  constructor() {
    super(
      'The server cannot be reached, so the draft is not finished. What you write is safe; finish it once you are online.',
    );
  }
}

/** The text could not be saved, so it could not be finished either; the margin already says why. */
class NotSaved extends ForPeople {
  constructor() {
    super('It is not saved yet, so it was not finished. Nothing is lost.');
  }
}

/** Finishing a draft, and opening it again. The text is saved first; `state` is where it stands. */
export function useFinishing(draft: Draft, keeper: DraftKeeper) {
  const [state, setState] = useState(draft.state);
  const settle = (settled: Draft) => {
    keeper.goOnFrom(settled.version);
    setState(settled.state);
    // At once: a desk that is put in order while one looks at it moves what one is about to click.
    queryClient.setQueryData<CaseSummary[]>(KEYS.cases, (cases) => cases && withSavedDraft(cases, settled));
    void queryClient.invalidateQueries({ queryKey: KEYS.cases });
  };
  const params = { draft: draft.id };
  const finish = useMutation({
    mutationFn: async () => {
      if (!navigator.onLine || !isReached()) throw new Offline();
      await keeper.flush();
      if (!keeper.isSaved) throw new NotSaved();
      return call('finishDraft', { params, version: keeper.savedVersion });
    },
    onSuccess: settle,
  });
  const reopen = useMutation({
    mutationFn: () => call('reopenDraft', { params, version: keeper.savedVersion }),
    onSuccess: settle,
  });
  return { state, finish, reopen, settle, error: finish.error ?? reopen.error };
}
