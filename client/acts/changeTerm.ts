import type { Collection, Entry, Step, TermFound } from '#contracts';
import { editTexts, type TermPlace } from '#core/terms';
import type { DoneToMany } from './lastDone';
import { sendSteps, takingBack } from './manyActs';

/** An entry in which a term was found, with the places where it stands. */
export type TermEntry = TermFound['entries'][number];

/** What a place is known by among those found. */
export const placeKey = (entry: string, at: number) => `${entry} ${at}`;

/** Entries with those of their places that are taken; entries of which none is are left out. */
export function takenPlaces(
  entries: readonly TermEntry[],
  left: ReadonlySet<string>,
): { entry: Entry; places: TermPlace[] }[] {
  return entries
    .map(({ entry, places }) => ({
      entry,
      places: places.filter((_, at) => !left.has(placeKey(entry.id, at))),
    }))
    .filter(({ places }) => places.length > 0);
}

const inNumber = (count: number, one: string, many: string) => (count === 1 ? one : `${count} ${many}`);

/**
 * Changes the places that are taken, all of them or none: entries that one keeps are changed, of the others each change is
 * proposed. Throws what `call` does.
 */
export async function changeTerm(
  taken: readonly { entry: Entry; places: readonly TermPlace[] }[],
  collections: ReadonlyMap<string, Collection>,
  reason: string,
): Promise<DoneToMany> {
  const rightOn = ({ collection }: Entry) => collections.get(collection)?.right;
  const kept = taken.filter(({ entry }) => rightOn(entry) === 'keep');
  const asked = taken.filter(({ entry }) => rightOn(entry) === 'contribute');
  const changed = ({ entry, places }: (typeof taken)[number]) => editTexts(entry.content, places);
  const steps: Step[] = asked.map((one) => ({
    do: 'propose',
    entry: one.entry.id,
    content: changed(one),
    reason,
    base: one.entry.revision,
  }));
  if (kept.length > 0)
    steps.unshift({
      do: 'change',
      changes: kept.map((one) => ({
        entry: one.entry.id,
        revision: one.entry.revision,
        content: changed(one),
      })),
      reason,
    });
  const { proposals } = await sendSteps(steps);
  const said = [
    kept.length > 0 && `${inNumber(kept.length, 'One entry', 'entries')} changed.`,
    asked.length > 0 && `${inNumber(asked.length, 'One change', 'changes')} proposed.`,
  ];
  const back = kept.map(({ entry }) => entry);
  return {
    said: said.filter(Boolean).join(' '),
    undo: [
      ...(back.length > 0 ? [takingBack(back, reason)] : []),
      ...proposals.map((proposal): Step => ({ do: 'withdraw', proposal })),
    ],
  };
}
