import { and, asc, eq, inArray, isNull } from 'drizzle-orm';
import { MOST_HANDED_ON, type CollectionFile, type Step, type TakeOver } from '#contracts';
import { renamedIncludes } from '#core/fill';
import { treeBranches, within } from '#core/rights';
import type { Context } from '../context';
import { type Database, type Queries, collections, entries } from '../db';
import { Refusal } from '../http';
import { writeTrail } from '../trail';
import { nextChange } from './bankChanges';
import { holdTree, mustKeepIt } from './changingCollections';
import { holdEntryFiles } from './entryFiles';
import { makeCollection } from './makeCollection';
import { mustFindRoom } from './placeCollection';
import { changeEntries } from './manyEntries';
import { mustKeep, rightsFor, visibleEntries } from './rights';
import { withIncluded } from './readBank';
import { mustBeSound, tellingClashes } from './saveEntry';
import { includedIds, mustIncludeSoundly } from './soundIncludes';
import { indexAll, keepRevisions } from './writtenTogether';

/**
 * A collection with those within it that its keeper sees, and all their entries, as a file for another team; what stands
 * within an entry comes along, wherever it is kept. Throws unless the member keeps the collection.
 */
export async function handOn(context: Context, member: string, collection: string): Promise<CollectionFile> {
  const { db } = context;
  const row = await mustKeepIt(db, member, collection);
  const rights = await rightsFor(db, member);
  const all = await db.select().from(collections).where(isNull(collections.deletion));
  const inside = within(
    collection,
    all.filter(({ id }) => rights.has(id)),
  );
  const branches = treeBranches(all.filter(({ id }) => inside.has(id))).map(({ node }) => node);
  const rows = await db
    .select({ id: entries.id })
    .from(entries)
    .where(and(inArray(entries.collection, [...inside]), isNull(entries.deletion)))
    .orderBy(asc(entries.id));
  if (rows.length > MOST_HANDED_ON)
    throw new Refusal(
      'not-valid',
      `A file holds ${MOST_HANDED_ON.toLocaleString('en-GB')} entries, and here are ${rows.length.toLocaleString('en-GB')}. Save the collections inside it one by one.`,
    );
  const whole = await withIncluded(
    db,
    rows.map(({ id }) => id),
    (id) => rights.has(id),
  );
  await writeTrail(db, context.now(), {
    by: member,
    act: 'collection-handed-on',
    subject: row.name,
    detail: `${whole.length} entries`,
    collection,
  });
  return {
    format: 'elderleaf-collection',
    version: 1,
    collections: branches.map(
      ({ id, parent, name, leadIn, cueRules, cuesBy, kindsOfWork, language, titles }) => ({
        id,
        parent: id === collection ? null : parent,
        ...{ name, leadIn, cueRules, cuesBy, kindsOfWork, language },
        ...(titles && { titles }),
      }),
    ),
    entries: whole.map(({ id, collection: at, content }) => ({
      id,
      collection: inside.has(at) ? at : collection,
      content,
    })),
  };
}

/** Makes the collections of a file, and says by their ids there what they are called here. */
async function makeTheirs(
  context: Context,
  tx: Queries,
  member: string,
  theirs: TakeOver['collections'],
): Promise<Map<string, string>> {
  const ids = new Map(theirs.map(({ id }) => [id, context.newId()]));
  if (ids.size < theirs.length) throw new Refusal('not-valid', 'Two collections in this file have one id.');
  const made = new Set<string>();
  for (const { id, parent, ...settings } of theirs) {
    // From the top down: around one that names what has not come, there is nothing.
    const around = parent !== null && made.has(parent) ? ids.get(parent)! : null;
    await makeCollection(context, tx, member, { id: ids.get(id)!, parent: around, settings });
    made.add(id);
  }
  await mustFindRoom(tx);
  return ids;
}

type Taken = TakeOver['entries'][number];

/** Puts new entries into their collections. */
async function insertAll(
  context: Context,
  tx: Queries,
  member: string,
  rows: readonly Pick<Taken, 'id' | 'collection' | 'content'>[],
  reason: string,
): Promise<void> {
  if (rows.length === 0) return;
  const counts = new Map<string, number>();
  for (const collection of [...new Set(rows.map((row) => row.collection))].sort())
    counts.set(collection, await nextChange(tx, collection));
  const saved = { savedAt: context.now(), savedBy: member, revision: 1, reason };
  await tx
    .insert(entries)
    .values(rows.map((row) => ({ ...row, ...saved, change: counts.get(row.collection)! })));
  await keepRevisions(
    tx,
    rows.map(({ id, content }) => ({ entry: id, content, ...saved })),
  );
  await holdEntryFiles(
    tx,
    member,
    rows.map(({ id, content }) => ({ entry: id, content })),
  );
  await indexAll(tx, rows);
  for (const { id, collection, content } of rows)
    await mustIncludeSoundly(tx, { member, collection, id, content });
}

/**
 * Takes over entries of a file: as new ones, or as the next revisions of those they replace; into one collection, or into the
 * file's own, which are made. Entries within entries are those that came along. All or nothing; throws a Refusal where it may
 * not be, or a cue is taken.
 */
export async function takeOver(context: Context, member: string, body: TakeOver) {
  for (const { content } of body.entries) mustBeSound(content);
  return tellingClashes(() =>
    context.db.transaction(async (tx) => {
      if (body.into === null) await holdTree(tx);
      else await mustKeep(tx, member, body.into);
      const places = body.into === null ? await makeTheirs(context, tx, member, body.collections) : null;
      const root = body.into ?? places!.get(body.collections[0]!.id)!;
      const ids = new Map(Object.entries(body.known));
      for (const { id, replaces } of body.entries) ids.set(id, replaces?.entry ?? context.newId());
      if (ids.size < body.entries.length + Object.keys(body.known).length)
        throw new Refusal('not-valid', 'Two entries in this file have one id. Nothing was brought in.');
      const elsewhere = body.entries
        .flatMap(({ content }) => includedIds(content))
        .filter((id) => !ids.has(id));
      const seen = await visibleEntries(tx, member, [...new Set(elsewhere)]);
      const all = body.entries.map((one) => ({
        ...one,
        content: renamedIncludes(one.content, (id) => ids.get(id) ?? (seen.has(id) ? id : null)),
      }));
      const from = body.collections[0]!.name;
      const reason = `Taken over with the file “${from}”`;
      const fresh = all.filter(({ replaces }) => replaces === null);
      await insertAll(
        context,
        tx,
        member,
        fresh.map(({ id, collection, content }) => ({
          id: ids.get(id)!,
          collection: places?.get(collection) ?? root,
          content,
        })),
        reason,
      );
      const changes = all.flatMap(({ replaces, content }) => (replaces ? [{ ...replaces, content }] : []));
      // A transaction is a database to what runs within it.
      const inside = { ...context, db: tx as unknown as Database };
      const changed = changes.length > 0 ? await changeEntries(inside, member, changes, reason) : [];
      const [named] = await tx.select().from(collections).where(eq(collections.id, root));
      await writeTrail(tx, context.now(), {
        by: member,
        act: 'file-taken-over',
        subject: named!.name,
        detail: `${fresh.length} new, ${changed.length} changed, from “${from}”`,
        collection: root,
      });
      const made = fresh.map(({ id }) => ids.get(id)!);
      // New ones first: their cues are free then for those that have them again.
      const undo: Step[] = places
        ? [{ do: 'drop', collection: root }]
        : [
            ...(made.length > 0 ? [{ do: 'delete' as const, entries: made }] : []),
            ...(changed.length > 0
              ? [
                  {
                    do: 'revert' as const,
                    entries: changed.map(({ id, revision }) => ({ entry: id, revision, to: revision - 1 })),
                    reason: `Taken back: ${reason}`,
                  },
                ]
              : []),
          ];
      return { collection: root, made, changed, isNew: places !== null, undo };
    }),
  );
}
