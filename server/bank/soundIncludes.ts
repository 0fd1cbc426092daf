import { eq, inArray } from 'drizzle-orm';
import type { EntryContent } from '#core/entry';
import { includedIn, includedSize, MOST_INCLUDED, ringOf } from '#core/fill';
import { type Queries, collections, entries } from '../db';
import { Refusal } from '../http';
import { visibleEntries } from './rights';

/** The entries that a content includes. */
export const includedIds = (content: EntryContent): string[] => content.wordings.flatMap(includedIn);

/** The contents of all entries that a content includes, and those they include, by id. */
async function reached(tx: Queries, content: EntryContent): Promise<Map<string, EntryContent>> {
  const found = new Map<string, EntryContent>();
  let wanted = [...new Set(includedIds(content))];
  while (wanted.length > 0) {
    const rows = await tx
      .select({ id: entries.id, content: entries.content })
      .from(entries)
      .where(inArray(entries.id, wanted));
    for (const row of rows) found.set(row.id, row.content);
    const next = new Set(rows.flatMap((row) => includedIds(row.content)));
    wanted = [...next].filter((id) => !found.has(id));
  }
  return found;
}

/**
 * Refuses entries within an entry that could not be placed: one that does not exist for this member, one that is this
 * member's own within a shared entry (others would find a hole there), and a ring, which is told by its titles.
 */
export async function mustIncludeSoundly(
  tx: Queries,
  {
    member,
    collection,
    id,
    content,
  }: { member: string; collection: string; id: string; content: EntryContent },
): Promise<void> {
  const wanted = [...new Set(includedIds(content))];
  if (wanted.length === 0) return;
  const visible = await visibleEntries(tx, member, wanted);
  const missing = wanted.find((one) => one !== id && !visible.has(one));
  if (missing !== undefined)
    throw new Refusal(
      'not-valid',
      'An entry included here was deleted, or is not shared with you. Remove it, or insert another.',
    );
  const [home] = await tx.select().from(collections).where(eq(collections.id, collection));
  const own = [...visible.values()].find(({ ownedBy }) => ownedBy !== null);
  if (own && home?.ownedBy === null)
    throw new Refusal(
      'not-valid',
      `“${own.content.title}” is your own, and this entry is shared: others could not read it. Write its words here instead.`,
    );
  const found = await reached(tx, content);
  const ring = ringOf(id, content, (one) => found.get(one));
  if (!ring) {
    if (includedSize(content, (one) => found.get(one)) <= MOST_INCLUDED) return;
    throw new Refusal(
      'not-valid',
      'With all the entries it includes, this entry is too long to be placed. Remove some of them; nothing was changed.',
    );
  }
  // Of what is not shared with this member not even the title is told.
  const shared = await visibleEntries(tx, member, ring);
  const titleOf = (one: string) =>
    one === id ? content.title : (shared.get(one)?.content.title ?? 'an entry not shared with you');
  const message = `These entries include each other in a ring: ${ring.map(titleOf).join(' → ')}.`;
  throw new Refusal('not-valid', message);
}
