import { useMutation } from '@tanstack/react-query';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { Collection, Entry } from '#contracts';
import { newEntry, proposeTitle, type EntryContent } from '#core/entry';
import { proposeCue } from '#core/cue';
import { DEFAULT_PREFERENCES } from '#core/glossary';
import type { Passage } from '#core/passage';
import { capture, type Captured } from '#core/privacy';
import type { Placements } from '#core/draft';
import type { BankIndex } from '../bank/bankIndex';
import { PassageView } from '../bank/PassageView';
import { takenCues } from '../bank/takenCues';
import { call, inWords, isProblem } from '../api/client';
import { takeKept, usePreferences } from '../api/queries';
import { Button, Key, Notice, SelectField, TextField } from '../ui';
import { SignInAgain } from '../account/SignInAgain';
import { useShell } from '../shell/ShellContext';
import type { CaseToday } from './usePlacing';

function Particulars({
  captured,
  turnedBack,
  toggle,
}: {
  captured: Captured;
  turnedBack: ReadonlySet<string>;
  toggle: (key: string) => void;
}) {
  if (captured.particulars.length === 0) return null;
  return (
    <fieldset>
      <legend className="eyebrow">Particulars of this case, made into fields</legend>
      {captured.particulars.map(({ key, words, label }) => (
        <label key={key} className="flex items-baseline gap-2 border-b border-hair py-1 text-[14px]">
          <input
            type="checkbox"
            checked={!turnedBack.has(key)}
            onChange={() => toggle(key)}
            className="accent-elder"
          />
          <span className="min-w-0 break-words">{words}</span>
          <span className="ml-auto shrink-0 text-[12.5px] text-soft">
            {turnedBack.has(key) ? 'stays as it is' : label}
          </span>
        </label>
      ))}
    </fieldset>
  );
}

interface Props {
  words: Passage;
  placements: Placements;
  needs: CaseToday;
  index: BankIndex;
  home: string;
  close: (kept: Entry | null) => void;
}

interface Slip {
  title: string;
  cue: string;
  collection: Collection | undefined;
  captured: Captured;
}

function contentOf({ title, cue, collection, captured }: Slip): EntryContent {
  return {
    ...newEntry(title.trim(), collection?.language ?? 'en-GB', captured.passage),
    fields: captured.fields,
    cues: cue.trim() === '' ? [] : [{ text: cue.trim() }],
  };
}

/** Sends the slip to the bank, and shows the entry on this page without waiting for the live event. */
function useKeep(close: (kept: Entry) => void) {
  return useMutation({
    mutationFn: (slip: Slip) => {
      const body = {
        collection: slip.collection?.id ?? '',
        content: contentOf(slip),
        reason: 'Kept from a leaf',
      };
      return call('makeEntry', { body });
    },
    onSuccess: (entry) => {
      takeKept(entry);
      close(entry);
    },
  });
}

/** The slip in the margin on which selected words are kept: a title, a free cue, a place, no one's particulars. */
export function CaptureSlip({ words, placements, needs, index, home, close }: Props) {
  const [turnedBack, setTurnedBack] = useState<ReadonlySet<string>>(new Set());
  const captured = useMemo(
    () => capture(words, { placements, ...needs }, turnedBack),
    [words, placements, needs, turnedBack],
  );
  const keepable = index.bank.collections.filter(({ right }) => right === 'keep');
  const [place, setPlace] = useState(home);
  const collection = keepable.find(({ id }) => id === place) ?? keepable[0];
  const leadIn = collection?.leadIn ?? '';
  const [title, setTitle] = useState(() => proposeTitle(captured.passage));
  const preferences = usePreferences().data ?? DEFAULT_PREFERENCES;
  const [ownCue, setOwnCue] = useState<string | null>(null);
  const cue =
    ownCue ?? (title.trim() === '' ? '' : proposeCue(title, takenCues(index, leadIn), preferences.cuesBy));
  const keep = useKeep(close);
  const { member } = useShell();
  const first = useRef<HTMLInputElement>(null);
  useEffect(() => first.current?.select(), []);
  const toggle = (key: string) => {
    const next = new Set(turnedBack);
    if (!next.delete(key)) next.add(key);
    setTurnedBack(next);
  };
  const proposed = isProblem(keep.error, 'cue-taken') ? keep.error.problem.proposed : undefined;
  const submit = (event: React.FormEvent) => {
    event.preventDefault();
    if (!keep.isPending) keep.mutate({ title, cue, collection, captured });
  };
  const signedOut = isProblem(keep.error, 'not-signed-in');
  return (
    <div className="grid gap-3">
      <form
        aria-label="Keep wording"
        className="slip grid gap-3"
        onSubmit={submit}
        onKeyDown={(event) => {
          if (event.key === 'Escape') close(null);
        }}
      >
        <TextField
          ref={first}
          label="Title"
          value={title}
          maxLength={200}
          onChange={(event) => setTitle(event.target.value)}
        />
        <div className="grid grid-cols-[8rem_1fr] gap-4">
          <TextField
            label={leadIn ? `Cue, after ${leadIn}` : 'Cue'}
            value={cue}
            maxLength={40}
            spellCheck={false}
            className="cue"
            onChange={(event) => setOwnCue(event.target.value)}
          />
          <SelectField
            label="Kept in"
            value={collection?.id}
            onChange={(event) => setPlace(event.target.value)}
          >
            {keepable.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </SelectField>
        </div>
        <Particulars captured={captured} turnedBack={turnedBack} toggle={toggle} />
        <div
          className="book max-h-48 overflow-y-auto border-l border-hair pl-3 text-[15px]"
          tabIndex={0}
          aria-label="The wording as it is kept"
        >
          <PassageView
            passage={captured.passage}
            nameOf={(id) => captured.fields.find((field) => field.id === id)?.name ?? id}
          />
        </div>
        {keep.isError && !signedOut && (
          <Notice tone="warning" title={inWords(keep.error)}>
            Nothing was lost: change it here and keep it again.{' '}
            {proposed && (
              <Button look="text" onClick={() => setOwnCue(proposed)}>
                Use {leadIn + proposed}
              </Button>
            )}
          </Notice>
        )}
        <p className="flex items-center gap-3">
          <Button look="main" type="submit" disabled={keep.isPending}>
            Keep
          </Button>
          <span className="text-[13px] text-soft">
            <Key>Enter</Key> keeps, <Key>Esc</Key> does not
          </span>
        </p>
      </form>
      {signedOut && (
        <SignInAgain
          member={member}
          kept="Nothing on the slip was lost."
          goOn={() => keep.mutate({ title, cue, collection, captured })}
        />
      )}
    </div>
  );
}
