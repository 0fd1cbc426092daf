import { useMutation } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { MOST_LETTERS_AT_ONCE, type LetterFault } from '#contracts';
import { call } from '#client/api';
import { calendarToday } from '#client/clock';
import { KEYS, queryClient, usePreferences } from '../../../api';
import { USUAL_WAIT } from '../../reply/sending/useSending';
import { countLetters } from './countLetters';
import type { Letter } from '../letterMaker';

/** Has letters sent in parts, till it is stopped: what was handed over goes on by itself, with this page closed too. */
export function useMailing(of: string) {
  // So long all can be stopped before the first goes.
  const wait = usePreferences().data?.sendingWait ?? USUAL_WAIT;
  const isStopped = useRef(false);
  const [done, setDone] = useState(0);
  const [faults, setFaults] = useState<readonly LetterFault[]>([]);
  const send = useMutation({
    mutationFn: async ({ letters, sure }: { letters: readonly Letter[]; sure: boolean }) => {
      isStopped.current = false;
      setDone(0);
      setFaults([]);
      for (let at = 0; at < letters.length && !isStopped.current; at += MOST_LETTERS_AT_ONCE) {
        const part = letters.slice(at, at + MOST_LETTERS_AT_ONCE);
        const answer = await call('sendBatchLetters', {
          params: { case: of },
          body: {
            letters: part.map(({ row, document }) => ({ row: row.id, document: document! })),
            ...{ wait, today: calendarToday() },
            sure: sure ? part.map(({ row }) => row.id) : [],
          },
        });
        countLetters(part.filter(({ row }) => answer.sent.includes(row.id)));
        setDone(at + part.length);
        setFaults((before) => [...before, ...answer.faults]);
      }
    },
    onSettled: () => queryClient.invalidateQueries({ queryKey: KEYS.batch(of) }),
  });
  const stop = useMutation({
    mutationFn: () => {
      isStopped.current = true;
      return call('stopBatch', { params: { case: of } });
    },
    onSettled: () => queryClient.invalidateQueries({ queryKey: KEYS.batch(of) }),
  });
  return { send, stop, done, faults };
}
