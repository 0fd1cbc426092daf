import { and, eq, isNull, isNotNull, sql } from 'drizzle-orm';
import type { ImportUndone, Member } from '#contracts';
import {
  changeEntries,
  holdTree,
  insertCues,
  mustFindRoom,
  mustIncludeSoundly,
  mustKeepAll,
  nextChanges,
  settleCollections,
  showEntries,
  tellingClashes,
  typedCues,
  writeMissingWords,
} from '../bank';
import type { Context } from '../context';
import {
  collections,
  deletions,
  entries,
  importEntries,
  imports,
  isAmong,
  type Database,
  type Queries,
} from '../db';
import { takeSteps } from '../steps';
import { writeTrail } from '../trail';
import { reasonOf } from './arriving';
import { ownImport, type ImportRow } from './ownImport';

/** Brings the collections that an import makes to where they are seen. The tree must be held. */
async function settleMade(context: Context, tx: Queries, row: ImportRow): Promise<void> {
  if (row.collectionsMade.length === 0) return;
  const rows = await tx.select().from(collections).where(isAmong(collections.id, row.collectionsMade));
  const made = new Map(
    rows.map(({ id, parent, name, leadIn, cueRules, cuesBy, kindsOfWork, language, titles }) => {
      const settings = {
        ...{ name, leadIn, cueRules, cuesBy, kindsOfWork, language },
        ...(titles && { titles }),
      };
      return [id, { id, parent, settings }];
    }),
  );
  await settleCollections(
    context,
    tx,
    row.by,
    row.collectionsMade.map((id) => made.get(id)!),
  );
  await mustFindRoom(tx);
}

/** Saves what entries that were here before become. */
async function saveReplaced(context: Context, tx: Queries, row: ImportRow): Promise<string[]> {
  const kept = await tx
    .select()
    .from(importEntries)
    .where(and(eq(importEntries.import, row.id), isNotNull(importEntries.content)));
  if (kept.length === 0) return [];
  const changes = kept.map(({ entry, revision, content }) => ({
    ...{ entry, revision: revision - 1, content: content! },
  }));
  // A transaction is a database to what runs within it.
  const inside = { ...context, db: tx as unknown as Database };
  const changed = await changeEntries(inside, row.by, changes, reasonOf(row));
  await tx
    .update(importEntries)
    .set({ content: null })
    .where(and(eq(importEntries.import, row.id), isNotNull(importEntries.content)));
  return [...new Set(changed.map(({ collection }) => collection))];
}

const ofImport = (row: ImportRow) => eq(entries.deletion, row.id);

/** Lets the new entries of an import be seen, with their cues, in a few statements however many they are. */
async function show(tx: Queries, row: ImportRow): Promise<string[]> {
  const brief = await tx
    .select({
      entry: entries.id,
      collection: entries.collection,
      cues: sql`${entries.content} -> 'cues'`,
      retired: sql`${entries.content} -> 'retired'`,
      holds: sql<boolean>`${entries.content}::text like '%"include"%'`,
    })
    .from(entries)
    .where(ofImport(row));
  const places = [...new Set(brief.map(({ collection }) => collection))].sort();
  const changes = await nextChanges(tx, places);
  const made = new Set(row.collectionsMade);
  await mustKeepAll(
    tx,
    row.by,
    places.filter((place) => !made.has(place)),
  );
  await insertCues(
    tx,
    brief.flatMap(({ entry, collection, cues, retired }) =>
      typedCues({ cues, retired } as Parameters<typeof typedCues>[0]).map((typed) => ({
        collection,
        typed,
        entry,
      })),
    ),
  );
  await showEntries(
    tx,
    brief.map(({ entry, collection }) => ({ id: entry, change: changes.get(collection)! })),
  );
  const holding = brief.filter(({ holds }) => holds).map(({ entry }) => entry);
  if (holding.length > 0)
    for (const { id, collection, content } of await tx
      .select()
      .from(entries)
      .where(isAmong(entries.id, holding)))
      await mustIncludeSoundly(tx, { member: row.by, collection, id, content });
  return places;
}

/**
 * Makes all that came of an import seen at one moment: new entries, next revisions, collections. All or nothing; throws a Refusal where
 * a cue was taken or an entry changed meanwhile. Gives the collections that are other by it.
 */
export async function finishImport(
  context: Context,
  member: string,
  id: string,
): Promise<{ touched: string[]; isTreeChanged: boolean }> {
  const done = await tellingClashes(() =>
    context.db.transaction(async (tx) => {
      await holdTree(tx);
      const row = await ownImport(tx, member, id, 'arriving');
      await settleMade(context, tx, row);
      // First, so that cues they give up are free for those that come.
      const changed = await saveReplaced(context, tx, row);
      const places = await show(tx, row);
      await tx.update(imports).set({ state: 'here' }).where(eq(imports.id, id));
      await tx.delete(deletions).where(eq(deletions.id, id));
      const [named] = await tx.select().from(collections).where(eq(collections.id, row.collection));
      const all = await tx
        .select({ entry: importEntries.entry, revision: importEntries.revision })
        .from(importEntries)
        .where(eq(importEntries.import, id));
      const made = all.filter(({ revision }) => revision === 1).length;
      await writeTrail(tx, context.now(), {
        by: member,
        act: 'file-taken-over',
        subject: named!.name,
        detail: `${made} new, ${all.length - made} changed, from “${row.name}”`,
        collection: row.collection,
      });
      return {
        entries: all.map(({ entry }) => entry),
        touched: [...new Set([...changed, ...places])],
        isTreeChanged: row.collectionsMade.length > 0,
      };
    }),
  );
  // By their words entries of a large bank are searched at the API: written in pieces, so that nobody waits for all of them. What a
  // kill leaves out is written when the server starts.
  await writeMissingWords(context.db, done.entries);
  return done;
}

const LEFT_TOLD = 50;

/** The collections that an import made in which nothing but what it brought is left: the outermost of each. */
async function emptied(tx: Queries, row: ImportRow, gone: ReadonlySet<string>): Promise<string[]> {
  const made = new Set(row.collectionsMade);
  const all = await tx
    .select({ id: collections.id, parent: collections.parent })
    .from(collections)
    .where(isNull(collections.deletion));
  const full = new Set<string>();
  const held =
    made.size === 0
      ? []
      : await tx
          .select({ id: entries.id, collection: entries.collection })
          .from(entries)
          .where(and(isAmong(entries.collection, [...made]), isNull(entries.deletion)));
  const parents = new Map(all.map(({ id, parent }) => [id, parent]));
  const fill = (from: string) => {
    for (let at: string | null | undefined = from; at && !full.has(at); at = parents.get(at)) full.add(at);
  };
  for (const { id, collection } of held) if (!gone.has(id)) fill(collection);
  for (const { id } of all) if (!made.has(id)) fill(id);
  return all.flatMap(({ id, parent }) => {
    const goes = made.has(id) && !full.has(id);
    return goes && !(parent !== null && made.has(parent) && !full.has(parent)) ? [id] : [];
  });
}

/**
 * Takes an import back, however long ago it was: what is as it left it goes into the wastebasket, or back to what it was; what somebody
 * changed since stays, and is told. Collections that it made go where nothing else is left in them.
 */
export async function undoImport(context: Context, member: Member, id: string): Promise<ImportUndone> {
  const row = await context.db.transaction((tx) => ownImport(tx, member.id, id, 'here'));
  const all = await context.db
    .select({
      entry: entries.id,
      left: importEntries.revision,
      revision: entries.revision,
      title: sql<string>`${entries.content} ->> 'title'`,
      collection: entries.collection,
    })
    .from(importEntries)
    .innerJoin(entries, eq(entries.id, importEntries.entry))
    .where(and(eq(importEntries.import, id), isNull(entries.deletion)));
  const same = all.filter(({ left, revision }) => left === revision);
  const fresh = same.filter(({ left }) => left === 1);
  const changed = same.filter(({ left }) => left > 1);
  const gone = new Set(fresh.map(({ entry }) => entry));
  const drops = await emptied(context.db, row, gone);
  const within = new Set(drops);
  const kept = await context.db.select({ id: collections.id, parent: collections.parent }).from(collections);
  // What is within goes with it.
  for (let size = -1; size !== within.size;) {
    size = within.size;
    for (const { id: one, parent } of kept) if (parent !== null && within.has(parent)) within.add(one);
  }
  const alone = fresh.filter(({ collection }) => !within.has(collection)).map(({ entry }) => entry);
  const reason = `Taken back: ${reasonOf(row)}`;
  await takeSteps(context, member, [
    // New ones first: their cues are free then for those that have them again.
    ...(alone.length > 0 ? [{ do: 'delete' as const, entries: alone }] : []),
    ...drops.map((collection) => ({ do: 'drop' as const, collection })),
    ...(changed.length > 0
      ? [
          {
            do: 'revert' as const,
            entries: changed.map(({ entry, revision }) => ({ entry, revision, to: revision - 1 })),
            reason,
          },
        ]
      : []),
  ]);
  await context.db.update(imports).set({ state: 'undone' }).where(eq(imports.id, id));
  const left = all.filter((one) => one.left !== one.revision);
  return {
    deleted: fresh.length,
    reverted: changed.length,
    left: left.slice(0, LEFT_TOLD).map(({ title }) => title),
    leftCount: left.length,
  };
}
