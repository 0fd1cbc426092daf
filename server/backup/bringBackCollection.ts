import { and, asc, eq, inArray, isNull, or } from 'drizzle-orm';
import type { BroughtBack, Member } from '#contracts';
import { isSame } from '#core/difference';
import {
  holdCollections,
  includedIds,
  indexAll,
  keepRevisions,
  letKeep,
  mustFindRoom,
  mustIncludeSoundly,
  mustKeep,
  mustVaryAlone,
  nextChange,
  rightOn,
  saveStates,
  typedCues,
  unmerge,
  visibleEntries,
} from '../bank';
import type { Context } from '../context';
import {
  collectionRevisions,
  collections,
  cues,
  deletions,
  entries,
  entryFiles,
  grants,
  groups,
  isAmong,
  members,
  revisions,
  type Database,
  type Queries,
} from '../db';
import { writeTrail } from '../trail';
import { deleteEntries, restoreFor } from '../wastebasket';
import type { Comparable } from './compareBackup';
import { holdFiles, type Staging } from './holdFiles';

type EntryRow = typeof entries.$inferSelect;

/** What bringing back is done with: the transaction that all of it is one act in, and the backup that is looked into. */
export interface BringBack {
  context: Context;
  tx: Queries;
  past: Database;
  member: Member;
  staging: Staging;
  /** What it is called in histories and the trail. */
  reason: string;
  came: BroughtBack;
  /** Collections in which something is another now. */
  touched: Set<string>;
  isTreeChanged: boolean;
}

/** Makes a collection anew that is gone for good, with its settings' history and its sharing with those who are still there. */
async function makeAnew(walk: BringBack, id: string): Promise<void> {
  const { tx, past, member } = walk;
  const [row] = await past.select().from(collections).where(eq(collections.id, id));
  const around =
    row!.parent === null
      ? []
      : await tx
          .select({ id: collections.id })
          .from(collections)
          .where(and(eq(collections.id, row!.parent), isNull(collections.deletion)));
  await tx.insert(collections).values({ ...row!, parent: around[0]?.id ?? null });
  const history = await past.select().from(collectionRevisions).where(eq(collectionRevisions.collection, id));
  if (history.length > 0) await tx.insert(collectionRevisions).values(history);
  const people = new Set((await tx.select({ id: members.id }).from(members)).map((one) => one.id));
  const teams = new Set((await tx.select({ id: groups.id }).from(groups)).map((one) => one.id));
  const sharing = (await past.select().from(grants).where(eq(grants.collection, id))).filter(
    (one) => (one.member === null || people.has(one.member)) && (one.group === null || teams.has(one.group)),
  );
  if (sharing.length > 0) await tx.insert(grants).values(sharing);
  if (row!.ownedBy === null && (await rightOn(tx, member.id, id)) !== 'keep')
    await letKeep(tx, member.id, id);
  await mustFindRoom(tx);
}

/** Sees to it that a collection is there to bring entries back into. */
async function settlePlace(walk: BringBack, { id, state }: Comparable): Promise<void> {
  const { context, tx, member } = walk;
  if (state === 'gone') {
    await makeAnew(walk, id);
    walk.isTreeChanged = true;
  }
  const [row] = await tx.select().from(collections).where(eq(collections.id, id));
  if (row!.deletion !== null) {
    await restoreFor(context, tx, member, row!.deletion, null);
    walk.isTreeChanged = true;
  }
  await mustKeep(tx, member.id, id);
}

/** Entries without those of their cues that others in the collection have by now: these are told. */
async function withFreeCues(walk: BringBack, place: string, rows: readonly EntryRow[]): Promise<EntryRow[]> {
  const all = await walk.tx.select({ typed: cues.typed }).from(cues).where(eq(cues.collection, place));
  const taken = new Set(all.map(({ typed }) => typed));
  return rows.map((row) => {
    const lost = row.content.cues.filter(({ text }) => taken.has(text.toLowerCase()));
    for (const typed of typedCues(row.content)) taken.add(typed);
    if (lost.length === 0 || row.content.retired) return row;
    walk.came.lostCues.push(...lost.map(({ text }) => ({ title: row.content.title, cue: text })));
    return {
      ...row,
      content: { ...row.content, cues: row.content.cues.filter((cue) => !lost.includes(cue)) },
    };
  });
}

/** Puts entries that are gone for good back into the store, as they were and with all of their history. */
async function insertGone(walk: BringBack, gone: readonly EntryRow[], change: number): Promise<void> {
  if (gone.length === 0) return;
  const { tx, past } = walk;
  const ids = gone.map(({ id }) => id);
  const varied = gone.flatMap(({ varies }) => varies ?? []);
  const there = new Set(
    (await tx.select({ id: entries.id }).from(entries).where(isAmong(entries.id, varied))).map(
      ({ id }) => id,
    ),
  );
  for (const row of gone) {
    const varies = row.varies !== null && there.has(row.varies) ? row.varies : null;
    await tx.insert(entries).values({ ...row, change, varies, deletion: null, merged: null });
  }
  await keepRevisions(tx, await past.select().from(revisions).where(isAmong(revisions.entry, ids)));
  const held = await past.select().from(entryFiles).where(isAmong(entryFiles.entry, ids));
  await holdFiles(
    walk,
    held.map(({ hash }) => hash),
  );
  if (held.length > 0) await tx.insert(entryFiles).values(held).onConflictDoNothing();
}

/** Takes deletions away that nothing is left of. */
async function settleDeletions(tx: Queries, ids: ReadonlySet<string>): Promise<void> {
  for (const id of ids) {
    const [left] = await tx.select({ id: entries.id }).from(entries).where(eq(entries.deletion, id)).limit(1);
    if (!left) await tx.delete(deletions).where(and(eq(deletions.id, id), eq(deletions.what, 'entries')));
  }
}

/** Refuses a ring of entries within each other; what is within one and is there no more is a gap, as anywhere. */
async function mustBeSound(walk: BringBack, rows: readonly EntryRow[]): Promise<void> {
  const { tx, member } = walk;
  for (const { id, collection, content } of rows) {
    const within = [...new Set(includedIds(content))];
    if (within.length === 0) continue;
    const seen = await visibleEntries(tx, member.id, within);
    if (within.every((one) => seen.has(one)))
      await mustIncludeSoundly(tx, { member: member.id, collection, id, content });
  }
}

/** What has become of the entries that a collection has in a backup: those that read otherwise, were deleted, are gone; and which came since. */
async function becomeOf(tx: Queries, past: Queries, collection: string) {
  const inIt = and(eq(entries.collection, collection), isNull(entries.deletion));
  const then = await past.select().from(entries).where(inIt).orderBy(asc(entries.id));
  const ids = then.map(({ id }) => id);
  const today = await tx
    .select()
    .from(entries)
    .where(or(isAmong(entries.id, ids), inIt));
  const todayById = new Map(today.map((row) => [row.id, row]));
  const thenIds = new Set(ids);
  return {
    todayById,
    since: today.filter((row) => !thenIds.has(row.id)).map(({ id }) => id),
    changed: then.filter((row) => {
      const here = todayById.get(row.id);
      // One that was moved on is what it is where it is now.
      return here?.deletion === null && here.collection === collection && !isSame(here.content, row.content);
    }),
    deleted: then.filter(({ id }) => (todayById.get(id)?.deletion ?? null) !== null),
    gone: then.filter(({ id }) => !todayById.has(id)),
  };
}

/**
 * Brings a collection back to what it was in a backup: what reads otherwise gets its wording of then as a next revision, what was deleted is
 * back, what is gone for good comes with its history, and what came since goes into the wastebasket where that is asked for.
 */
export async function bringBackCollection(
  walk: BringBack,
  place: Comparable,
  withSince: boolean,
): Promise<void> {
  const { context, tx, past, member, came, reason } = walk;
  const { id: collection } = place;
  await settlePlace(walk, place);
  await holdCollections(tx, [collection]);
  const { todayById, since, changed, deleted, gone } = await becomeOf(tx, past, collection);
  if (withSince && since.length > 0) {
    // A transaction is a database to what runs within it.
    const inside = { ...context, db: tx as unknown as Database };
    came.undo.deletions.push(await deleteEntries(inside, member.id, since));
  }
  const back = [...changed, ...deleted, ...gone];
  if (back.length === 0) return;
  await tx.delete(cues).where(inArray(cues.entry, changed.map(({ id }) => id).concat('')));
  const change = await nextChange(tx, collection);
  await insertGone(walk, gone, change);
  const free = await withFreeCues(walk, collection, back);
  const whole = new Map(back.map((row) => [row.id, row.content]));
  const goneIds = new Set(gone.map(({ id }) => id));
  await mustVaryAlone(tx, collection, deleted);
  await unmerge(
    tx,
    [...deleted, ...gone].map(({ id }) => id),
  );
  // What is gone for good has its newest revision already, unless it comes without a cue.
  const saved = free.filter(({ id, content }) => !goneIds.has(id) || content !== whole.get(id));
  await saveStates(
    tx,
    saved.map(({ id, content, revision }) => ({
      ...{ entry: id, content, change, reason, savedAt: context.now(), savedBy: member.id },
      revision: (todayById.get(id)?.revision ?? revision) + 1,
    })),
  );
  await tx
    .update(entries)
    .set({ collection })
    .where(
      isAmong(
        entries.id,
        deleted.map(({ id }) => id),
      ),
    );
  await indexAll(tx, free);
  await mustBeSound(walk, free);
  await settleDeletions(tx, new Set(deleted.flatMap(({ id }) => todayById.get(id)!.deletion ?? [])));
  came.entries += back.length;
  came.undo.back.push(...[...deleted, ...gone].map(({ id }) => id));
  came.undo.reverts.push(
    ...changed.map(({ id }) => {
      const { revision } = todayById.get(id)!;
      return { entry: id, revision: revision + 1, to: revision };
    }),
  );
  walk.touched.add(collection);
  await writeTrail(tx, context.now(), {
    by: member.id,
    act: 'brought-back',
    subject: place.name,
    detail: `${changed.length} changed, ${deleted.length + gone.length} back`,
    collection,
  });
}
