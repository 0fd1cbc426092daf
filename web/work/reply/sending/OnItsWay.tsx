import { useMutation, useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { pathFor, type Sending } from '#contracts';
import { call, inWords } from '#client/api';
import { instantInWords } from '#client/clock';
import { mailboxInWords } from '#core/mail';
import { KEYS, queryClient } from '../../../api';
import { Button, Key, Notice } from '../../../ui';

/** Seconds till a moment, counted down; none is below nought. */
function useSecondsTill(moment: string, counts: boolean): number {
  const left = () => Math.max(0, Math.ceil((new Date(moment).getTime() - Date.now()) / 1000));
  const [seconds, setSeconds] = useState(left);
  useEffect(() => {
    if (!counts) return;
    const tick = () => setSeconds(Math.max(0, Math.ceil((new Date(moment).getTime() - Date.now()) / 1000)));
    const timer = setInterval(tick, 250);
    return () => clearInterval(timer);
  }, [moment, counts]);
  return seconds;
}

/** Where a letter is, in words. */
export function whereInWords({ state, byServer, stateAt }: Sending, seconds: number): string {
  switch (state) {
    case 'waiting':
      return seconds > 0
        ? `It goes in ${seconds} ${seconds === 1 ? 'second' : 'seconds'}.`
        : 'It is about to go.';
    case 'going':
      return 'It is going out.';
    case 'gone':
      return byServer
        ? `It went out ${instantInWords(stateAt)}.`
        : `It was put in the outbox ${instantInWords(stateAt)}: no mail server is set.`;
    case 'perhaps-gone':
      return 'It has perhaps gone: nobody knows.';
    case 'refused':
      return 'It has not gone.';
    case 'taken-back':
      return `It was taken back ${instantInWords(stateAt)}.`;
  }
}

interface Props {
  sending: Sending;
  /** Takes it back while it waits; null where that is done elsewhere. */
  takeBack: (() => void) | null;
}

/** One letter: to whom, where it is, and what can be done about it. */
export function LetterState({ sending, takeBack }: Props) {
  const { id, to, cc, state, reason, goesAt } = sending;
  const seconds = useSecondsTill(goesAt, state === 'waiting');
  const change = useMutation({
    mutationFn: (what: 'taken-back' | 'sent-again' | 'said-gone') =>
      call('changeSending', { params: { sending: id }, body: { do: what } }),
    onSettled: () => queryClient.invalidateQueries({ queryKey: KEYS.sendings }),
  });
  const isDoubtful = state === 'perhaps-gone' || state === 'refused';
  return (
    <div>
      <p className="text-[14.5px] break-words">To {[...to, ...cc].map(mailboxInWords).join(', ')}</p>
      <p role="status" className={isDoubtful ? 'font-semibold text-rust' : ''}>
        {whereInWords(sending, seconds)}
      </p>
      {reason !== '' && <p className="text-[13px] break-words text-soft">{reason}</p>}
      <div className="mt-2 flex flex-wrap items-baseline gap-3 text-[14px]" data-print="no">
        {state === 'waiting' && takeBack && (
          <Button onClick={takeBack}>
            Take it back <Key>F9</Key>
          </Button>
        )}
        {isDoubtful && (
          <Button disabled={change.isPending} onClick={() => change.mutate('sent-again')}>
            {state === 'refused' ? 'Try again' : 'Send it again'}
          </Button>
        )}
        {state === 'perhaps-gone' && (
          <Button disabled={change.isPending} onClick={() => change.mutate('said-gone')}>
            It has gone
          </Button>
        )}
        {isDoubtful && (
          <Button look="text" disabled={change.isPending} onClick={() => change.mutate('taken-back')}>
            Send it no more
          </Button>
        )}
        <a
          href={pathFor('sentMessage', { sending: id })}
          className="text-elder underline"
          aria-label={`Download the message to ${to[0]?.address ?? ''}`}
        >
          Download (eml)
        </a>
      </div>
      {change.error && <Notice tone="warning" title={inWords(change.error)} />}
    </div>
  );
}

/** The letters that were sent from a leaf, the newest first. */
export function OnItsWay({ draft, takeBack }: { draft: string; takeBack: () => void }) {
  const sendings = useQuery({
    queryKey: KEYS.sendingsOf(draft),
    queryFn: () => call('draftSendings', { params: { draft } }),
  });
  if (sendings.isError) return <Notice tone="warning" title={inWords(sendings.error)} />;
  if (!sendings.data || sendings.data.length === 0) return null;
  return (
    <section aria-label="Sent" className="slip">
      <h2 className="section-head">Sent</h2>
      <ul className="grid gap-3">
        {sendings.data.map((sending) => (
          <li key={sending.id}>
            <LetterState sending={sending} takeBack={takeBack} />
          </li>
        ))}
      </ul>
    </section>
  );
}
