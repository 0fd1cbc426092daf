import { useMutation } from '@tanstack/react-query';
import { useLocation, useNavigate } from 'react-router';
import { call, inWords } from '#client/api';
import { KEYS, queryClient } from '../api';
import { Button, Notice } from '../ui';

/** Told on the desk after a draft was deleted on its leaf, with its way back. */
export function DeletedDraft() {
  const deleted = (useLocation().state as { deleted?: string } | null)?.deleted;
  const navigate = useNavigate();
  const restore = useMutation({
    mutationFn: (deletion: string) => call('restore', { params: { deletion }, body: { entries: null } }),
    onSuccess: () => {
      for (const queryKey of [KEYS.cases, KEYS.wastebasket]) void queryClient.invalidateQueries({ queryKey });
      void navigate('/', { replace: true, state: null });
    },
  });
  if (!deleted) return null;
  return (
    <div className="px-9 pt-3 max-[899px]:px-4">
      <Notice title="Your draft is in the wastebasket.">
        <Button look="text" disabled={restore.isPending} onClick={() => restore.mutate(deleted)}>
          Undo
        </Button>
        {restore.error && <p>{inWords(restore.error)}</p>}
      </Notice>
    </div>
  );
}
