import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { MOST_SENDING_WAIT, pathFor, type Sending } from '#contracts';
import { inWords, Unreachable } from '#client/api';
import { KEYS, usePreferences, useSendings } from '../../../api';
import { useSavePreferences } from '../../../offers';
import { Figure } from '../../../shell';
import { Button, Failed, Loading, Notice, SelectField } from '../../../ui';
import { MessageRead } from '../MessageRead';
import { LetterState } from '../sending/OnItsWay';
import { USUAL_WAIT } from '../sending/useSending';

/** A letter as its receiver's mail program reads it: the very message, read anew. */
function AsReceived({ id }: { id: string }) {
  const read = useQuery({
    queryKey: [...KEYS.sendings, id, 'message'],
    queryFn: async () => {
      const [{ readMessage }, response] = await Promise.all([
        import('#core/message'),
        fetch(pathFor('sentMessage', { sending: id })).catch(() => null),
      ]);
      if (!response?.ok) throw new Unreachable();
      const message = await readMessage(new Uint8Array(await response.arrayBuffer()));
      if (!message) throw new Unreachable();
      return message;
    },
    // What went out does not change.
    staleTime: Infinity,
  });
  if (read.isError) return <Notice tone="warning" title={inWords(read.error)} />;
  if (!read.data) return <Loading what="the letter" />;
  const { attachments } = read.data;
  return (
    <div className="mt-2 border border-hair px-4">
      <MessageRead message={read.data} isLast />
      {attachments.length > 0 && (
        <p className="pb-3 text-[13px] text-soft">Along: {attachments.map(({ name }) => name).join(', ')}</p>
      )}
    </div>
  );
}

function Letter({ sending }: { sending: Sending }) {
  const [isRead, read] = useState(false);
  const { id, subject, case: of, draft, state } = sending;
  return (
    <li className="border-b border-hair px-9 py-4 max-[899px]:px-4">
      <article aria-label={subject || 'A letter without a subject'}>
        <h2 className="font-book text-[18px] break-words">
          {of && draft ? (
            <Link to={`/cases/${of}/leaves/${draft}`} className="hover:text-elder">
              {subject || 'no subject'}
            </Link>
          ) : (
            subject || 'no subject'
          )}
        </h2>
        <LetterState sending={sending} takeBack={null} />
        {state === 'waiting' && (
          <p className="text-[13px] text-soft">Open its leaf and press F9 to take it back.</p>
        )}
        <p className="mt-1">
          <Button look="text" aria-expanded={isRead} onClick={() => read(!isRead)}>
            {isRead ? 'Close the letter' : 'Read it as it arrives'}
          </Button>
        </p>
        {isRead && <AsReceived id={id} />}
      </article>
    </li>
  );
}

const WAITS = [0, 5, 10, 20, 30, 60, MOST_SENDING_WAIT];

/** How long a letter waits in which it can be taken back. */
function Wait() {
  const preferences = usePreferences();
  const save = useSavePreferences();
  const wait = preferences.data?.sendingWait ?? USUAL_WAIT;
  return (
    <>
      <SelectField
        label="A letter waits before it goes"
        hint="In this time F9 on its leaf takes it back"
        value={wait}
        disabled={!preferences.data}
        onChange={({ target }) => {
          // Read now: the change is worked out later, when the field shows what was saved.
          const sendingWait = Number(target.value);
          save.mutate((before) => ({ ...before, sendingWait }));
        }}
      >
        {[...new Set([...WAITS, wait])]
          .sort((a, b) => a - b)
          .map((seconds) => (
            <option key={seconds} value={seconds}>
              {seconds === 0 ? 'not at all' : `${seconds} seconds`}
            </option>
          ))}
      </SelectField>
      {save.error && <Notice tone="warning" title={inWords(save.error)} />}
    </>
  );
}

/** The letters that one sent: what is to be decided first, then the newest. */
export function OutboxPage() {
  const sendings = useSendings();
  const all = sendings.data ?? [];
  const needs = ({ state }: Sending) => state === 'refused' || state === 'perhaps-gone';
  const sorted = [...all.filter(needs), ...all.filter((one) => !needs(one))];
  const laid = all.some(({ byServer, state }) => !byServer && state === 'gone');
  return (
    <Figure
      marginLabel="About the outbox"
      margin={
        <div className="grid gap-5 pt-6">
          <Wait />
          {laid && (
            <p className="text-[14px] text-soft">
              No mail server is set: letters are kept here. Download one to send it with a mail program of
              your own.
            </p>
          )}
        </div>
      }
    >
      <h1 className="px-9 pt-6 pb-2 font-book text-[26px] leading-tight max-[899px]:px-4">Outbox</h1>
      {sendings.isPending && <Loading what="your letters" />}
      {sendings.isError && (
        <Failed what="your letters" error={sendings.error} retry={() => void sendings.refetch()} />
      )}
      {sendings.data?.length === 0 && (
        <p className="px-9 py-5 text-soft max-[899px]:px-4">
          You have sent no letter yet. On the leaf of an enquiry Alt + Enter sends the reply.
        </p>
      )}
      <ul>
        {sorted.map((sending) => (
          <Letter key={sending.id} sending={sending} />
        ))}
      </ul>
    </Figure>
  );
}
