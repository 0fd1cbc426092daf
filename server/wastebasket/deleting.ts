import { and, eq, inArray, isNull, sql } from 'drizzle-orm';
import { within } from '#core/rights';
import { depart, heldByKeeper } from '../bank';
import type { Context } from '../context';
import {
  caseFiles,
  collections,
  cues,
  deletions,
  drafts,
  entries,
  entryWords,
  isAmong,
  glossaries,
  type Queries,
} from '../db';
import { Refusal } from '../http';
import { writeTrail, writeTrailLines } from '../trail';

type Deleting = typeof deletions.$inferInsert;

async function begin(
  context: Context,
  tx: Queries,
  given: Pick<Deleting, 'what' | 'title' | 'by'>,
): Promise<string> {
  const id = context.newId();
  await tx.insert(deletions).values({ id, at: context.now(), ...given });
  return id;
}

/** Puts entries into the wastebasket together, all or none; returns the deletion's id. Their cues are free at once, and nothing finds them. */
export async function deleteEntries(
  context: Context,
  member: string,
  ids: readonly string[],
): Promise<string> {
  return context.db.transaction(async (tx) => {
    const rows = await heldByKeeper(tx, member, ids);
    const [first] = rows;
    const title = rows.length === 1 ? first!.title : `${rows.length} entries`;
    const deletion = await begin(context, tx, { what: 'entries', title, by: member });
    const all = rows.map(({ id }) => id);
    await depart(tx, rows);
    await tx.update(entries).set({ deletion }).where(isAmong(entries.id, all));
    await tx.delete(cues).where(isAmong(cues.entry, all));
    await tx.delete(entryWords).where(isAmong(entryWords.entry, all));
    await writeTrailLines(
      tx,
      context.now(),
      rows.map(({ title: subject, collection }) => ({
        by: member,
        act: 'entry-deleted' as const,
        subject,
        collection,
      })),
    );
    return deletion;
  });
}

/** Puts a collection with all in it into the wastebasket. Its keeper must have been asked for, and the tree be held. */
export async function deleteCollection(
  context: Context,
  tx: Queries,
  member: string,
  { id, name }: { id: string; name: string },
): Promise<void> {
  const deletion = await begin(context, tx, { what: 'collection', title: name, by: member });
  const all = await tx.select().from(collections).where(isNull(collections.deletion));
  const inside = [...within(id, all)];
  await tx.update(collections).set({ deletion }).where(inArray(collections.id, inside));
  const gone = await tx
    .update(entries)
    .set({ deletion })
    .where(and(inArray(entries.collection, inside), isNull(entries.deletion)))
    .returning({ id: entries.id });
  // Nobody sees these collections any more, but they may be brought back: their cues and the words they are found by go, as those of others do.
  if (gone.length === 0) return;
  await tx.delete(cues).where(inArray(cues.collection, inside));
  await tx.delete(entryWords).where(inArray(entryWords.collection, inside));
}

/** Puts a collection that is held, and whose keeper asks, into the wastebasket, with its line in the trail. A member's own stays. */
export async function dropHeld(
  context: Context,
  tx: Queries,
  member: string,
  row: typeof collections.$inferSelect,
): Promise<void> {
  if (row.ownedBy !== null && row.parent === null)
    throw new Refusal('not-valid', 'Everyone has a collection of their own. Nothing was deleted.');
  await deleteCollection(context, tx, member, row);
  const done = { by: member, act: 'collection-deleted' as const, subject: row.name };
  await writeTrail(tx, context.now(), { ...done, collection: row.id });
}

/** Puts a glossary into the wastebasket with its terms, for all who use it. Its keeper must have been asked for, and it be held. */
export async function deleteGlossary(
  context: Context,
  tx: Queries,
  member: string,
  { id, name }: { id: string; name: string },
): Promise<void> {
  const deletion = await begin(context, tx, { what: 'glossary', title: name, by: member });
  await tx.update(glossaries).set({ deletion }).where(eq(glossaries.id, id));
  await writeTrail(tx, context.now(), { by: member, act: 'glossary-deleted', subject: name });
}

/** Puts a file of a case into the wastebasket; null where it is not there any more. To whom the case is given must have been asked for. */
export async function deleteFile(
  context: Context,
  member: string,
  file: { id: string; name: string },
): Promise<string | null> {
  return context.db.transaction(async (tx) => {
    const deletion = await begin(context, tx, { what: 'file', title: file.name, by: member });
    const [row] = await tx
      .update(caseFiles)
      .set({ deletion })
      .where(and(eq(caseFiles.id, file.id), isNull(caseFiles.deletion)))
      .returning({ id: caseFiles.id });
    if (row) return deletion;
    await tx.delete(deletions).where(eq(deletions.id, deletion));
    return null;
  });
}

/** Puts a draft into the wastebasket, if it still stands at a version; null where it does not. */
export async function deleteDraft(
  context: Context,
  draft: { id: string; excerpt: string; author: string },
  version: number,
): Promise<string | null> {
  return context.db.transaction(async (tx) => {
    const title = draft.excerpt || 'An empty draft';
    const deletion = await begin(context, tx, { what: 'draft', title, by: draft.author });
    const [row] = await tx
      .update(drafts)
      .set({ deletion, version: sql`${drafts.version} + 1` })
      .where(and(eq(drafts.id, draft.id), eq(drafts.version, version), isNull(drafts.deletion)))
      .returning({ id: drafts.id });
    if (row) return deletion;
    await tx.delete(deletions).where(eq(deletions.id, deletion));
    return null;
  });
}
