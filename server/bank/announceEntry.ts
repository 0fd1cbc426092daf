import type { Entry, Member } from '#contracts';
import type { Context } from '../context';

/** Tells the open pages of all who may see the collections of some entries that these are others now. */
export async function announceChanges(
  context: Context,
  changed: readonly { collection: string }[],
): Promise<void> {
  for (const collection of new Set(changed.map((entry) => entry.collection)))
    await context.events.tellReaders(collection, { type: 'entries-changed', collection });
}

/** Tells the open pages of all who may see an entry that it was saved. */
export async function announceEntry(context: Context, member: Member, entry: Entry): Promise<void> {
  await context.events.tellReaders(entry.collection, {
    type: 'entry-saved',
    entry: entry.id,
    collection: entry.collection,
    revision: entry.revision,
    title: entry.content.title,
    by: member.id,
    byName: member.name,
  });
}
