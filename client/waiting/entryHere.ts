import { keyedEntryId, type Entry, type NewEntry } from '#contracts';
import { call, Unreachable } from '#client/api';
import { addWaiting } from './acts';

/** An entry that was kept: as the server has it, or, where that could not be reached, as it will have it. */
export interface KeptEntry {
  entry: Entry;
  waits: boolean;
}

/** The entry that the server will make of what waits to be sent. */
async function asItWillBe(
  member: string,
  { collection, content, reason, varies, key }: NewEntry,
): Promise<Entry> {
  return {
    id: await keyedEntryId(member, collection, key!),
    collection,
    revision: 1,
    content: varies ? { ...content, cues: [] } : content,
    savedAt: new Date().toISOString(),
    savedBy: member,
    reason: reason ?? '',
    varies: varies ?? null,
  };
}

/**
 * Keeps a new entry, which carries a key. Where the server cannot be reached it waits on this computer, and is sent once it can.
 * Throws what the server refuses, `NoRoomHere` where it can be kept nowhere.
 */
export async function keepEntry(member: string, body: NewEntry & { key: string }): Promise<KeptEntry> {
  try {
    return { entry: await call('makeEntry', { body }), waits: false };
  } catch (error) {
    if (!(error instanceof Unreachable)) throw error;
    const entry = await asItWillBe(member, body);
    await addWaiting({
      ...{ member, at: entry.savedAt, refused: null },
      ...{ kind: 'entry', id: entry.id, entry: body, name: entry.content.title },
    });
    return { entry, waits: true };
  }
}
