import { sql } from 'drizzle-orm';
import type { EntryContent } from '#core/entry';
import type { Queries } from '../db';
import { typedCues } from './saveEntry';
import { dropWords, INDEXED_AT_ONCE, writeWords } from './entryWords';

/**
 * What belongs to many entries, written in one statement each, however many they are: a statement for each would hold everybody
 * else up for as long as the way to the store and back takes, and one with a parameter for each value takes 65,535 at the most.
 */

interface Placed {
  id: string;
  collection: string;
  content: EntryContent;
}

/** Writes down the cues that entries are brought by; throws as the store does where one is taken. */
export async function insertCues(
  tx: Queries,
  cues: readonly { collection: string; typed: string; entry: string }[],
): Promise<void> {
  if (cues.length === 0) return;
  await tx.execute(sql`
    insert into cues (collection, typed, entry)
    select cue.collection, cue.typed, cue.entry
    from jsonb_to_recordset(${JSON.stringify(cues)}::jsonb) as cue(collection text, typed text, entry text)`);
}

/**
 * Writes down the cues and words that entries are brought and found by. They must have no cues written down. The words of many are left
 * for when the transaction has ended (`writeWordsLeft`): they are most of the work, and everybody else would wait for it.
 */
export async function indexAll(tx: Queries, all: readonly Placed[]): Promise<void> {
  const cues = all.flatMap(({ id, collection, content }) =>
    typedCues(content).map((typed) => ({ collection, typed, entry: id })),
  );
  await insertCues(tx, cues);
  if (all.length <= INDEXED_AT_ONCE) return writeWords(tx, all);
  await dropWords(
    tx,
    all.map(({ id }) => id),
  );
}

/** Has entries that nobody saw be seen, each by a change of its collection. */
export async function showEntries(
  tx: Queries,
  all: readonly { id: string; change: number }[],
): Promise<void> {
  if (all.length === 0) return;
  const rows = all.map(({ id, change }) => ({ id, change }));
  await tx.execute(sql`
    update entries set deletion = null, change = one.change
    from jsonb_to_recordset(${JSON.stringify(rows)}::jsonb) as one(id text, change int)
    where entries.id = one.id`);
}

/** A state of an entry, as its history keeps it. */
export interface Saved {
  entry: string;
  revision: number;
  content: EntryContent;
  reason: string;
  savedAt: Date;
  savedBy: string;
}

/** Writes down states of entries in their histories. */
export async function keepRevisions(tx: Queries, all: readonly Saved[]): Promise<void> {
  if (all.length === 0) return;
  await tx.execute(sql`
    insert into revisions (entry, revision, content, reason, saved_at, saved_by)
    select one.entry, one.revision, one.content, one.reason, one."savedAt", one."savedBy"
    from jsonb_to_recordset(${JSON.stringify(all)}::jsonb)
      as one(entry text, revision int, content jsonb, reason text, "savedAt" timestamptz, "savedBy" text)`);
}

/** Gives entries their next states, with the count of their collection's changes at which each was saved. */
export async function saveStates(tx: Queries, all: readonly (Saved & { change: number })[]): Promise<void> {
  if (all.length === 0) return;
  await tx.execute(sql`
    update entries set revision = one.revision, content = one.content, reason = one.reason,
      saved_at = one."savedAt", saved_by = one."savedBy", change = one.change, deletion = null
    from jsonb_to_recordset(${JSON.stringify(all)}::jsonb)
      as one(entry text, revision int, content jsonb, reason text, "savedAt" timestamptz, "savedBy" text, change int)
    where entries.id = one.entry`);
  await keepRevisions(tx, all);
}
