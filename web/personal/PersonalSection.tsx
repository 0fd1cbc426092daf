import { useState } from 'react';
import type { Entry, PersonalInBank } from '#contracts';
import { personalToField, KIND_WORDS } from '#core/privacy';
import type { BankIndex } from '#core/bank';
import { type DoneToMany, sendSteps, takingBack } from '#client/acts';
import { useIsOfTeam } from '../api';
import { DoneNotice, useMany } from '../acts';
import { Button } from '../ui';
import { EntryHead, InItsText } from '../show';
import { FoundSection, useLongWork } from '../longWork';
import { WhyForm } from './WhyForm';

type Place = PersonalInBank['entries'][number]['places'][number];

interface Acts {
  makeField: (place: Place) => void;
  letStand: (words: string, why: string) => void;
  pending: boolean;
}

function PlaceLine({ entry, place, acts }: { entry: Entry; place: Place; acts: Acts | null }) {
  const [isAsking, setAsking] = useState(false);
  return (
    <li className="grid gap-1.5 py-1.5">
      <p>
        <InItsText
          content={entry.content}
          at={{ in: 'wording', wording: place.wording, part: place.part, line: place.line }}
          from={place.from}
          to={place.to}
          put={null}
        />{' '}
        <span className="text-[13px] text-soft">looks like {KIND_WORDS[place.kind]}</span>
      </p>
      {acts && !isAsking && (
        <p className="flex gap-4">
          <Button look="text" disabled={acts.pending} onClick={() => acts.makeField(place)}>
            Make it a field
          </Button>
          <Button look="text" onClick={() => setAsking(true)}>
            This is fine …
          </Button>
        </p>
      )}
      {acts && isAsking && (
        <WhyForm
          words={place.words}
          letStand={acts.letStand}
          pending={acts.pending}
          close={() => setAsking(false)}
        />
      )}
    </li>
  );
}

/** Makes a detail a field of its entry. Throws what `call` does. */
async function makeField(
  { id, revision, content }: Entry,
  place: Place,
  isOfTeam: (name: string) => boolean,
): Promise<DoneToMany> {
  const { words } = place;
  const next = personalToField(content, place, isOfTeam);
  const reason = `“${words}” is a field now`;
  await sendSteps([{ do: 'change', changes: [{ entry: id, revision, content: next }], reason }]);
  return { said: `${reason}.`, undo: [takingBack([{ id, revision }], reason)] };
}

/** Lets words stand in an entry. Throws what `call` does. */
async function letStand({ id }: Entry, words: string, why: string): Promise<DoneToMany> {
  await sendSteps([{ do: 'allow', entry: id, words, why }]);
  return { said: `“${words}” is allowed: ${why}`, undo: [{ do: 'allow', entry: id, words, why: null }] };
}

interface OfEntryProps {
  index: BankIndex;
  found: PersonalInBank['entries'][number];
  again: () => void;
}

function OfEntry({ index, found: { entry, places }, again }: OfEntryProps) {
  const many = useMany(() => undefined);
  const isOfTeam = useIsOfTeam();
  const collection = index.collections.get(entry.collection);
  const acts: Acts = {
    makeField: (place) => many.run(() => makeField(entry, place, isOfTeam)),
    letStand: (words, why) => many.run(() => letStand(entry, words, why)),
    pending: many.pending,
  };
  return (
    <li className="border-b border-hair last:border-b-0 px-9 py-3 max-[899px]:px-4">
      <EntryHead index={index} entry={entry} />
      <DoneNotice many={many} />
      {/* Once it was saved anew, the others stand elsewhere in it. */}
      {many.done ? (
        <Button look="text" onClick={again}>
          Check again
        </Button>
      ) : (
        <ul aria-label={`In ${entry.content.title}`}>
          {places.map((place) => (
            <PlaceLine
              key={`${place.wording} ${place.part} ${place.line} ${place.from}`}
              entry={entry}
              place={place}
              acts={collection?.right === 'keep' ? acts : null}
            />
          ))}
        </ul>
      )}
    </li>
  );
}

/** What in shared wording looks like somebody's details: made into fields, or let stand with a reason. */
export function PersonalSection({ index }: { index: BankIndex }) {
  const work = useLongWork('personalInBank');
  return (
    <FoundSection
      title="Personal details in shared wording"
      about="Names and details of one case, turned into fields that fit any."
      look="Find personal details"
      what="Reading the shared wording"
      work={work}
      said={({ entries, count, read }) =>
        count === 0
          ? `No personal details found in ${read.toLocaleString()} shared entries.`
          : `${count === 1 ? 'One' : count.toLocaleString()} of ${read.toLocaleString()} shared entries ${count === 1 ? 'has' : 'have'} words that look like somebody’s details${count > entries.length ? `; the first ${entries.length} are shown` : ''}.`
      }
    >
      {({ entries }) =>
        entries.map((found) => (
          <OfEntry
            key={`${found.entry.id} ${found.entry.revision}`}
            index={index}
            found={found}
            again={() => work.start(undefined)}
          />
        ))
      }
    </FoundSection>
  );
}
