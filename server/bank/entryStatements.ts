import { and, asc, eq, gt, isNull, ne, sql, type SQL } from 'drizzle-orm';
import type { PgColumn } from 'drizzle-orm/pg-core';
import { prepared, collections, cues, departures, entries, reachStamp, revisions } from '../db';

/*
 * What is asked whenever an entry is saved and whenever a page reads what changed: each put together once, since that takes
 * longer than to answer it. Lists come as one value, JSON, so that the words stay the same whatever their length.
 */

const given = sql.placeholder;
const isAmongGiven = (column: PgColumn, name: string): SQL =>
  sql`${column} in (select jsonb_array_elements_text(${given(name)}::jsonb))`;

/** An entry that is not deleted, by its `id`. */
export const entryThere = prepared((db) =>
  db
    .select()
    .from(entries)
    .where(and(eq(entries.id, given('id')), isNull(entries.deletion)))
    .prepare('entry_there'),
);

/** Cues of a `collection` among those `typed` (JSON) that another than `entry` has, with its content. */
export const cuesTakenBy = prepared((db) =>
  db
    .select({ typed: cues.typed, content: entries.content })
    .from(cues)
    .innerJoin(entries, eq(entries.id, cues.entry))
    .where(
      and(
        eq(cues.collection, given('collection')),
        isAmongGiven(cues.typed, 'typed'),
        ne(cues.entry, given('entry')),
      ),
    )
    .orderBy(asc(cues.typed))
    .prepare('taken_cues'),
);

/** Counts a change of a `collection`, and says its number. */
export const countChange = prepared((db) =>
  db
    .update(collections)
    .set({ changes: sql`${collections.changes} + 1` })
    .where(eq(collections.id, given('collection')))
    .returning({ change: collections.changes })
    .prepare('count_change'),
);

/** Saves the entry `id` as the revision after `madeTo`, unless it was saved, moved or deleted meanwhile. */
export const saveAt = prepared((db) =>
  db
    .update(entries)
    .set({
      content: given('content') as never,
      reason: given('reason') as never,
      savedAt: given('savedAt') as never,
      savedBy: given('savedBy') as never,
      revision: given('revision') as never,
      change: given('change') as never,
    })
    .where(
      and(
        eq(entries.id, given('id')),
        eq(entries.revision, given('madeTo')),
        eq(entries.collection, given('collection')),
        isNull(entries.deletion),
      ),
    )
    .returning()
    .prepare('save_at'),
);

/** Keeps what an entry says at a revision. */
export const keepRevision = prepared((db) =>
  db
    .insert(revisions)
    .values({
      entry: given('entry'),
      revision: given('revision'),
      content: given('content'),
      reason: given('reason'),
      savedAt: given('savedAt'),
      savedBy: given('savedBy'),
    })
    .prepare('keep_revision'),
);

/** Takes all cues of an `entry` away. */
export const dropCues = prepared((db) =>
  db
    .delete(cues)
    .where(eq(cues.entry, given('entry')))
    .prepare('drop_cues'),
);

/** How often some `collections` (JSON) were changed, each with the stamp of what rights are worked out from. */
export const changeCountsOf = prepared((db) =>
  db
    .select({
      id: collections.id,
      changes: collections.changes,
      stamp: sql<string>`(select stamp from ${reachStamp})`,
    })
    .from(collections)
    .where(isAmongGiven(collections.id, 'collections'))
    .prepare('changes_of'),
);

/** Entries of a `collection` that its changes after `had` saved, by their ids. */
export const savedSince = prepared((db) =>
  db
    .select()
    .from(entries)
    .where(
      and(
        eq(entries.collection, given('collection')),
        gt(entries.change, given('had')),
        isNull(entries.deletion),
      ),
    )
    .orderBy(asc(entries.id))
    .prepare('saved_since'),
);

/** Entries that went out of a `collection` by its changes after `had`. */
export const goneSince = prepared((db) =>
  db
    .select({ entry: departures.entry, change: departures.change })
    .from(departures)
    .where(and(eq(departures.collection, given('collection')), gt(departures.change, given('had'))))
    .prepare('gone_since'),
);
