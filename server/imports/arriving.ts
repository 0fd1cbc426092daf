import { createHash } from 'node:crypto';
import { and, eq, inArray, sql } from 'drizzle-orm';
import type { BodyOf, ImportPiece } from '#contracts';
import { CollectionSettingsSchema } from '#core/bank';
import { renamedIncludes } from '#core/fill';
import {
  holdEntryFiles,
  holdTree,
  includedIds,
  insertHidden,
  keepRevisions,
  mustBeSound,
  mustKeepAll,
  mustKeepIt,
  visibleEntries,
} from '../bank';
import type { Context } from '../context';
import { deletions, importEntries, imports, type Queries } from '../db';
import { Refusal } from '../http';
import { purge } from '../wastebasket';
import { ownImport, type ImportRow } from './ownImport';

/** Why entries of an import were saved, as their histories tell it. */
export const reasonOf = ({ name }: Pick<ImportRow, 'name'>): string => `Brought in with “${name}”`;

/**
 * Begins an import: the collections that are made for it are put where nobody sees them. Gives its id. Throws unless the member keeps
 * all those it goes into.
 */
export async function beginImport(
  context: Context,
  member: string,
  { name, collections, places: known }: BodyOf<'beginImport'>,
): Promise<string> {
  const id = context.newId();
  const at = context.now();
  await context.db.transaction(async (tx) => {
    await holdTree(tx);
    await tx.insert(deletions).values({ id, what: 'import', title: name, by: member, at });
    const places = new Map<string, string>();
    const made = new Map<string, Parameters<typeof insertHidden>[1][number]>();
    const there: string[] = [];
    for (const { id: theirs, parent, ...settings } of collections) {
      if (places.has(theirs)) throw new Refusal('not-valid', 'Two collections in this file have one id.');
      const here = known[theirs];
      if (here !== undefined) {
        there.push(here);
        places.set(theirs, here);
        continue;
      }
      const own = context.newId();
      // From the top down: around one that names what has not come, there is nothing.
      const around = parent === null ? null : (places.get(parent) ?? null);
      const isNew = around !== null && made.has(around);
      const ownedBy = around === null || isNew ? null : (await mustKeepIt(tx, member, around)).ownedBy;
      made.set(own, {
        ...{ id: own, parent: around, ownedBy },
        settings: CollectionSettingsSchema.parse(settings),
      });
      places.set(theirs, own);
    }
    await mustKeepAll(tx, member, there);
    await insertHidden(tx, [...made.values()], id);
    await tx.insert(imports).values({
      ...{ id, name, by: member, at, state: 'arriving' },
      places: Object.fromEntries(places),
      collection: places.get(collections[0]!.id)!,
      collectionsMade: [...made.keys()],
    });
  });
  return id;
}

/** What an entry is called here: the same however often it is sent. */
const entryIdOf = (id: string, key: string): string =>
  createHash('sha256').update(`${id}\n${key}`).digest('base64url').slice(0, 24);

type Piece = ImportPiece['entries'][number];

/** Entries with the ids of those within them as they are here; one that does not exist for the member goes. */
async function renamed(tx: Queries, member: string, row: ImportRow, piece: ImportPiece): Promise<Piece[]> {
  const coming = new Set(piece.coming);
  const idOf = (id: string) => piece.known[id] ?? (coming.has(id) ? entryIdOf(row.id, id) : null);
  const elsewhere = piece.entries
    .flatMap(({ content }) => includedIds(content))
    .filter((id) => idOf(id) === null);
  const seen = await visibleEntries(tx, member, [...new Set(elsewhere)]);
  return piece.entries.map((one) => ({
    ...one,
    content: renamedIncludes(one.content, (id) => idOf(id) ?? (seen.has(id) ? id : null)),
  }));
}

/** Puts new entries where nobody sees them yet, with their first revisions. */
async function hide(
  context: Context,
  tx: Queries,
  row: ImportRow,
  all: readonly { id: string; collection: string; content: Piece['content'] }[],
): Promise<void> {
  const rows = all.map((one) => {
    const saved = { revision: 1, reason: reasonOf(row), savedAt: context.now(), savedBy: row.by };
    return { ...one, ...saved, deletion: row.id };
  });
  await tx.execute(sql`
    insert into entries (id, collection, revision, content, reason, saved_at, saved_by, deletion)
    select one.id, one.collection, one.revision, one.content, one.reason, one."savedAt", one."savedBy", one.deletion
    from jsonb_to_recordset(${JSON.stringify(rows)}::jsonb)
      as one(id text, collection text, revision int, content jsonb, reason text, "savedAt" timestamptz, "savedBy" text, deletion text)`);
  await keepRevisions(
    tx,
    rows.map(({ id, content, revision, reason, savedAt, savedBy }) => ({
      ...{ entry: id, content, revision, reason, savedAt, savedBy },
    })),
  );
  await holdEntryFiles(
    tx,
    row.by,
    rows.map(({ id, content }) => ({ entry: id, content })),
  );
}

/**
 * Takes some entries of an import: new ones lie where nobody sees them, those that others become the next revision of are kept beside it.
 * What was taken before is not taken again. Throws a Refusal where an entry cannot be kept.
 */
export async function takePiece(
  context: Context,
  member: string,
  id: string,
  piece: ImportPiece,
): Promise<void> {
  for (const { content } of piece.entries) mustBeSound(content);
  await context.db.transaction(async (tx) => {
    const row = await ownImport(tx, member, id, 'arriving');
    const all = (await renamed(tx, member, row, piece)).map((one) => ({
      ...one,
      here: one.replaces?.entry ?? entryIdOf(id, one.id),
      place: row.places[one.collection],
    }));
    if (all.some(({ place }) => place === undefined))
      throw new Refusal('not-valid', 'An entry names a collection that is not in this import.');
    if (new Set(all.map(({ here }) => here)).size < all.length)
      throw new Refusal('not-valid', 'Two entries in this file have one id. Nothing was brought in.');
    const before = await tx
      .select({ entry: importEntries.entry })
      .from(importEntries)
      .where(
        and(
          eq(importEntries.import, id),
          inArray(
            importEntries.entry,
            all.map(({ here }) => here),
          ),
        ),
      );
    const had = new Set(before.map(({ entry }) => entry));
    const fresh = all.filter(({ here }) => !had.has(here));
    if (fresh.length === 0) return;
    await hide(
      context,
      tx,
      row,
      fresh.flatMap(({ here, place, content, replaces }) =>
        replaces === null ? [{ id: here, collection: place!, content }] : [],
      ),
    );
    await tx.insert(importEntries).values(
      fresh.map(({ here, content, replaces }) => ({
        ...{ import: id, entry: here },
        revision: (replaces?.revision ?? 0) + 1,
        content: replaces === null ? null : content,
      })),
    );
  });
}

/** Drops an import that is not finished, with all that came of it. */
export async function dropImport(context: Context, member: string, id: string): Promise<void> {
  await context.db.transaction(async (tx) => {
    await holdTree(tx);
    await ownImport(tx, member, id, 'arriving');
    await purge(tx, [id]);
  });
}
