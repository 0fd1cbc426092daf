import type { Entry, Member } from '#contracts';
import type { Context } from '../context';

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
