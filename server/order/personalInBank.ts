import { and, eq, inArray, isNull } from 'drizzle-orm';
import type { PersonalInBank } from '#contracts';
import { wordsOf } from '#core/finder';
import { lineText, linesOf } from '#core/passage';
import { personalInEntry } from '#core/privacy';
import { rightsFor } from '../bank/rights';
import { toEntry } from '../bank/saveEntry';
import type { Context } from '../context';
import type { Database } from '../db/openStore';
import { allowedDetails, collections, type entries } from '../db/schema';
import { knownTo } from './particulars';
import { readEntries } from './readEntries';

const TOLD = 60;

type Row = typeof entries.$inferSelect;

/** The words of wordings that are written small somewhere: a name that is among them may be the word as well. */
function smallWords(rows: readonly Row[], into: Set<string>): void {
  for (const { content } of rows)
    for (const { parts } of content.wordings)
      for (const { passage } of parts)
        for (const line of linesOf(passage))
          for (const word of wordsOf(lineText(line))) if (word === word.toLowerCase()) into.add(word);
}

async function allowedIn(db: Database, ids: readonly string[]): Promise<Map<string, Set<string>>> {
  const rows =
    ids.length === 0
      ? []
      : await db
          .select()
          .from(allowedDetails)
          .where(inArray(allowedDetails.entry, [...ids]));
  const allowed = new Map<string, Set<string>>();
  for (const { entry, words } of rows) allowed.set(entry, (allowed.get(entry) ?? new Set()).add(words));
  return allowed;
}

/**
 * What in the shared entries that a member sees looks like somebody's details; one's own wording is nobody else's to read, and
 * left out. Yields how far it is, from 0 to 1.
 */
export async function* personalInBank(
  context: Context,
  member: string,
): AsyncGenerator<number, PersonalInBank> {
  const { db } = context;
  const rights = await rightsFor(db, member);
  const shared = await db
    .select({ id: collections.id })
    .from(collections)
    .where(and(isNull(collections.ownedBy), isNull(collections.deletion)));
  const seen = shared.map(({ id }) => id).filter((id) => rights.has(id));
  const known = await knownTo(context, member);
  const ordinary = new Set<string>();
  for await (const rows of readEntries(db, seen)) {
    smallWords(rows, ordinary);
    yield 0.2;
  }
  const found: PersonalInBank['entries'] = [];
  let count = 0;
  let read = 0;
  for await (const rows of readEntries(db, seen)) {
    read += rows.length;
    const allowed = await allowedIn(
      db,
      rows.map(({ id }) => id),
    );
    for (const row of rows) {
      if (row.content.retired) continue;
      const places = personalInEntry(row.content, known, ordinary, allowed.get(row.id));
      if (places.length === 0) continue;
      count += 1;
      if (found.length < TOLD) found.push({ entry: toEntry(row), places });
    }
    yield 0.2 + 0.8 * (1 - 500 / (500 + read));
  }
  return { entries: found, count, read };
}

/** Says that words may stand in an entry all the same, and why; null takes it back. */
export async function allowDetail(
  { db, now }: Context,
  by: string,
  { entry, words, why }: { entry: string; words: string; why: string | null },
): Promise<void> {
  if (why === null) {
    await db
      .delete(allowedDetails)
      .where(and(eq(allowedDetails.entry, entry), eq(allowedDetails.words, words)));
    return;
  }
  await db
    .insert(allowedDetails)
    .values({ entry, words, why, by, at: now() })
    .onConflictDoUpdate({
      target: [allowedDetails.entry, allowedDetails.words],
      set: { why, by, at: now() },
    });
}
