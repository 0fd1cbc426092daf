import { and, eq, inArray, isNull, notInArray } from 'drizzle-orm';
import type { Entry } from '#contracts';
import { type Queries, entries } from '../db';
import { Refusal } from '../http';
import { visibleEntry } from './rights';

/** What an entry is used in place of. */
export type Varies = NonNullable<Entry['varies']>;

type Arriving = Pick<typeof entries.$inferSelect, 'id' | 'varies'>;

/**
 * Refuses variations that come to stand in a collection beside what they vary, or beside another variation of the same: one
 * made, moved or brought back.
 */
export async function mustVaryAlone(
  tx: Queries,
  collection: string,
  arriving: readonly Arriving[],
): Promise<void> {
  const varied = arriving.flatMap(({ varies }) => varies ?? []);
  if (varied.length === 0) return;
  const ids = arriving.map(({ id }) => id);
  const alive = and(eq(entries.collection, collection), isNull(entries.deletion));
  const [beside] = await tx
    .select({ id: entries.id })
    .from(entries)
    .where(and(alive, inArray(entries.id, varied)));
  if (beside)
    throw new Refusal('not-valid', 'A variation must be in another collection than the entry it varies.');
  const [other] = await tx
    .select({ id: entries.id })
    .from(entries)
    .where(and(alive, inArray(entries.varies, varied), notInArray(entries.id, ids)));
  if (other || new Set(varied).size < varied.length)
    throw new Refusal(
      'not-valid',
      'There is a variation of the same entry in that collection already. Nothing was changed.',
    );
}

/** Refuses a new variation of what is not there for the member, or is one itself; and one that would not stand alone. */
export async function mustVary(
  tx: Queries,
  member: string,
  collection: string,
  { id, varies }: { id: string; varies: Varies },
): Promise<void> {
  const shared = await visibleEntry(tx, member, varies.entry);
  if (shared.varies !== null)
    throw new Refusal('not-valid', 'That is a variation itself: vary what it varies.');
  await mustVaryAlone(tx, collection, [{ id, varies: shared.id }]);
}
