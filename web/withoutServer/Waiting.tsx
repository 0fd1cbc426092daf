import { useState, type ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import type { WaitingAct } from '#client/atHand';
import { dropWaiting, noteRefused, sendWaiting, tellWaiting } from '#client/waiting';
import { dropUnsentText, readCopy } from '#client/drafts';
import { excerpt } from '#core/passage';
import { keepUnsaved, readUnsaved, unsavedKey } from '#client/unsaved';
import { instantInWords } from '#client/clock';
import { dropUnsent } from '../api';
import { Button, Notice } from '../ui';
import { copyRich } from '../writing';
import type { UnsentText } from './useUnsentTexts';

const NAME_LENGTH = 80;

/** A button that asks once more before what it does cannot be undone. */
function Discard({ what, run }: { what: string; run: () => void }) {
  const [isAsked, setAsked] = useState(false);
  if (!isAsked)
    return (
      <Button look="text" aria-label={`Discard ${what}`} onClick={() => setAsked(true)}>
        Discard
      </Button>
    );
  return (
    <span className="flex flex-wrap gap-2">
      <Button autoFocus onClick={() => setAsked(false)}>
        Keep it
      </Button>
      <Button onClick={run}>Discard for good</Button>
    </span>
  );
}

function Line({ title, told, children }: { title: ReactNode; told: string; children: ReactNode }) {
  return (
    <li className="grid gap-1 border-b border-hair py-2">
      <span className="font-book text-[17px] break-words">{title}</span>
      <span className="text-[13px] break-words text-soft">{told}</span>
      <span className="flex flex-wrap items-center gap-3">{children}</span>
    </li>
  );
}

/** What it is called: a leaf without a title by what is written on it. */
function nameOf(act: WaitingAct): string {
  const copy = act.kind === 'leaf' && !act.case?.title ? readCopy(act.member, act.draft.id) : null;
  return (copy && excerpt(copy.document, NAME_LENGTH)) || act.name;
}

function ActLine({ act }: { act: WaitingAct }) {
  const navigate = useNavigate();
  const [isHeld, setHeld] = useState(false);
  const { member, refused } = act;
  const told = [
    act.kind === 'leaf' ? 'A leaf' : 'An entry',
    `made ${instantInWords(act.at)}`,
    refused === null ? 'is sent once the server can be reached' : `refused by the server: ${refused}`,
  ].join(', ');
  const drop = async () => {
    if (act.kind === 'leaf') dropUnsentText(member, act.draft.id);
    else dropUnsent(act.id);
    await dropWaiting(act);
  };
  const openEntry = async (entry: Extract<WaitingAct, { kind: 'entry' }>['entry']) => {
    const key = unsavedKey(member, undefined);
    if (readUnsaved(key)) return setHeld(true);
    keepUnsaved(key, { base: 0, content: entry.content, reason: entry.reason ?? '' });
    await drop();
    await navigate('/bank/new');
  };
  const sendAgain = async () => {
    await noteRefused(act, null);
    await sendWaiting(member);
  };
  return (
    <Line title={nameOf(act)} told={told}>
      {act.kind === 'leaf' && (
        <Link
          to={`/cases/${act.of}/leaves/${act.draft.id}`}
          className="text-elder underline underline-offset-4"
        >
          Open it
        </Link>
      )}
      {act.kind === 'entry' && refused !== null && (
        <Button onClick={() => void openEntry(act.entry)}>Change it as a new entry</Button>
      )}
      {refused !== null && <Button onClick={() => void sendAgain()}>Send it again</Button>}
      <Discard what={act.name} run={() => void drop()} />
      {isHeld && (
        <Notice title="You began another entry, which is not saved yet.">Save or discard it first.</Notice>
      )}
    </Line>
  );
}

function TextLine({ member, text }: { member: string; text: UnsentText }) {
  const [isCopied, setCopied] = useState(false);
  return (
    <Line title={text.title} told={`“${text.begins}”`}>
      {text.to && (
        <Link to={text.to} className="text-elder underline underline-offset-4">
          Open it
        </Link>
      )}
      <Button onClick={() => void copyRich(text.document).then(() => setCopied(true))}>Copy its words</Button>
      <Discard
        what={text.title}
        run={() => {
          dropUnsentText(member, text.draft);
          tellWaiting();
        }}
      />
      <span role="status" className="text-[13px] text-soft">
        {isCopied && 'Copied.'}
      </span>
    </Line>
  );
}

interface Props {
  member: string;
  acts: readonly WaitingAct[];
  texts: readonly UnsentText[];
}

/** What only this computer has, and what becomes of each. */
export function Waiting({ member, acts, texts }: Props) {
  if (acts.length === 0 && texts.length === 0)
    return <p className="text-[15px]">Nothing. Everything you made and wrote here is on the server.</p>;
  return (
    <ul aria-label="Not on the server yet">
      {acts.map((act) => (
        <ActLine key={act.order} act={act} />
      ))}
      {texts.map((text) => (
        <TextLine key={text.draft} member={member} text={text} />
      ))}
    </ul>
  );
}
