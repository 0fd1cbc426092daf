import { useEffect, useRef, type Ref } from 'react';
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

type Slip = ReturnType<typeof useCaptureSlip>;

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
const Respellings = ({ respellings, turnedBack, toggle }: Ticks & { respellings: Slip['respellings'] }) => (
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

/** Title, cue and place, with what clashes with them. */
function Names({
  slip,
  index,
  titleRef,
}: { slip: Slip; titleRef: Ref<HTMLInputElement> } & Pick<CaptureProps, 'index'>) {
  const { title, cue, cues, leadIn, collection, put } = slip;
  return (
    <>
      <TextField
        ref={titleRef}
        label="Title"
        hint={collection?.titles}
        value={title}
        maxLength={200}
        onChange={(event) => put({ title: event.target.value })}
      />
      <div className="grid grid-cols-[8rem_1fr] gap-4">
        <TextField
          label="Cue"
          lead={leadIn}
          value={cue}
          maxLength={40}
          spellCheck={false}
          className="cue"
          onChange={(event) => put({ cue: event.target.value })}
        />
        <CapturePlace
          keepable={slip.keepable}
          place={collection?.id ?? ''}
          fresh={slip.fresh}
          go={(place) => put({ place })}
          begin={(fresh) => put({ fresh })}
        />
      </div>
      <WrittenClashes
        index={index}
        written={{ entry: '', title, cues, collection }}
        change={([changed]) => put({ cue: changed?.text ?? '', rules: changed?.rules })}
      />
    </>
  );
}

/** What was found in the words, each to be ticked: particulars of the case, personal details, house style, spelling, claims. */
function Found({ slip }: { slip: Slip }) {
  const { captured, places, respellings, findings, staying } = slip;
  const ticks = { turnedBack: slip.turnedBack, toggle: slip.toggle };
  return (
    <>
      <Particulars captured={captured} {...ticks} />
      <Personal personal={captured.personal} staying={staying} {...ticks} />
      <House places={places} {...ticks} />
      <Respellings respellings={respellings} {...ticks} />
      <Findings findings={findings} {...ticks} />
    </>
  );
}

/** Why it was not saved, with a cue that is free where that was why. */
function NotSaved({ slip: { error, proposed, leadIn, put } }: { slip: Slip }) {
  if (!error || isProblem(error, 'not-signed-in')) return null;
  return (
    <Notice tone="warning" title={inWords(error)}>
      Nothing was lost: change it here and save it again.{' '}
      {proposed && (
        <Button look="text" onClick={() => put({ cue: proposed })}>
          Use {leadIn + proposed}
        </Button>
      )}
    </Notice>
  );
}

/** The slip in the margin on which selected words are kept: a title, a free cue, a place, no one's particulars. */
export function CaptureSlip(props: CaptureProps) {
  const slip = useCaptureSlip(props);
  const { title, known, isProposed } = slip;
  const { member } = useShell();
  const first = useRef<HTMLInputElement>(null);
  // Another proposal, as long as none is written, is there to be typed over as well.
  useEffect(() => {
    if (isProposed && document.activeElement === first.current) first.current?.select();
  }, [isProposed, title]);
  useEffect(() => first.current?.select(), []);
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
        <Names slip={slip} index={props.index} titleRef={first} />
        {known && <InPlaceOf known={known} slip={slip} />}
        <Found slip={slip} />
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
        <NotSaved slip={slip} />
        <p className="flex items-center gap-3">
          <Button look="main" type="submit" disabled={slip.pending}>
            Save
          </Button>
          <span className="text-[13px] text-soft">
            <Key>Enter</Key> saves, <Key>Esc</Key> closes
          </span>
        </p>
      </form>
      {isProblem(slip.error, 'not-signed-in') && (
        <SignInAgain member={member} kept="Nothing was lost." goOn={slip.keepIt} />
      )}
    </div>
  );
}
