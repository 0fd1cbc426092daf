import { useEffect, useRef } from 'react';
import { type Captured, type CapturedPersonal, type PersonalKind, KIND_WORDS } from '#core/privacy';
import type { HousePlace } from '#core/terms';
import { SignInAgain } from '../../account';
import { inWords, isProblem } from '#client/api';
import { mainPassage } from '#core/entry';
import { PassageView } from '../../show';
import { useShell } from '../../shell';
import { WrittenClashes } from '../../cues';
import { Button, Key, Notice, TextField } from '../../ui';
import { CapturePlace } from './CapturePlace';
import { InPlaceOf } from '../placements/InPlaceOf';
import { findingKey, houseKey, respellingKey, useCaptureSlip, type CaptureProps } from './useCaptureSlip';

interface Ticks {
  turnedBack: ReadonlySet<string>;
  toggle: (key: string) => void;
}

/** A list of ticks: what each is about, and what becomes of it. */
function TickList({
  legend,
  rows,
}: {
  legend: string;
  rows: readonly { key: string; words: string; told: string; on: boolean; flip: () => void }[];
}) {
  if (rows.length === 0) return null;
  return (
    <fieldset>
      <legend className="eyebrow">{legend}</legend>
      {rows.map(({ key, words, told, on, flip }) => (
        <label key={key} className="flex items-baseline gap-2 border-b border-hair py-1 text-[14px]">
          <input type="checkbox" checked={on} onChange={flip} className="accent-elder" />
          <span className="min-w-0 break-words">{words}</span>
          <span className="ml-auto shrink-0 text-[12.5px] text-soft">{told}</span>
        </label>
      ))}
    </fieldset>
  );
}

const Particulars = ({ captured, turnedBack, toggle }: Ticks & { captured: Captured }) => (
  <TickList
    legend="Details of this case, turned into fields"
    rows={captured.particulars.map(({ key, words, label }) => ({
      ...{ key, words, on: !turnedBack.has(key) },
      told: turnedBack.has(key) ? 'stays as it is' : label,
      flip: () => toggle(key),
    }))}
  />
);

/** Words that look like somebody's details though the record of the case does not know them. */
const Personal = ({
  personal,
  turnedBack,
  toggle,
  staying,
}: Ticks & { personal: readonly CapturedPersonal[]; staying: ReadonlySet<PersonalKind> }) => (
  <TickList
    legend="Personal details? Tick to turn them into fields"
    rows={personal.map(({ words, kind }) => ({
      ...{ key: words, words, told: KIND_WORDS[kind] },
      on: turnedBack.has(words) === staying.has(kind),
      flip: () => toggle(words),
    }))}
  />
);

/** What the house says in other words. */
const House = ({ places, turnedBack, toggle }: Ticks & { places: readonly HousePlace[] }) => (
  <TickList
    legend="House style"
    rows={[...new Map(places.map((place) => [houseKey(place), place]))].map(([key, { words, put }]) => ({
      ...{ key, words: words.trim(), on: !turnedBack.has(key) },
      told: put === '' ? 'left out' : `becomes “${put}”`,
      flip: () => toggle(key),
    }))}
  />
);

/** What is in no dictionary: changed where it is ticked, since it may be a name. */
const Respellings = ({
  respellings,
  turnedBack,
  toggle,
}: Ticks & { respellings: ReturnType<typeof useCaptureSlip>['respellings'] }) => (
  <TickList
    legend="Not in the dictionary. Tick to change it"
    rows={respellings.map(({ word, put }) => {
      const key = respellingKey(word, put);
      return { key, words: word, told: `to “${put}”`, on: turnedBack.has(key), flip: () => toggle(key) };
    })}
  />
);

/** What may be untrue of another case. */
const Findings = ({ findings, turnedBack, toggle }: Ticks & { findings: readonly string[] }) => (
  <TickList
    legend="True of this case only? Tick to have it confirmed each time"
    rows={findings.map((words) => ({
      ...{ key: words, words, told: 'to confirm', on: turnedBack.has(findingKey(words)) },
      flip: () => toggle(findingKey(words)),
    }))}
  />
);

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
        aria-label="Save wording"
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
          hint={slip.collection?.titles}
          value={title}
          maxLength={200}
          onChange={(event) => slip.put({ title: event.target.value })}
        />
        <div className="grid grid-cols-[8rem_1fr] gap-4">
          <TextField
            label="Cue"
            lead={leadIn}
            value={cue}
            maxLength={40}
            spellCheck={false}
            className="cue"
            onChange={(event) => slip.put({ cue: event.target.value })}
          />
          <CapturePlace
            keepable={slip.keepable}
            place={slip.collection?.id ?? ''}
            fresh={slip.fresh}
            go={(place) => slip.put({ place })}
            begin={(fresh) => slip.put({ fresh })}
          />
        </div>
        <WrittenClashes
          index={props.index}
          written={{ entry: '', title, cues: slip.cues, collection: slip.collection }}
          change={([changed]) => slip.put({ cue: changed?.text ?? '', rules: changed?.rules })}
        />
        {known && <InPlaceOf known={known} slip={slip} />}
        <Particulars captured={captured} turnedBack={slip.turnedBack} toggle={slip.toggle} />
        <Personal
          personal={captured.personal}
          turnedBack={slip.turnedBack}
          toggle={slip.toggle}
          staying={slip.staying}
        />
        <House places={slip.places} turnedBack={slip.turnedBack} toggle={slip.toggle} />
        <Respellings respellings={slip.respellings} turnedBack={slip.turnedBack} toggle={slip.toggle} />
        <Findings findings={slip.findings} turnedBack={slip.turnedBack} toggle={slip.toggle} />
        <div
          className="book max-h-48 overflow-y-auto border-l border-hair pl-3 text-[15px]"
          tabIndex={0}
          aria-label="The wording as it is saved"
        >
          <PassageView
            passage={mainPassage(slip.content)}
            nameOf={(id) => slip.content.fields.find((field) => field.id === id)?.name ?? id}
          />
        </div>
        {error && !signedOut && (
          <Notice tone="warning" title={inWords(error)}>
            Nothing was lost: change it here and save it again.{' '}
            {proposed && (
              <Button look="text" onClick={() => slip.put({ cue: proposed })}>
                Use {leadIn + proposed}
              </Button>
            )}
          </Notice>
        )}
        <p className="flex items-center gap-3">
          <Button look="main" type="submit" disabled={pending}>
            Save
          </Button>
          <span className="text-[13px] text-soft">
            <Key>Enter</Key> saves, <Key>Esc</Key> closes
          </span>
        </p>
      </form>
      {signedOut && <SignInAgain member={member} kept="Nothing was lost." goOn={slip.keepIt} />}
    </div>
  );
}
