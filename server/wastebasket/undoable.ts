import { asc, desc, eq, inArray, and, sql } from 'drizzle-orm';
import type { Deletion, Member, Restored } from '#contracts';
import { holdTree, rightsFor } from '../bank';
import type { Context } from '../context';
import {
  caseFiles,
  casesGiven,
  collections,
  deletions,
  drafts,
  entries,
  glossaries,
  members,
  type Queries,
} from '../db';
import { keepsGlossary } from '../termLists';
import { notFound } from '../http';
import { goesAt, settingsOf } from './emptying';
import { restore } from './restoring';

/** So many titles are shown of what was deleted together. */
const SHOWN = 50;

type Entries = Deletion['entries'];

/** A deletion as it is told, and all of its entries that its teller may bring back. */
export interface Undoable {
  told: Deletion;
  all: Entries;
}

/**
 * The deletions a member can undo: of what they would keep, were it there, glossaries too; of their own drafts, and
 * of files of cases given to them. Newest first.
 */
export async function undoable(db: Queries, member: Member, only?: string): Promise<Undoable[]> {
  const rights = await rightsFor(db, member.id, { evenDeleted: true });
  const kept = [...rights].flatMap(([id, right]) => (right === 'keep' ? [id] : []));
  const rows = await db
    .select({ deletion: deletions, by: members.name })
    .from(deletions)
    .innerJoin(members, eq(members.id, deletions.by))
    .where(only === undefined ? undefined : eq(deletions.id, only))
    .orderBy(desc(deletions.at), desc(deletions.id));
  const ids = rows.map(({ deletion }) => deletion.id);
  if (ids.length === 0 || kept.length === 0) return [];
  const places = await db
    .select({ id: collections.id, parent: collections.parent, deletion: collections.deletion })
    .from(collections)
    .where(inArray(collections.deletion, ids));
  // Who keeps a collection within one that was deleted does not keep what lay around it: the outermost decides.
  const isRoot = (place: (typeof places)[number]) =>
    !places.some(({ id, deletion }) => id === place.parent && deletion === place.deletion);
  const keptRoots = new Set(
    places.flatMap((place) => (rights.get(place.id) === 'keep' && isRoot(place) ? [place.deletion] : [])),
  );
  const titles = await db
    .select({
      id: entries.id,
      deletion: entries.deletion,
      title: sql<string>`${entries.content} ->> 'title'`,
      collection: entries.collection,
    })
    .from(entries)
    .where(and(inArray(entries.deletion, ids), inArray(entries.collection, kept)))
    .orderBy(asc(entries.id));
  const own = await db
    .select({ deletion: drafts.deletion })
    .from(drafts)
    .where(and(inArray(drafts.deletion, ids), eq(drafts.author, member.id)));
  const files = await db
    .select({ deletion: caseFiles.deletion })
    .from(caseFiles)
    .innerJoin(casesGiven, and(eq(casesGiven.case, caseFiles.case), eq(casesGiven.member, member.id)))
    .where(inArray(caseFiles.deletion, ids));
  const lists = await db.select().from(glossaries).where(inArray(glossaries.deletion, ids));
  const settings = await settingsOf(db);
  return rows.flatMap(({ deletion: { id, what, title, at }, by }) => {
    if (what === 'import') return [];
    const mine = titles.filter(({ deletion }) => deletion === id);
    const seen = {
      entries: mine.length > 0,
      collection: keptRoots.has(id),
      draft: own.some(({ deletion }) => deletion === id),
      file: files.some(({ deletion }) => deletion === id),
      glossary: lists.some((list) => list.deletion === id && keepsGlossary(list, member)),
    }[what];
    if (!seen) return [];
    // Of what was deleted together, only what this member keeps is theirs to know of.
    const shown = what === 'entries' && mine.length === 1 ? mine[0]!.title : title;
    const all = mine.map(({ deletion: _, ...entry }) => entry);
    const told = {
      id,
      what,
      title: what === 'entries' && mine.length > 1 ? `${mine.length} entries` : shown,
      by,
      at: at.toISOString(),
      until: goesAt(at, settings)?.toISOString() ?? null,
      entries: all.slice(0, SHOWN),
      count: mine.length,
    };
    return [{ told, all }];
  });
}

/** One deletion that the member can undo. Throws as for something that is not there where they cannot. */
export async function oneUndoable(db: Queries, member: Member, id: string): Promise<Undoable> {
  const [found] = await undoable(db, member, id);
  if (!found) throw notFound();
  return found;
}

/** What was brought back, and the entries, glossaries and cases whose pages are to be told. */
interface RestoredFor {
  restored: Restored;
  all: Deletion['entries'];
  lists: string[];
  cases: string[];
}

/**
 * Brings back what was deleted in one act, or those of its entries that are `wanted`, as far as the member may. Within a
 * transaction: nothing can change meanwhile.
 */
export async function restoreFor(
  context: Context,
  tx: Queries,
  member: Member,
  id: string,
  wanted: readonly string[] | null,
): Promise<RestoredFor> {
  await holdTree(tx);
  const { told: known, all } = await oneUndoable(tx, member, id);
  const allowed = new Set(all.map((one) => one.id));
  const lists = await tx.select().from(glossaries).where(eq(glossaries.deletion, known.id));
  const [row] = await tx.select().from(deletions).where(eq(deletions.id, known.id)).for('update');
  if (!row) throw notFound();
  const only = row.what === 'entries' ? (wanted ?? [...allowed]).filter((one) => allowed.has(one)) : null;
  const files = await tx.select().from(caseFiles).where(eq(caseFiles.deletion, row.id));
  const restored = await restore(context, tx, member.id, row, only);
  return {
    restored,
    all,
    lists: lists.map((list) => list.id),
    cases: files.map((file) => file.case),
  };
}
