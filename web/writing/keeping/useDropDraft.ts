import { useMutation } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import type { Draft } from '#contracts';
import { call, inWords } from '#client/api';
import { KEYS, queryClient } from '../../api';
import { type DraftKeeper, dropCopy } from '#client/drafts';

/** Puts the draft into the wastebasket and goes to the desk, which tells how to bring it back. */
export function useDropDraft(draft: Draft, keeper: DraftKeeper, say: (words: string) => void): () => void {
  const navigate = useNavigate();
  const drop = useMutation({
    mutationFn: async () => {
      await keeper.flush();
      return call('deleteDraft', { params: { draft: draft.id }, version: keeper.savedVersion });
    },
    onSuccess: ({ id }) => {
      dropCopy(draft.author, draft.id);
      for (const queryKey of [KEYS.cases, KEYS.wastebasket]) void queryClient.invalidateQueries({ queryKey });
      void navigate('/', { state: { deleted: id } });
    },
    onError: (error) => say(inWords(error)),
  });
  return drop.mutate;
}
