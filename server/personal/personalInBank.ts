import { and, eq, inArray } from 'drizzle-orm';
import type { PersonalInBank } from '#contracts';
import { addOrdinaryWords, personalFinder, personalInEntry, type KnownPeople } from '#core/privacy';
import { toEntry, entriesById, readEntries, readSoFar, sharedRights } from '../bank';
import type { Context } from '../context';
import { type Database, allowedDetails } from '../db';
import { knownTo } from './particulars';

const TOLD = 60;
const AT_ONCE = 500;
/** How far it is once all entries are read. */
const READ = 0.8;

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
 * Reads all entries once: the words that names may be as well, and those entries in which something is found as long as no
 * word is taken for ordinary. Only these can hold something once it is known which are.
 */
async function* firstReading(
  db: Database,
  seen: readonly string[],
  known: KnownPeople,
): AsyncGenerator<number, { ordinary: Set<string>; suspects: string[]; read: number }> {
  const find = personalFinder(known, new Set());
  const ordinary = new Set<string>();
  const suspects: string[] = [];
  let read = 0;
  for await (const rows of readEntries(db, seen)) {
    read += rows.length;
    for (const { id, content } of rows) {
      addOrdinaryWords(content, ordinary);
      if (!content.retired && personalInEntry(content, find).length > 0) suspects.push(id);
      yield READ * readSoFar(read);
    }
  }
  return { ordinary, suspects, read };
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
  const seen = [...(await sharedRights(db, member)).keys()];
  const known = await knownTo(context, member);
  const { ordinary, suspects, read } = yield* firstReading(db, seen, known);
  const find = personalFinder(known, ordinary);
  const found: PersonalInBank['entries'] = [];
  let count = 0;
  for (let at = 0; at < suspects.length; at += AT_ONCE) {
    const ids = suspects.slice(at, at + AT_ONCE);
    const allowed = await allowedIn(db, ids);
    for (const row of (await entriesById(db, ids)).values()) {
      const places = personalInEntry(row.content, find, allowed.get(row.id));
      if (places.length === 0) continue;
      count += 1;
      if (found.length < TOLD) found.push({ entry: toEntry(row), places });
    }
    yield READ + (1 - READ) * (at / suspects.length);
  }
  return { entries: found, count, read };
}

/** The words that may stand in an entry all the same. */
export const allowedWords = async (db: Database, entry: string): Promise<string[]> => [
  ...((await allowedIn(db, [entry])).get(entry) ?? []),
];

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
