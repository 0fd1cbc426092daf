import { and, asc, eq, isNull, sql } from 'drizzle-orm';
import type { Restored } from '#contracts';
import {
  letKeep,
  holdCollections,
  nextChanges,
  mustFindRoom,
  placeCollection,
  rightOn,
  typedCues,
  indexAll,
  saveStates,
  showEntries,
  mustVaryAlone,
  unmerge,
} from '../bank';
import type { Context } from '../context';
import {
  caseFiles,
  collections,
  cues,
  deletions,
  drafts,
  entries,
  glossaries,
  isAmong,
  type Queries,
} from '../db';
import { notFound, Refusal } from '../http';
import { writeTrail, writeTrailLines } from '../trail';

type DeletionRow = typeof deletions.$inferSelect;
type EntryRow = typeof entries.$inferSelect;

/** Those of some cues that entries of a collection have by now. */
async function takenOf(tx: Queries, collection: string, wanted: readonly string[]): Promise<Set<string>> {
  const rows = await tx
    .select({ typed: cues.typed })
    .from(cues)
    .where(and(eq(cues.collection, collection), isAmong(cues.typed, wanted)));
  return new Set(rows.map(({ typed }) => typed));
}

/** The entry without cues that are taken, in a revision that says so; the very same where none is. */
function withFreeCues(row: EntryRow, taken: ReadonlySet<string>, lost: Restored['lostCues']): EntryRow {
  const gone = row.content.cues.filter(({ text }) => taken.has(text.toLowerCase()));
  if (gone.length === 0) return row;
  lost.push(...gone.map(({ text }) => ({ title: row.content.title, cue: text })));
  const reason = `Brought back; ${gone.map(({ text }) => text).join(', ')} brings another entry by now`;
  const kept = row.content.cues.filter(({ text }) => !taken.has(text.toLowerCase()));
  return { ...row, reason, revision: row.revision + 1, content: { ...row.content, cues: kept } };
}

/** Brings entries back with those of their cues that are free; of the others the entry lets go, in a revision that says so. */
async function restoreEntries(
  context: Context,
  tx: Queries,
  member: string,
  rows: readonly EntryRow[],
): Promise<Restored> {
  await holdCollections(
    tx,
    rows.map(({ collection }) => collection),
  );
  for (const collection of new Set(rows.map((row) => row.collection)))
    await mustVaryAlone(
      tx,
      collection,
      rows.filter((row) => row.collection === collection),
    );
  await unmerge(
    tx,
    rows.map(({ id }) => id),
  );
  const lostCues: Restored['lostCues'] = [];
  const back: EntryRow[] = [];
  const places = rows.map(({ collection }) => collection);
  const changes = await nextChanges(tx, places);
  for (const collection of new Set(places)) {
    const own = rows.filter((row) => row.collection === collection);
    const wanted = own.flatMap(({ content }) => typedCues(content));
    const taken = await takenOf(tx, collection, wanted);
    const change = changes.get(collection)!;
    for (const row of own) back.push({ ...withFreeCues(row, taken, lostCues), change });
  }
  const before = new Map(rows.map((row) => [row.id, row]));
  const less = back.filter((row) => row.content !== before.get(row.id)!.content);
  await saveStates(
    tx,
    less.map(({ id, content, reason, change, revision }) => ({
      ...{ entry: id, content, reason, change, revision },
      savedAt: context.now(),
      savedBy: member,
    })),
  );
  await showEntries(tx, back);
  await indexAll(tx, back);
  await writeTrailLines(
    tx,
    context.now(),
    back.map(({ content, collection }) => ({
      by: member,
      act: 'entry-restored' as const,
      subject: content.title,
      collection,
    })),
  );
  return { entries: rows.length, lostCues };
}

/** Takes what stands in the wastebasket empty-handed out of it. */
async function settle(tx: Queries, deletion: string): Promise<void> {
  const [left] = await tx
    .select({ id: entries.id })
    .from(entries)
    .where(eq(entries.deletion, deletion))
    .limit(1);
  if (!left) await tx.delete(deletions).where(eq(deletions.id, deletion));
}

async function restoreCollection(context: Context, tx: Queries, member: string, row: DeletionRow) {
  const back = await tx.select().from(collections).where(eq(collections.deletion, row.id));
  const ids = new Set(back.map(({ id }) => id));
  const root = back.find(({ parent }) => parent === null || !ids.has(parent))!;
  const [around] =
    root.parent === null
      ? []
      : await tx
          .select()
          .from(collections)
          .where(and(eq(collections.id, root.parent), isNull(collections.deletion)));
  await tx.update(collections).set({ deletion: null }).where(eq(collections.deletion, row.id));
  if (root.parent !== null && !around) {
    // What it was in is gone: it stands at the top.
    await placeCollection(tx, root.id, { parent: null, before: null });
  }
  // What it was kept by is gone with what it was in; who asks kept it, or it would not be theirs to bring back.
  if (root.ownedBy === null && (await rightOn(tx, member, root.id)) !== 'keep')
    await letKeep(tx, member, root.id);
  await mustFindRoom(tx);
  const rows = await tx.select().from(entries).where(eq(entries.deletion, row.id)).orderBy(asc(entries.id));
  const done = { by: member, act: 'collection-restored' as const, subject: root.name, collection: root.id };
  await writeTrail(tx, context.now(), done);
  return restoreEntries(context, tx, member, rows);
}

async function restoreDraft(tx: Queries, row: DeletionRow): Promise<Restored> {
  await tx.update(drafts).set({ deletion: null }).where(eq(drafts.deletion, row.id));
  return { entries: 0, lostCues: [] };
}

async function restoreFile(tx: Queries, row: DeletionRow): Promise<Restored> {
  await tx.update(caseFiles).set({ deletion: null }).where(eq(caseFiles.deletion, row.id));
  return { entries: 0, lostCues: [] };
}

async function restoreGlossary(context: Context, tx: Queries, member: string, row: DeletionRow) {
  // Another version: a page that kept its terms from before asks for them anew.
  await tx
    .update(glossaries)
    .set({ deletion: null, version: sql`${glossaries.version} + 1` })
    .where(eq(glossaries.deletion, row.id));
  await writeTrail(tx, context.now(), { by: member, act: 'glossary-restored', subject: row.title });
  return { entries: 0, lostCues: [] };
}

/** Brings back what a deletion took, whole or some of its entries. The tree must be held. */
export async function restore(
  context: Context,
  tx: Queries,
  member: string,
  row: DeletionRow,
  only: readonly string[] | null,
): Promise<Restored> {
  if (row.what === 'import') throw notFound();
  const restored = await {
    collection: () => restoreCollection(context, tx, member, row),
    draft: () => restoreDraft(tx, row),
    file: () => restoreFile(tx, row),
    glossary: () => restoreGlossary(context, tx, member, row),
    entries: () => restoreFrom(context, tx, member, row, only),
  }[row.what]();
  await settle(tx, row.id);
  return restored;
}

async function restoreFrom(
  context: Context,
  tx: Queries,
  member: string,
  row: DeletionRow,
  only: readonly string[] | null,
): Promise<Restored> {
  const all = await tx.select().from(entries).where(eq(entries.deletion, row.id)).orderBy(asc(entries.id));
  const chosen = only && new Set(only);
  const wanted = chosen === null ? all : all.filter(({ id }) => chosen.has(id));
  const homes = await tx
    .select({ id: collections.id })
    .from(collections)
    .where(
      and(
        isAmong(
          collections.id,
          wanted.map(({ collection }) => collection),
        ),
        isNull(collections.deletion),
      ),
    );
  const there = new Set(homes.map(({ id }) => id));
  if (wanted.some(({ collection }) => !there.has(collection)))
    throw new Refusal(
      'not-valid',
      'The collection it was in is in the wastebasket too. Bring that back first; nothing was changed.',
    );
  return restoreEntries(context, tx, member, wanted);
}
