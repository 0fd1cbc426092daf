import { isDeepStrictEqual } from 'node:util';
import { and, eq, getTableColumns, inArray, isNull, sql } from 'drizzle-orm';
import type { Entry } from '#contracts';
import type { EntryContent } from '#core/entry';
import type { Context } from '../context';
import { type Queries, collections, cues, entries, entryMoves, isAmong } from '../db';
import { notFound, Refusal } from '../http';
import { writeTrailLines } from '../trail';
import { depart, holdCollections, nextChange, nextChanges } from './bankChanges';
import { holdEntryFiles } from './entryFiles';
import { moveWords } from './entryWords';
import { rightsFor } from './rights';
import { isNextOf, mustBeSound, tellingClashes, toEntry, typedCues } from './saveEntry';
import { mustIncludeSoundly } from './soundIncludes';
import { mustVaryAlone } from './soundVariations';
import { indexAll, saveStates } from './writtenTogether';

type Row = typeof entries.$inferSelect;
/** An entry but for what it says, of which thousands are long to read; with its title. */
type Held = Omit<Row, 'content'> & { title: string };

const { content: _content, ...allButContent } = getTableColumns(entries);
const heldColumns = { ...allButContent, title: sql<string>`${entries.content} ->> 'title'` };

const TOLD = 20;

/**
 * Some entries, held with their collections for this transaction; all of them kept by the member, or it throws: as for
 * something that is not there where one of them does not exist for the member. What they say is read by `contentsOf`.
 */
export async function heldByKeeper(
  tx: Queries,
  member: string,
  wanted: readonly string[],
  alsoHold: readonly string[] = [],
): Promise<Held[]> {
  const ids = [...new Set(wanted)];
  const where = and(isAmong(entries.id, ids), isNull(entries.deletion));
  const found = await tx.select({ collection: entries.collection }).from(entries).where(where);
  await holdCollections(tx, [...found.map(({ collection }) => collection), ...alsoHold]);
  const rows = await tx.select(heldColumns).from(entries).where(where).orderBy(entries.id).for('update');
  const rights = await rightsFor(tx, member);
  if (rows.length < ids.length || rows.some(({ collection }) => !rights.has(collection))) throw notFound();
  const foreign = rows.find(({ collection }) => rights.get(collection) !== 'keep');
  if (foreign)
    throw new Refusal(
      'not-allowed',
      `Only its keepers change “${foreign.title}”. Nothing was changed; remove it from the selection.`,
    );
  return rows;
}

/** What some entries say, by their ids. */
async function contentsOf(tx: Queries, ids: readonly string[]): Promise<Map<string, EntryContent>> {
  const found = await tx
    .select({ id: entries.id, content: entries.content })
    .from(entries)
    .where(isAmong(entries.id, ids));
  return new Map(found.map(({ id, content }) => [id, content]));
}

/** Refuses cues of arriving entries that others in the collection have, naming them. */
async function mustFit(
  tx: Queries,
  collection: string,
  arriving: readonly Pick<Row, 'content'>[],
): Promise<void> {
  const typed = arriving.flatMap(({ content }) => typedCues(content));
  if (typed.length === 0) return;
  const taken = await tx
    .select({ typed: cues.typed, title: entries.content })
    .from(cues)
    .innerJoin(entries, eq(entries.id, cues.entry))
    .where(and(eq(cues.collection, collection), inArray(cues.typed, typed)));
  const twice = typed
    .filter((one, at) => typed.indexOf(one) !== at)
    .map((one) => ({ typed: one, title: null }));
  const all = [...taken, ...twice];
  if (all.length === 0) return;
  const faults = all.slice(0, TOLD).map(({ typed: cue, title }) => ({
    place: cue,
    message: title ? `The cue ${cue} brings “${title.title}” there.` : `Two of these have the cue ${cue}.`,
  }));
  throw new Refusal(
    'cue-taken',
    `${all.length === 1 ? 'A cue is' : `${all.length} cues are`} taken there: ${all
      .slice(0, 5)
      .map((one) => one.typed)
      .join(', ')}. Nothing was moved.`,
    { faults },
  );
}

/** Moves entries into another collection, all or none. Returns them as they stand now. Throws a Refusal when it may not be. */
export async function moveEntries(
  context: Context,
  member: string,
  ids: readonly string[],
  to: string,
): Promise<Entry[]> {
  return tellingClashes(() =>
    context.db.transaction(async (tx) => {
      const all = await heldByKeeper(tx, member, ids, [to]);
      const rights = await rightsFor(tx, member);
      if (!rights.has(to)) throw notFound();
      if (rights.get(to) !== 'keep')
        throw new Refusal(
          'not-allowed',
          'Only its keepers put entries into that collection. Nothing was moved.',
        );
      const leaving = all.filter(({ collection }) => collection !== to);
      if (leaving.length === 0) return [];
      const places = await tx.select().from(collections);
      const ownerOf = (id: string) => places.find((place) => place.id === id)?.ownedBy ?? null;
      if (ownerOf(to) !== null && leaving.some(({ collection }) => ownerOf(collection) === null))
        throw new Refusal(
          'not-valid',
          'What is shared stays shared: it cannot go into your own wording. Copy it instead; nothing was moved.',
        );
      const moving = leaving.map(({ id }) => id);
      const contents = await contentsOf(tx, moving);
      const rows = leaving.map((row) => ({ ...row, content: contents.get(row.id)! }));
      await mustFit(tx, to, rows);
      await mustVaryAlone(tx, to, rows);
      for (const { id, content } of rows)
        await mustIncludeSoundly(tx, { member, collection: to, id, content });
      await depart(tx, rows);
      await tx
        .insert(entryMoves)
        .values(rows.map(({ id, revision, collection }) => ({ entry: id, revision, from: collection })));
      const change = await nextChange(tx, to);
      const moved = await tx
        .update(entries)
        .set({ collection: to, change })
        .where(isAmong(entries.id, moving))
        .returning();
      await tx.update(cues).set({ collection: to }).where(isAmong(cues.entry, moving));
      await moveWords(tx, rows, to);
      const named = places.find((place) => place.id === to)!.name;
      await writeTrailLines(
        tx,
        context.now(),
        rows.map(({ title }) => ({
          by: member,
          act: 'entry-moved' as const,
          subject: title,
          detail: `to ${named}`,
          collection: to,
        })),
      );
      return moved.map(toEntry);
    }),
  );
}

/** A change of one of many. */
export interface ChangeOfOne {
  entry: string;
  revision: number;
  content: EntryContent;
}

/**
 * Saves many entries as their next revisions, all or none. Returns them as they stand now. Where they are all of what was sent,
 * the same sent again does nothing.
 */
export async function changeEntries(
  context: Context,
  member: string,
  changes: readonly ChangeOfOne[],
  reason: string,
  { areAll = false } = {},
): Promise<Entry[]> {
  if (new Set(changes.map(({ entry }) => entry)).size < changes.length)
    throw new Refusal('not-valid', 'One entry is named twice. Nothing was changed.');
  for (const { content } of changes) mustBeSound(content);
  return tellingClashes(() =>
    context.db.transaction(async (tx) => {
      const rows = await heldByKeeper(
        tx,
        member,
        changes.map(({ entry }) => entry),
      );
      const byId = new Map(rows.map((row) => [row.id, row]));
      if (areAll && changes.every((one) => isNextOf(byId.get(one.entry)!, member, one.revision))) {
        const contents = await contentsOf(tx, [...byId.keys()]);
        if (changes.every(({ entry, content }) => isDeepStrictEqual(contents.get(entry), content)))
          return rows.map((row) => toEntry({ ...row, content: contents.get(row.id)! }));
      }
      const stale = changes.find(({ entry, revision }) => byId.get(entry)!.revision !== revision);
      if (stale)
        throw new Refusal(
          'moved-on',
          `Someone saved “${byId.get(stale.entry)!.title}” meanwhile. Nothing was changed; check it again.`,
        );
      const savedAt = context.now();
      const counts = await nextChanges(
        tx,
        rows.map(({ collection }) => collection),
      );
      // All cues go before any comes: two of these may change places.
      await tx.delete(cues).where(isAmong(cues.entry, [...byId.keys()]));
      const states = changes.map(({ entry, revision, content }) => ({
        entry,
        revision: revision + 1,
        content,
        reason,
        savedAt,
        savedBy: member,
        change: counts.get(byId.get(entry)!.collection)!,
      }));
      for (const { entry: id, content } of changes)
        await mustIncludeSoundly(tx, { member, collection: byId.get(id)!.collection, id, content });
      await saveStates(tx, states);
      await holdEntryFiles(tx, member, states);
      const now = states.map(({ entry, ...state }) => ({ ...byId.get(entry)!, ...state }));
      await indexAll(tx, now);
      await writeTrailLines(
        tx,
        savedAt,
        now.map(({ collection, content }) => ({
          by: member,
          act: 'entry-changed' as const,
          subject: content.title,
          detail: reason,
          collection,
        })),
      );
      const saved = now.map(toEntry);
      return saved;
    }),
  );
}
