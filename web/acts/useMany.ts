import { useMutation } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { quietly, releaseDone, setDone, sendSteps, type DoneToMany } from '#client/acts';
import { KEYS, queryClient } from '../api';
import { useLastDone } from './useLastDone';

const settled = () => {
  for (const queryKey of [KEYS.bank, KEYS.wastebasket]) void queryClient.invalidateQueries({ queryKey });
};

/** Takes back what was done last. */
function useTakingBack() {
  return useMutation({
    mutationFn: async ({ undo }: DoneToMany) => {
      if (undo.length > 0) await sendSteps(undo);
    },
    onSuccess: () => setDone(null),
    onSettled: settled,
  });
}

/** A part of the page that tells what was done by it, as long as it is there. */
class Teller {
  isHere = false;

  /** It is there; what comes back is done when it goes. */
  appear(): () => void {
    this.isHere = true;
    return () => {
      this.isHere = false;
      releaseDone(this);
    };
  }
}

/** Does things to many entries. What takes the last of them back is told here, and stays at hand when one goes elsewhere. */
export function useMany(after: () => void) {
  const [me] = useState(() => new Teller());
  const { done, toldBy } = useLastDone();
  useEffect(() => me.appear(), [me]);
  const back = useTakingBack();
  const act = useMutation({
    mutationFn: async (work: () => Promise<DoneToMany>) => {
      const again = quietly();
      try {
        return await work();
      } catch (error) {
        again();
        throw error;
      }
    },
    onSuccess: (what) => {
      // Done only after one has left, it is told by the page around.
      setDone(what, me.isHere ? me : null);
      after();
    },
    onSettled: settled,
  });
  const own = toldBy === me ? done : null;
  return {
    done: own,
    /** Does something; `succeeded` is called once it is done, and not where it failed. */
    run: (work: () => Promise<DoneToMany>, succeeded?: () => void) => {
      back.reset();
      act.mutate(work, { onSuccess: succeeded });
    },
    undo: () => own && back.mutate(own),
    pending: act.isPending || back.isPending,
    error: act.error ?? back.error,
  };
}

/** What was done last by a part of a page that one has left, and its undo; done null where there is none. */
export function useDoneElsewhere() {
  const { done, toldBy } = useLastDone();
  const back = useTakingBack();
  const shown = toldBy === null ? done : null;
  return {
    done: shown,
    undo: () => shown && back.mutate(shown),
    pending: back.isPending,
    error: back.error,
    putAway: () => setDone(null),
  };
}
