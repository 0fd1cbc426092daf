import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Entry, PersonalInBank } from '#contracts';
import { lineText, linesOf } from '#core/passage';
import { personalToField } from '#core/privacy';
import { takeKept } from '../api/bank';
import { call, inWords } from '../api/client';
import type { BankIndex } from '../bank/bankIndex';
import { Button, Notice, TextField } from '../ui';
import { LongWork } from './LongWork';
import { useLongWork } from './useLongWork';

type Place = PersonalInBank['entries'][number]['places'][number];

const KIND_WORDS: Record<Place['kind'], string> = {
  name: 'a name',
  birth: 'a day of birth',
  phone: 'a telephone number',
  'e-mail': 'an e-mail address',
  address: 'an address',
  number: 'the number of a case or a person',
  pronoun: 'he or she of one case',
};
const BESIDE = 70;

/** A detail in its sentence. */
function InSentence({ entry, place }: { entry: Entry; place: Place }) {
  const part = entry.content.wordings
    .find(({ id }) => id === place.wording)
    ?.parts.find(({ id }) => id === place.part);
  const text = (part ? lineText(linesOf(part.passage)[place.line] ?? []) : '').replace(/\uFFFC/g, '…');
  const before = text.slice(0, place.from);
  const after = text.slice(place.to);
  return (
    <span className="font-book text-[15px]">
      {before.length > BESIDE ? `… ${before.slice(-BESIDE)}` : before}
      <mark className="bg-flower text-ink">{place.words}</mark>
      {after.length > BESIDE ? `${after.slice(0, BESIDE)} …` : after}
    </span>
  );
}

interface LineProps {
  entry: Entry;
  place: Place;
  /** Told when the entry was saved anew: other places of it have moved then. */
  changed: (said: string, undo: () => Promise<unknown>) => void;
  mayKeep: boolean;
}

function PlaceLine({ entry, place, changed, mayKeep }: LineProps) {
  const [why, setWhy] = useState<string | null>(null);
  const { words } = place;
  const save = (content: Entry['content'], reason: string, version: number) =>
    call('saveEntry', { params: { entry: entry.id }, body: { content, reason }, version });
  const make = useMutation({
    mutationFn: () =>
      save(personalToField(entry.content, place), `“${words}” is a field now`, entry.revision),
    onSuccess: (kept) => {
      takeKept(kept);
      changed(`“${words}” is a field now.`, async () =>
        takeKept(await save(entry.content, `Taken back: “${words}” stands again`, kept.revision)),
      );
    },
  });
  const allow = (reason: string | null) =>
    call('allowDetail', { params: { entry: entry.id }, body: { words, why: reason } });
  const allowing = useMutation({
    mutationFn: () => allow(why),
    onSuccess: () => changed(`“${words}” may stand: ${why?.trim()}`, () => allow(null)),
  });
  const error = make.error ?? allowing.error;
  return (
    <li className="grid gap-1.5 py-1.5">
      <p>
        <InSentence entry={entry} place={place} />{' '}
        <span className="text-[13px] text-soft">looks like {KIND_WORDS[place.kind]}</span>
      </p>
      {mayKeep && why === null && (
        <p className="flex gap-4">
          <Button look="text" disabled={make.isPending} onClick={() => make.mutate()}>
            Make it a field
          </Button>
          <Button look="text" onClick={() => setWhy('')}>
            It may stand …
          </Button>
        </p>
      )}
      {why !== null && (
        <form
          className="flex items-end gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            if (why.trim() !== '') allowing.mutate();
          }}
        >
          <div className="grow">
            <TextField
              label={`Why “${words}” may stand`}
              autoFocus
              maxLength={300}
              value={why}
              onChange={({ target }) => setWhy(target.value)}
            />
          </div>
          <Button type="submit" disabled={why.trim() === '' || allowing.isPending}>
            Let it stand
          </Button>
          <Button onClick={() => setWhy(null)}>Cancel</Button>
        </form>
      )}
      {error && <Notice tone="warning" title={inWords(error)} />}
    </li>
  );
}

function OfEntry({
  index,
  found,
  again,
}: {
  index: BankIndex;
  found: PersonalInBank['entries'][number];
  again: () => void;
}) {
  const [done, setDone] = useState<{ said: string; undo: () => Promise<unknown> } | null>(null);
  const undo = useMutation({ mutationFn: async () => done?.undo(), onSuccess: () => setDone(null) });
  const { entry, places } = found;
  const collection = index.collections.get(entry.collection);
  return (
    <li className="border-b border-hair px-9 py-3 max-[899px]:px-4">
      <p>
        <Link to={`/bank/${entry.id}`} className="font-book text-[17px] break-words text-ink">
          {entry.content.title}
        </Link>{' '}
        <span className="text-[13px] text-soft">{collection?.name}</span>
      </p>
      {done ? (
        <Notice title={done.said}>
          <p className="flex gap-4">
            <Button look="text" disabled={undo.isPending} onClick={() => undo.mutate()}>
              Undo
            </Button>
            <Button look="text" onClick={again}>
              Look again
            </Button>
          </p>
          {undo.error && <p>{inWords(undo.error)}</p>}
        </Notice>
      ) : (
        <ul aria-label={`In ${entry.content.title}`}>
          {places.map((place) => (
            <PlaceLine
              key={`${place.wording} ${place.part} ${place.line} ${place.from}`}
              entry={entry}
              place={place}
              mayKeep={collection?.right === 'keep'}
              changed={(said, takeBack) => setDone({ said, undo: takeBack })}
            />
          ))}
        </ul>
      )}
    </li>
  );
}

/** What in shared wording looks like somebody's details: made into fields, or let stand with a reason. */
export function PersonalSection({ index }: { index: BankIndex }) {
  const { working, start, stop } = useLongWork('personalInBank');
  const look = () => start(undefined);
  return (
    <section aria-label="Personal details in shared wording" className="border-t border-hair py-5">
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2 px-9 max-[899px]:px-4">
        <h2 className="grow font-book text-[19px]">Personal details in shared wording</h2>
        <Button disabled={working.state === 'working'} onClick={look}>
          Look for details
        </Button>
      </div>
      <LongWork what="Reading the shared wording" working={working} stop={stop}>
        {({ entries, count, read }) => (
          <>
            <p role="status" className="px-9 py-2 text-[14px] text-soft max-[899px]:px-4">
              {count === 0
                ? `Nobody’s details stand in ${read.toLocaleString()} shared entries.`
                : `${count === 1 ? 'One' : count.toLocaleString()} of ${read.toLocaleString()} shared entries ${count === 1 ? 'has' : 'have'} words that look like somebody’s details${count > entries.length ? `; the first ${entries.length} are shown` : ''}.`}
            </p>
            <ul>
              {entries.map((found) => (
                <OfEntry
                  key={`${found.entry.id} ${found.entry.revision}`}
                  index={index}
                  found={found}
                  again={look}
                />
              ))}
            </ul>
          </>
        )}
      </LongWork>
    </section>
  );
}
