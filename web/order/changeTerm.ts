import type { Collection, Entry, TermFound } from '#contracts';
import { editTexts, type TermPlace } from '#core/terms';
import { call } from '../api/client';
import type { DoneToMany } from '../bank/many/useMany';

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
 * Changes the places that are taken: entries that one keeps all at once or none, of the others each is proposed. Throws what
 * `call` does where nothing was changed.
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
  if (kept.length > 0) {
    const changes = kept.map((one) => ({
      entry: one.entry.id,
      revision: one.entry.revision,
      content: changed(one),
    }));
    await call('changeEntries', { body: { changes, reason } });
  }
  const proposals = await Promise.allSettled(
    asked.map((one) =>
      call('propose', {
        params: { entry: one.entry.id },
        body: { content: changed(one), reason, base: one.entry.revision },
      }),
    ),
  );
  const made = proposals.flatMap((one) => (one.status === 'fulfilled' ? [one.value.id] : []));
  const refused = proposals.find(({ status }) => status === 'rejected') as PromiseRejectedResult | undefined;
  if (refused && kept.length === 0 && made.length === 0) throw refused.reason;
  const said = [
    kept.length > 0 && `${inNumber(kept.length, 'One entry', 'entries')} changed.`,
    made.length > 0 && `${inNumber(made.length, 'One change', 'changes')} proposed.`,
    made.length < asked.length && `${asked.length - made.length} could not be proposed: look again.`,
  ];
  return {
    said: said.filter(Boolean).join(' '),
    undo: async () => {
      const back = kept.map(({ entry: { id, revision, content } }) => ({
        entry: id,
        revision: revision + 1,
        content,
      }));
      if (back.length > 0)
        await call('changeEntries', { body: { changes: back, reason: `Taken back: ${reason}` } });
      for (const proposal of made) await call('withdrawProposal', { params: { proposal } });
    },
  };
}
