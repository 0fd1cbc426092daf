import { useMemo, useState } from 'react';
import type { CollectionFile } from '#contracts';
import type { BankIndex } from '#core/bank';
import { proposeCue } from '#core/cue';
import type { EntryContent } from '#core/entry';
import { allInto, planTakeOver, type Choice, type Homes, type TakeOverBody } from '#core/takeover';
import { useAtHand } from '../api';
import type { ArrivalLine } from './ArrivalList';
import { odditiesOf } from './oddities';
import { useNearlySame } from './useNearlySame';

const cuesOf = ({ content }: { content: EntryContent }): string[] =>
  content.retired ? [] : content.cues.map(({ text }) => text.toLowerCase());

type Arriving = Pick<CollectionFile, 'collections' | 'entries'>;

/**
 * Where the collections of a file go: into the one picked, or those within it that have their names; what finds none is made. With
 * `isFlat` all of it goes into the one picked.
 */
function homesOf(file: Arriving, into: string, index: BankIndex, isFlat: boolean): Homes {
  const home = index.collections.get(into);
  if (!home) return new Map();
  if (isFlat) return allInto(file, home);
  const homes = new Map([[file.collections[0]!.id, home]]);
  for (const { id, parent, name } of file.collections.slice(1)) {
    const around = parent === null ? undefined : homes.get(parent);
    const same = index.bank.collections.find(
      (one) =>
        around !== undefined &&
        one.parent === around.id &&
        one.right === 'keep' &&
        one.name.toLowerCase() === name.toLowerCase(),
    );
    if (same) homes.set(id, same);
  }
  return homes;
}

/** The collection that one keeps by the name of the file's own, which was brought in before; '' for none. */
const sameInBank = ({ bank }: BankIndex, { collections: [root] }: Arriving): string =>
  bank.collections.find(({ name, right }) => right === 'keep' && name === root!.name)?.id ?? '';

/** A free cue for each entry that comes as a new one and has none, by its id. */
function cuesFor(file: Arriving, body: TakeOverBody, homes: Homes, index: BankIndex): Map<string, string> {
  const rules = new Map(file.collections.map((one) => [one.id, one.cuesBy]));
  const place = new Map(file.entries.map(({ id, collection }) => [id, collection]));
  const taken = new Map<string, string[]>();
  const takenIn = (id: string) => {
    const own =
      taken.get(id) ?? index.bank.entries.flatMap((one) => (one.collection === id ? cuesOf(one) : []));
    taken.set(id, own);
    return own;
  };
  const coming = body.entries.filter(({ replaces }) => replaces === null);
  const placeOf = (id: string) => homes.get(place.get(id)!)?.id ?? place.get(id)!;
  for (const one of coming) takenIn(placeOf(one.id)).push(...cuesOf(one));
  const proposed = new Map<string, string>();
  for (const { id, content } of coming) {
    if (content.cues.length > 0) continue;
    const own = takenIn(placeOf(id));
    const cue = proposeCue(
      content.title,
      own,
      homes.get(place.get(id)!)?.cuesBy ?? rules.get(place.get(id)!),
    );
    if (cue === '') continue;
    own.push(cue);
    proposed.set(id, cue);
  }
  return proposed;
}

/** What a file brings, what it finds in the bank, and what becomes of it as chosen. */
export function useArriving(file: Arriving, index: BankIndex, { isFlat }: { isFlat: boolean }) {
  const [into, setInto] = useState(() => sameInBank(index, file));
  const [choices, setChoices] = useState<ReadonlyMap<string, Choice>>(new Map());
  const homes = useMemo(() => homesOf(file, into, index, isFlat), [file, into, index, isFlat]);
  const places = useMemo(() => [...new Set([...homes.values()].map(({ id }) => id))], [homes]);
  const isHere = useAtHand(places);
  const plan = useMemo(() => {
    const there = index.bank.entries.filter(({ collection }) => places.includes(collection));
    return planTakeOver(file, homes, there, choices);
  }, [file, homes, places, index, choices]);
  const near = useNearlySame(file.entries, index.bank.entries);
  const lines = useMemo((): ArrivalLine[] => {
    const titles = new Map<string, number>();
    for (const { content } of file.entries) {
      const title = content.title.trim().toLowerCase();
      titles.set(title, (titles.get(title) ?? 0) + 1);
    }
    const isWord = (word: string) => index.ordinary.has(word);
    const collections = new Map(file.collections.map((one) => [one.id, one]));
    const home = new Map(file.entries.map(({ id, collection }) => [id, collection]));
    return plan.arrivals.map((planned) => {
      const own = home.get(planned.id)!;
      const place = homes.get(own);
      const around = (place && index.collections.get(place.id)) ?? collections.get(own);
      return {
        planned,
        leadIn: around?.leadIn ?? '',
        oddities: odditiesOf(planned, { home: around, near: near?.get(planned.id), isWord, titles }),
      };
    });
  }, [plan, near, file, homes, index]);
  return {
    into,
    proposedCues: () => cuesFor(file, plan.body, homes, index),
    setInto: (to: string) => {
      setInto(to);
      // What was chosen beside what is elsewhere means nothing here.
      setChoices(new Map());
    },
    choose: (ids: readonly string[], choice: Choice) =>
      setChoices((now) => new Map([...now, ...ids.map((id) => [id, choice] as const)])),
    ...{ lines, body: plan.body, isHere, isComparing: near === null },
  };
}
