import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { call, ForPeople, isProblem, Unreachable } from '#client/api';
import { calendarToday } from '#client/clock';
import { KEYS, queryClient, usePreferences } from '../../../api';
import type { LeafWithMaterial } from '../../../leaf';
import type { Message } from '#core/message';

/** A letter waits so many seconds before it goes, unless its writer says otherwise. */
export const USUAL_WAIT = 10;

/** Without a connection nothing goes out, neither now nor by itself later. */
class Offline extends ForPeople {
  constructor() {
    super('There is no connection, so it was not sent. What you write is safe; send it once you are online.');
  }
}

class NotSaved extends ForPeople {
  constructor() {
    super('It is not saved yet, so it was not sent. Nothing is lost.');
  }
}

type OnLeaf = Pick<LeafWithMaterial, 'draft' | 'keeper' | 'isWhole' | 'settle' | 'say'>;

/** Sends the letter on a leaf: it is saved first, and stays where it has a gap, or something is doubtful about it. */
export function useSending({ draft, keeper, isWhole, settle, say }: OnLeaf, answered: Message | null) {
  const preferences = usePreferences().data;
  const [doubts, setDoubts] = useState<readonly string[]>([]);
  // The letter's name, the same until the server has said something of it: sent again since its answer was lost, it is no second one.
  const [id, setId] = useState(() => crypto.randomUUID());
  const sending = useMutation({
    mutationFn: async (sure: boolean) => {
      if (!navigator.onLine) throw new Offline();
      await keeper.flush();
      if (!keeper.isSaved) throw new NotSaved();
      return call('sendDraft', {
        params: { draft: draft.id },
        version: keeper.savedVersion,
        body: {
          ...{ id, sure, today: calendarToday() },
          wait: preferences?.sendingWait ?? USUAL_WAIT,
          inReplyTo: answered?.id ?? null,
          references: [...(answered?.references ?? [])],
        },
      });
    },
    onSuccess: ({ draft: finished }) => {
      settle(finished);
      void queryClient.invalidateQueries({ queryKey: KEYS.sendings });
    },
    onSettled: (_, error) => {
      if (!(error instanceof Unreachable)) setId(crypto.randomUUID());
    },
    onError: (error) => {
      if (isProblem(error, 'doubtful')) setDoubts((error.problem.faults ?? []).map(({ message }) => message));
    },
  });
  const send = (sure: boolean) => {
    say(null);
    setDoubts([]);
    if (!sending.isPending && isWhole()) sending.mutate(sure);
  };
  return {
    send: () => send(false),
    sendSo: () => send(true),
    doubts,
    letBe: () => setDoubts([]),
    error: isProblem(sending.error, 'doubtful') ? null : sending.error,
    isPending: sending.isPending,
  };
}
