import { and, asc, eq, inArray, isNull, sql } from 'drizzle-orm';
import type { Restored } from '#contracts';
import { letKeep } from '../bank/sharing';
import { holdCollections, nextChange } from '../bank/bankChanges';
import { mustFindRoom, placeCollection } from '../bank/placeCollection';
import { rightOn } from '../bank/rights';
import { typedCues, indexEntry } from '../bank/saveEntry';
import { mustVaryAlone } from '../bank/soundVariations';
import type { Context } from '../context';
import type { Queries } from '../db/openStore';
import { collections, cues, deletions, drafts, entries, glossaries, revisions } from '../db/schema';
import { Refusal } from '../http/refusal';
import { unmerge } from '../order/unmerge';
import { record } from '../people/trail';

type DeletionRow = typeof deletions.$inferSelect;
type EntryRow = typeof entries.$inferSelect;

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
  for (const row of rows) {
    const wanted = typedCues(row.content);
    const taken = new Set(
      wanted.length === 0
        ? []
        : (
            await tx
              .select({ typed: cues.typed })
              .from(cues)
              .where(and(eq(cues.collection, row.collection), inArray(cues.typed, wanted)))
          ).map(({ typed }) => typed),
    );
    const change = await nextChange(tx, row.collection);
    const kept = row.content.cues.filter(({ text }) => !taken.has(text.toLowerCase()));
    const content = taken.size === 0 ? row.content : { ...row.content, cues: kept };
    const lost = row.content.cues.filter(({ text }) => taken.has(text.toLowerCase()));
    lostCues.push(...lost.map(({ text }) => ({ title: content.title, cue: text })));
    const alive = { deletion: null, change };
    if (lost.length === 0) {
      await tx.update(entries).set(alive).where(eq(entries.id, row.id));
    } else {
      const reason = `Brought back; ${lost.map(({ text }) => text).join(', ')} brings another entry by now`;
      const state = { content, reason, savedAt: context.now(), savedBy: member, revision: row.revision + 1 };
      await tx
        .update(entries)
        .set({ ...alive, ...state })
        .where(eq(entries.id, row.id));
      await tx.insert(revisions).values({ entry: row.id, ...state });
    }
    await indexEntry(tx, row.collection, row.id, content);
    const done = { by: member, act: 'entry-restored' as const, subject: content.title };
    await record(tx, context.now(), { ...done, collection: row.collection });
  }
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
  await record(tx, context.now(), done);
  return restoreEntries(context, tx, member, rows);
}

async function restoreDraft(tx: Queries, row: DeletionRow): Promise<Restored> {
  const [draft] = await tx.select().from(drafts).where(eq(drafts.deletion, row.id));
  const [other] = await tx
    .select({ id: drafts.id })
    .from(drafts)
    .where(and(eq(drafts.case, draft!.case), eq(drafts.author, draft!.author), isNull(drafts.deletion)));
  if (other)
    throw new Refusal(
      'not-valid',
      'You have begun another draft of this case. Delete that first; nothing was changed.',
    );
  await tx.update(drafts).set({ deletion: null }).where(eq(drafts.id, draft!.id));
  return { entries: 0, lostCues: [] };
}

async function restoreGlossary(context: Context, tx: Queries, member: string, row: DeletionRow) {
  // Another version: a page that kept its terms from before asks for them anew.
  await tx
    .update(glossaries)
    .set({ deletion: null, version: sql`${glossaries.version} + 1` })
    .where(eq(glossaries.deletion, row.id));
  await record(tx, context.now(), { by: member, act: 'glossary-restored', subject: row.title });
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
  const restored = await {
    collection: () => restoreCollection(context, tx, member, row),
    draft: () => restoreDraft(tx, row),
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
  const wanted = only === null ? all : all.filter(({ id }) => only.includes(id));
  const homes = await tx
    .select({ id: collections.id })
    .from(collections)
    .where(
      and(
        inArray(
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
