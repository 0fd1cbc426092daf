import { useState } from 'react';
import type { Collection, TermFound } from '#contracts';
import type { BankIndex } from '#core/bank';
import { DoneNotice, useMany } from '../acts';
import { Button, Tick } from '../ui';
import { changeTerm, placeKey, takenPlaces, type TermEntry } from '#client/acts';
import { EntryHead, counted, InItsText } from '../show';

interface LeftProps {
  left: ReadonlySet<string>;
  setLeft: (left: ReadonlySet<string>) => void;
}

/** What becomes of a change by what one may do there. */
const RIGHT_WORDS: Record<Collection['right'], string> = {
  keep: '',
  contribute: 'to be proposed to its keepers',
  read: 'not yours to change',
};

function OfEntry({
  index,
  found: { entry, places },
  left,
  setLeft,
  about,
}: { index: BankIndex; found: TermEntry } & LeftProps & Pick<Props, 'about'>) {
  const right = index.collections.get(entry.collection)?.right ?? 'read';
  const mayChange = right !== 'read';
  const keys = places.map((_, at) => placeKey(entry.id, at));
  const toggle = (some: readonly string[], out: boolean) =>
    setLeft(new Set(out ? [...left, ...some] : [...left].filter((key) => !some.includes(key))));
  const isOut = keys.every((key) => left.has(key));
  return (
    <li className="border-b border-hair px-9 py-3 max-[899px]:px-4">
      <EntryHead index={index} entry={entry}>
        {RIGHT_WORDS[right] && <span className="text-[13px] text-soft">{RIGHT_WORDS[right]}</span>}
        {mayChange && places.length > 1 && (
          <Button look="text" className="text-[13px]" onClick={() => toggle(keys, !isOut)}>
            {isOut ? 'Change all' : 'Change none'}
          </Button>
        )}
      </EntryHead>
      <ul aria-label={`In ${entry.content.title}`}>
        {places.map((place, at) => {
          const said = about?.(place);
          const shown = (
            <>
              <InItsText content={entry.content} {...place} />
              {said && <span className="block text-[13px] text-soft">{said}</span>}
            </>
          );
          return (
            <li key={placeKey(entry.id, at)} className="py-0.5">
              {mayChange ? (
                <Tick on={!left.has(keys[at]!)} toggle={() => toggle([keys[at]!], !left.has(keys[at]!))}>
                  <span>{shown}</span>
                </Tick>
              ) : (
                shown
              )}
            </li>
          );
        })}
      </ul>
    </li>
  );
}

/** The forms that were found, each of which is taken or left as a whole. */
function Forms({ entries, left, setLeft }: { entries: readonly TermEntry[] } & LeftProps) {
  const places = new Map<string, string[]>();
  for (const { entry, places: all } of entries)
    all.forEach((place, at) => {
      places.set(place.form, [...(places.get(place.form) ?? []), placeKey(entry.id, at)]);
    });
  if (places.size < 2) return null;
  return (
    <fieldset className="flex w-full flex-wrap gap-x-5 gap-y-1">
      <legend className="sr-only">Its forms</legend>
      {[...places].map(([form, keys]) => {
        const isOut = keys.every((key) => left.has(key));
        return (
          <Tick
            key={form}
            on={!isOut}
            toggle={() =>
              setLeft(new Set(isOut ? [...left].filter((key) => !keys.includes(key)) : [...left, ...keys]))
            }
          >
            {form} <span className="text-soft">{keys.length}</span>
          </Tick>
        );
      })}
    </fieldset>
  );
}

interface Props {
  index: BankIndex;
  found: Pick<TermFound, 'entries' | 'count' | 'places' | 'read'>;
  /** What is said where nothing was found in so many entries. */
  none: (entries: string) => string;
  reason: string;
  again: () => void;
  /** What is said of a place besides. */
  about?: (place: TermEntry['places'][number]) => string;
}

/** Places found in entries, each taken or left; changed in one act, or proposed, and taken back by one. */
export function PlacesFound({ index, found, none, reason, again, about }: Props) {
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const many = useMany(() => undefined);
  const { entries, count, places, read } = found;
  const mine = entries.filter(({ entry }) => index.collections.get(entry.collection)?.right !== 'read');
  const taken = takenPlaces(mine, left);
  const takenCount = taken.reduce((sum, one) => sum + one.places.length, 0);
  if (count === 0)
    return (
      <p role="status" className="px-9 py-3 text-soft max-[899px]:px-4">
        {none(counted(read, 'entry', 'entries'))}
      </p>
    );
  return (
    <>
      <div className="sticky top-0 z-10 flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-hair bg-page px-9 py-3 max-[899px]:px-4">
        <p role="status" className="grow text-[14px] text-soft">
          {counted(places, 'place', 'places')} in {counted(count, 'entry', 'entries')}
          {count > entries.length && `; the first ${entries.length} entries are shown`}.
        </p>
        {!many.done && (
          <Button
            disabled={takenCount === 0 || many.pending}
            onClick={() => many.run(() => changeTerm(taken, index.collections, reason))}
          >
            Change {counted(takenCount, 'place', 'places')}
          </Button>
        )}
        {(many.done ?? many.error) && <Button onClick={again}>Check again</Button>}
        {!many.done && <Forms entries={mine} left={left} setLeft={setLeft} />}
        <div className="w-full empty:hidden">
          <DoneNotice many={many} />
        </div>
      </div>
      {!many.done && (
        <ul>
          {entries.map((one) => (
            <OfEntry
              key={one.entry.id}
              index={index}
              found={one}
              left={left}
              setLeft={setLeft}
              about={about}
            />
          ))}
        </ul>
      )}
    </>
  );
}
