import { createHash } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import { eq } from 'drizzle-orm';
import type { Entry, NewEntry } from '#contracts';
import type { Context } from '../context';
import { entries } from '../db';
import { insertEntry, updateEntry } from './saveEntry';

/** The same for the same member, collection and key alone: nobody comes upon what someone else made, or learns that it is there. */
const idOf = (member: string, collection: string, key: string) =>
  createHash('sha256').update([member, collection, key].join('\n')).digest('hex').slice(0, 32);

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
  const id = idOf(member, collection, key);
  const [made] = await context.db.select().from(entries).where(eq(entries.id, id));
  if (!made) return insertEntry(saving, collection, id, varies);
  // It lies in the wastebasket: what is wanted again is another.
  if (made.deletion !== null) return insertEntry(saving, collection, context.newId(), varies);
  return updateEntry(saving, id, isDeepStrictEqual(made.content, content) ? 0 : 1);
}
