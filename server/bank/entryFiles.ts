import { and, eq, inArray } from 'drizzle-orm';
import type { EntryContent } from '#core/entry';
import { type Queries, entries, entryFiles, waitingFiles } from '../db';
import { Refusal } from '../http';
import { rightsFor } from './rights';

/**
 * Those of some files, by their hashes, that a member has a right to name: what they sent themselves, and what goes along with
 * entries they see. To know a hash alone is not enough: it would open what is not theirs.
 */
export async function filesInSight(
  tx: Queries,
  member: string,
  hashes: readonly string[],
): Promise<Set<string>> {
  const wanted = [...hashes];
  const sent = await tx
    .select({ hash: waitingFiles.hash })
    .from(waitingFiles)
    .where(and(eq(waitingFiles.member, member), inArray(waitingFiles.hash, wanted)));
  const along = await tx
    .select({ hash: entryFiles.hash, collection: entries.collection })
    .from(entryFiles)
    .innerJoin(entries, eq(entries.id, entryFiles.entry))
    .where(inArray(entryFiles.hash, wanted));
  const rights = await rightsFor(tx, member);
  return new Set(
    [...sent, ...along.filter(({ collection }) => rights.has(collection))].map(({ hash }) => hash),
  );
}

/**
 * Holds the files that contents of entries name, for as long as the entries are there. Asks nothing of the store where none is
 * named. Throws a Refusal where one is not there, or is not the member's to name.
 */
export async function holdEntryFiles(
  tx: Queries,
  member: string,
  all: readonly { entry: string; content: EntryContent }[],
): Promise<void> {
  const named = all.flatMap(({ entry, content }) =>
    (content.files ?? []).map(({ hash, name }) => ({ entry, hash, name })),
  );
  if (named.length === 0) return;
  const ids = [...new Set(named.map(({ entry }) => entry))];
  const held = await tx
    .select({ entry: entryFiles.entry, hash: entryFiles.hash })
    .from(entryFiles)
    .where(inArray(entryFiles.entry, ids));
  const known = new Set(held.map(({ entry, hash }) => `${entry} ${hash}`));
  const fresh = named.filter(({ entry, hash }) => !known.has(`${entry} ${hash}`));
  if (fresh.length === 0) return;
  const hashes = [...new Set(fresh.map(({ hash }) => hash))];
  const inSight = await filesInSight(tx, member, hashes);
  const lost = fresh.find(({ hash }) => !inSight.has(hash));
  if (lost)
    throw new Refusal(
      'not-valid',
      `The file “${lost.name}” is not here any more. Remove it from the entry and add it again; nothing was saved.`,
    );
  await tx.insert(entryFiles).values(fresh).onConflictDoNothing();
}
