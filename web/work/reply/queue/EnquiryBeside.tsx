import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Enquiry, EnquiryChange } from '#contracts';
import { inWords } from '#client/api';
import { calendarToday, dayInWords, instantInWords } from '#client/clock';
import { useTeam } from '../../../api';
import { useShell } from '../../../shell';
import { Button, Key, Notice, SelectField, TextField } from '../../../ui';
import { useEnquiryChange } from './useEnquiry';

interface Acting {
  one: Enquiry;
  act: (change: EnquiryChange, then?: { onSuccess: () => void }) => void;
  isPending: boolean;
}

/** Hands an enquiry on to a colleague, with a word. */
function HandOn({ act, isPending }: Acting) {
  const { member } = useShell();
  const { data: team } = useTeam();
  const [to, setTo] = useState('');
  const [word, setWord] = useState('');
  return (
    <form
      aria-label="Pass it on"
      className="grid gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (to !== '') act({ do: 'hand-on', to, word });
      }}
    >
      <SelectField label="Pass it on to" value={to} onChange={({ target }) => setTo(target.value)}>
        <option value="">nobody</option>
        {team?.members
          .filter(({ id, left }) => id !== member.id && !left)
          .map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
      </SelectField>
      {to !== '' && (
        <>
          <TextField
            label="With a message"
            value={word}
            maxLength={2000}
            onChange={({ target }) => setWord(target.value)}
          />
          <Button type="submit" className="justify-self-start" disabled={isPending}>
            Pass it on
          </Button>
        </>
      )}
    </form>
  );
}

/** Puts an enquiry off to a day, on which it is back among what waits. */
function PutOff({ one, act, isPending }: Acting) {
  const today = calendarToday();
  if (one.putOffTo !== null && one.putOffTo > today)
    return (
      <p className="text-[14px]">
        Put off to {dayInWords(`${one.putOffTo}T12:00:00`)}.{' '}
        <Button look="text" disabled={isPending} onClick={() => act({ do: 'put-off', to: null })}>
          Show it now
        </Button>
      </p>
    );
  return (
    <TextField
      label="Put it off to"
      type="date"
      min={today}
      onChange={({ target }) => {
        // A day that is being typed is none yet.
        if (target.value > today) act({ do: 'put-off', to: target.value });
      }}
    />
  );
}

/** A note of each enquiry that was begun and not saved, by the enquiry's case. */
export type BegunNotes = Map<string, string>;

function Notes({ one, act, isPending, begun }: Acting & { begun: BegunNotes }) {
  const [text, setText] = useState(() => begun.get(one.case) ?? '');
  const write = (words: string) => {
    begun.set(one.case, words);
    setText(words);
  };
  return (
    <form
      aria-label="Notes of the enquiry"
      className="grid gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (text.trim() === '' || isPending) return;
        // It stays until it is saved, and what is written meanwhile longer.
        const clear = () => {
          if (begun.get(one.case) === text) write('');
        };
        act({ do: 'note', text }, { onSuccess: clear });
      }}
    >
      {one.notes.length > 0 && (
        <ul aria-label="Notes" className="text-[14px]">
          {one.notes.map(({ id, byName, at, text: said }) => (
            <li key={id} className="border-l-2 border-hair py-1 pl-3">
              <span className="break-words whitespace-pre-line">{said}</span>
              <span className="block text-[13px] text-soft">
                {byName}, {instantInWords(at)}
              </span>
            </li>
          ))}
        </ul>
      )}
      <TextField
        label="Note for colleagues"
        value={text}
        maxLength={2000}
        onChange={({ target }) => write(target.value)}
      />
      {text.trim() !== '' && (
        <Button type="submit" className="justify-self-start" disabled={isPending}>
          Save the note
        </Button>
      )}
    </form>
  );
}

/** Where it stands, said by hand: a letter that is sent says so by itself. */
function Standing({ one: { state }, act, isPending }: Acting) {
  const to = (next: Enquiry['state']) => () => act({ do: 'set', state: next });
  return (
    <p className="flex flex-wrap gap-x-4 gap-y-1 text-[14px]">
      {state !== 'open' && (
        <Button look="text" disabled={isPending} onClick={to('open')}>
          It is to be answered
        </Button>
      )}
      {state !== 'awaiting' && (
        <Button look="text" disabled={isPending} onClick={to('awaiting')}>
          We wait for their answer
        </Button>
      )}
      {state !== 'answered' && (
        <Button look="text" disabled={isPending} onClick={to('answered')}>
          Nothing to answer
        </Button>
      )}
    </p>
  );
}

/** The one thing to do with an enquiry: take it, or go on with it; nothing where somebody else answers it. */
function Main({ one, act, isPending, take }: Acting & { take: () => void }) {
  const { member } = useShell();
  const navigate = useNavigate();
  if (one.takenBy !== null && one.takenBy !== member.id)
    return <p className="font-semibold">{one.takenByName} answers it.</p>;
  return (
    <p className="flex flex-wrap items-center gap-3">
      {one.isMine ? (
        <Button look="main" onClick={() => void navigate(`/cases/${one.case}`)}>
          Open its leaf
        </Button>
      ) : (
        <Button look="main" disabled={isPending} onClick={take}>
          Take and answer <Key>T</Key>
        </Button>
      )}
      {one.takenBy === member.id && (
        <Button look="text" disabled={isPending} onClick={() => act({ do: 'put-back' })}>
          Put it back
        </Button>
      )}
    </p>
  );
}

interface Props {
  one: Enquiry;
  /** Of the same sender: what it can be joined to. */
  alike: readonly Enquiry[];
  take: () => void;
  isTaking: boolean;
  /** Whether it is ticked, to be answered together with others. */
  isTicked: boolean;
  tick: () => void;
  begun: BegunNotes;
}

/** What is known of one enquiry of the queue, and what can be done with it. */
export function EnquiryBeside({ one, alike, take, isTaking, isTicked, tick, begun }: Props) {
  const { member } = useShell();
  const change = useEnquiryChange(one.case);
  const acting = { one, act: change.mutate, isPending: change.isPending || isTaking };
  const isOthers = one.takenBy !== null && one.takenBy !== member.id;
  return (
    <section aria-label={one.title} className="grid gap-4">
      <div>
        <h2 className="section-head break-words">{one.title}</h2>
        <p className="text-[14px] break-words text-soft">
          {one.fromName} {one.fromAddress && `<${one.fromAddress}>`}
          {one.messages > 1 && `, ${one.messages} messages`}
        </p>
      </div>
      <div
        className="book max-h-[30vh] overflow-y-auto text-[15px] break-words whitespace-pre-wrap"
        tabIndex={0}
        role="region"
        aria-label="What they wrote"
      >
        {one.excerpt || <span className="text-soft">It has no words.</span>}
      </div>
      <Main {...acting} take={take} />
      {change.error && <Notice tone="warning" title={inWords(change.error)} />}
      {!isOthers && (
        <>
          <Standing {...acting} />
          {one.state !== 'answered' && (
            <Button
              look="text"
              className="justify-self-start text-[14px]"
              aria-pressed={isTicked}
              onClick={tick}
            >
              {isTicked ? 'Untick it' : 'Tick it, for a batch of letters'} <Key>X</Key>
            </Button>
          )}
          <HandOn {...acting} key={`to ${one.takenBy}`} />
          <PutOff {...acting} />
          {alike.map((other) => (
            <p key={other.case} className="text-[14px]">
              The same sender asks in “{other.title}”.{' '}
              <Button
                look="text"
                disabled={acting.isPending}
                onClick={() => change.mutate({ do: 'join', to: other.case })}
              >
                Join it to that
              </Button>
            </p>
          ))}
        </>
      )}
      <Notes {...acting} begun={begun} />
    </section>
  );
}
