import { isDeepStrictEqual } from 'node:util';
import { eq } from 'drizzle-orm';
import { keyedEntryId, type Entry, type NewEntry } from '#contracts';
import type { Context } from '../context';
import { entries } from '../db';
import { insertEntry, updateEntry } from './saveEntry';

/**
 * Makes an entry, once for each key: sent again with the same it is answered with the entry as it was made, or saves what was
 * changed before it was sent again as the next revision. Throws a Refusal when it may not be, `moved-on` where someone has
 * saved the entry meanwhile.
 */
export async function makeEntry(
  context: Context,
  member: string,
  { collection, reason, varies, key, ...sent }: NewEntry,
): Promise<Entry> {
  // A variation is brought by the cues of what it varies.
  const content = varies ? { ...sent.content, cues: [] } : sent.content;
  const saving = { context, member, content, reason };
  if (key === undefined) return insertEntry(saving, collection, context.newId(), varies);
  const id = await keyedEntryId(member, collection, key);
  const [made] = await context.db.select().from(entries).where(eq(entries.id, id));
  if (!made) return insertEntry(saving, collection, id, varies);
  // It lies in the wastebasket: what is wanted again is another.
  if (made.deletion !== null) return insertEntry(saving, collection, context.newId(), varies);
  return updateEntry(saving, id, isDeepStrictEqual(made.content, content) ? 0 : 1);
}
