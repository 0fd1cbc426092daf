import { and, inArray, sql } from 'drizzle-orm';
import type { RewordedInDrafts } from '#contracts';
import type { DraftDocument } from '#core/draft';
import type { EntryContent } from '#core/entry';
import { changesOf, placedLines, usualChanges, wordingLines, type Reworded } from '#core/rewording';
import { visibleEntries, toEntry } from '../bank';
import type { Context } from '../context';
import { type Queries, revisions } from '../db';
import { givenDrafts } from '../cases';

const TOLD = 60;
const AT_ONCE = 500;
/** How far it is once the drafts are read. */
const READ = 0.6;

interface Placed {
  case: string;
  author: string;
  draft: DraftDocument;
  placement: string;
}

/** Placements in the drafts of the cases given to a member, by entry. */
async function* placedIn(db: Queries, member: string): AsyncGenerator<number, Map<string, Placed[]>> {
  const byEntry = new Map<string, Placed[]>();
  let read = 0;
  for await (const rows of givenDrafts(db, member)) {
    read += rows.length;
    for (const { case: of, author, document: draft } of rows)
      for (const [placement, { entry }] of Object.entries(draft.attrs.placements)) {
        const beside = byEntry.get(entry) ?? [];
        beside.push({ case: of, author, draft, placement });
        byEntry.set(entry, beside);
      }
    yield READ * (1 - 200 / (200 + read));
  }
  return byEntry;
}

/** The wording of an entry of an id, and the part of it that is the text. */
function textOf(content: EntryContent, id: string) {
  const wording = content.wordings.find((one) => one.id === id);
  const part = wording?.parts.at(-1);
  return part && { part: part.id, passage: part.passage };
}

/** What was changed by hand where one wording of an entry was placed, of the placements that put down what it says now. */
function rewordings(
  content: EntryContent,
  wording: string,
  placed: readonly Placed[],
  before: (revision: number) => EntryContent | undefined,
): Reworded[] {
  const text = textOf(content, wording);
  const lines = text && wordingLines(text.passage);
  if (!lines) return [];
  const said = JSON.stringify(text.passage);
  return placed.flatMap(({ case: of, author, draft, placement }) => {
    const { revision } = draft.attrs.placements[placement]!;
    const then = before(revision);
    // What another revision put down differs from what stands now by itself.
    if (!then || JSON.stringify(textOf(then, wording)?.passage) !== said) return [];
    const now = placedLines(draft, placement, text.passage);
    return now.length === 0 ? [] : [{ case: of, author, changes: changesOf(lines, now) }];
  });
}

/** What entries held at the revisions that were placed. */
async function revisionsOf(
  db: Queries,
  ids: readonly string[],
  byEntry: ReadonlyMap<string, readonly Placed[]>,
): Promise<Map<string, EntryContent>> {
  const pairs = ids.flatMap((id) => [
    ...new Set(
      byEntry.get(id)!.map(({ draft, placement }) => `${id} ${draft.attrs.placements[placement]!.revision}`),
    ),
  ]);
  if (pairs.length === 0) return new Map();
  const at = sql<string>`${revisions.entry} || ' ' || ${revisions.revision}`;
  const rows = await db
    .select({ at, content: revisions.content })
    .from(revisions)
    .where(and(inArray(revisions.entry, [...ids]), inArray(at, pairs)));
  return new Map(rows.map(({ at: pair, content }) => [pair, content]));
}

/**
 * What people usually change by hand after placing an entry that the member sees, in the drafts of the cases given to them: what
 * was done in several cases, the commonest first. Yields how far it is, from 0 to 1.
 */
export async function* rewordedInDrafts(
  { db }: Context,
  member: string,
): AsyncGenerator<number, RewordedInDrafts> {
  const byEntry = yield* placedIn(db, member);
  const found: RewordedInDrafts['entries'] = [];
  const ids = [...byEntry.keys()];
  for (let at = 0; at < ids.length; at += AT_ONCE) {
    const seen = await visibleEntries(db, member, ids.slice(at, at + AT_ONCE));
    const old = await revisionsOf(db, [...seen.keys()], byEntry);
    for (const [id, row] of seen) {
      const placed = byEntry.get(id)!;
      const wordings = new Set(
        placed.map(({ draft, placement }) => draft.attrs.placements[placement]!.wording),
      );
      for (const wording of wordings) {
        const of = placed.filter(
          ({ draft, placement }) => draft.attrs.placements[placement]!.wording === wording,
        );
        const all = rewordings(row.content, wording, of, (revision) => old.get(`${id} ${revision}`));
        const changes = usualChanges(all, member);
        if (changes.length === 0) continue;
        const { part } = textOf(row.content, wording)!;
        found.push({ entry: toEntry(row), wording, part, changes, placed: all.length });
      }
    }
    yield READ + (1 - READ) * (at / ids.length);
  }
  found.sort((a, b) => b.changes[0]!.times - a.changes[0]!.times);
  return { entries: found.slice(0, TOLD), count: found.length, read: byEntry.size };
}
