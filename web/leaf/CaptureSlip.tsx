import { useEffect, useRef } from 'react';
import type { Captured, CapturedPersonal } from '#core/privacy';
import { SignInAgain } from '../account/SignInAgain';
import { inWords, isProblem } from '../api/client';
import { KIND_WORDS } from '../order/kindWords';
import { PassageView } from '../bank/PassageView';
import { useShell } from '../shell/ShellContext';
import { Button, Key, Notice, TextField } from '../ui';
import { CapturePlace } from './CapturePlace';
import { InPlaceOf } from './InPlaceOf';
import { useCaptureSlip, type CaptureProps } from './useCaptureSlip';

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

/** Words that look like somebody's details though the record of the case does not know them. */
function Personal({
  personal,
  turnedBack,
  toggle,
}: {
  personal: readonly CapturedPersonal[];
  turnedBack: ReadonlySet<string>;
  toggle: (key: string) => void;
}) {
  if (personal.length === 0) return null;
  return (
    <fieldset>
      <legend className="eyebrow">Somebody’s details? Ticked, they become fields</legend>
      {personal.map(({ words, kind }) => (
        <label key={words} className="flex items-baseline gap-2 border-b border-hair py-1 text-[14px]">
          <input
            type="checkbox"
            checked={turnedBack.has(words) === (kind === 'pronoun')}
            onChange={() => toggle(words)}
            className="accent-elder"
          />
          <span className="min-w-0 break-words">{words}</span>
          <span className="ml-auto shrink-0 text-[12.5px] text-soft">{KIND_WORDS[kind]}</span>
        </label>
      ))}
    </fieldset>
  );
}

/** The slip in the margin on which selected words are kept: a title, a free cue, a place, no one's particulars. */
export function CaptureSlip(props: CaptureProps) {
  const slip = useCaptureSlip(props);
  const { title, cue, leadIn, captured, known, proposed, error, pending } = slip;
  const { member } = useShell();
  const first = useRef<HTMLInputElement>(null);
  // Another proposal, as long as none is written, is there to be typed over as well.
  const { isProposed } = slip;
  useEffect(() => {
    if (isProposed && document.activeElement === first.current) first.current?.select();
  }, [isProposed, title]);
  useEffect(() => first.current?.select(), []);
  const signedOut = isProblem(error, 'not-signed-in');
  return (
    <div className="grid gap-3">
      <form
        aria-label="Keep wording"
        className="slip grid gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          slip.keepIt();
        }}
        onKeyDown={(event) => {
          if (event.key === 'Escape') props.close(null);
        }}
      >
        <TextField
          ref={first}
          label="Title"
          value={title}
          maxLength={200}
          onChange={(event) => slip.setTitle(event.target.value)}
        />
        <div className="grid grid-cols-[8rem_1fr] gap-4">
          <TextField
            label={leadIn ? `Cue, after ${leadIn}` : 'Cue'}
            value={cue}
            maxLength={40}
            spellCheck={false}
            className="cue"
            onChange={(event) => slip.setOwnCue(event.target.value)}
          />
          <CapturePlace
            keepable={slip.keepable}
            place={slip.collection?.id ?? ''}
            fresh={slip.fresh}
            go={slip.setPlace}
            begin={slip.setFresh}
          />
        </div>
        {known && <InPlaceOf known={known} slip={slip} />}
        <Particulars captured={captured} turnedBack={slip.turnedBack} toggle={slip.toggle} />
        <Personal personal={captured.personal} turnedBack={slip.turnedBack} toggle={slip.toggle} />
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
        {error && !signedOut && (
          <Notice tone="warning" title={inWords(error)}>
            Nothing was lost: change it here and keep it again.{' '}
            {proposed && (
              <Button look="text" onClick={() => slip.setOwnCue(proposed)}>
                Use {leadIn + proposed}
              </Button>
            )}
          </Notice>
        )}
        <p className="flex items-center gap-3">
          <Button look="main" type="submit" disabled={pending}>
            Keep
          </Button>
          <span className="text-[13px] text-soft">
            <Key>Enter</Key> keeps, <Key>Esc</Key> does not
          </span>
        </p>
      </form>
      {signedOut && <SignInAgain member={member} kept="Nothing on the slip was lost." goOn={slip.keepIt} />}
    </div>
  );
}
