import { isDeepStrictEqual } from 'node:util';
import { eq } from 'drizzle-orm';
import type { Entry } from '#contracts';
import { proposeCue } from '#core/cue';
import { checkEntry, type EntryContent } from '#core/entry';
import { patternProblem } from '#core/pattern';
import type { Context } from '../context';
import { type Queries, collections, cues, entries } from '../db';
import { Refusal } from '../http';
import { writeTrail } from '../trail';
import { nextChange } from './bankChanges';
import { dropCues, keepRevision, saveAt, cuesTakenBy } from './entryStatements';
import { holdEntryFiles } from './entryFiles';
import { writeWords } from './entryWords';
import { keptEntry, mustKeep, visibleEntry } from './rights';
import { mustIncludeSoundly } from './soundIncludes';
import { mustVary, type Varies } from './soundVariations';

type Row = typeof entries.$inferSelect;

/** A stored entry as the API shows it. */
export function toEntry({
  id,
  collection,
  revision,
  content,
  savedAt,
  savedBy,
  reason,
  varies,
  variesRevision,
  merged,
}: Omit<Row, 'change' | 'deletion' | 'merged'> & { merged?: string[] | null }): Entry {
  const variation = varies === null ? null : { entry: varies, revision: variesRevision ?? 1 };
  return {
    id,
    collection,
    revision,
    content,
    savedAt: savedAt.toISOString(),
    savedBy,
    reason,
    varies: variation,
    ...(merged && merged.length > 0 && { merged }),
  };
}

const places = (place: (string | number)[]) => place.map(String).join('.');

/** Patterns that cannot be used; apart from the other checks, since what reads them is large and this is the server. */
const patternProblems = (content: EntryContent): ReturnType<typeof checkEntry> =>
  content.cues.flatMap(({ as, text }, index) => {
    const problem = as === 'pattern' ? patternProblem(text) : null;
    if (!problem) return [];
    const message = `The pattern ${text} cannot be used. ${problem}`;
    return [{ code: 'cue-unusable', place: ['cues', index, 'text'], message }];
  });

/** Throws a Refusal that names every fault of a content. */
export function mustBeSound(content: EntryContent): void {
  const problems = [...checkEntry(content), ...patternProblems(content)];
  if (problems.length === 0) return;
  const faults = problems.map(({ place, message }) => ({ place: places(place), message }));
  throw new Refusal('not-valid', problems[0]!.message, { faults });
}

/** The cues an entry takes in its collection, each once; those of one out of use are free. */
export function typedCues({ cues: own, retired }: EntryContent): string[] {
  return retired ? [] : [...new Set(own.map((cue) => cue.text.toLowerCase()))];
}

/** Refuses a cue that another entry of the collection has, naming it and proposing a free one. */
async function mustBeFree(
  tx: Queries,
  collection: string,
  entry: string,
  content: EntryContent,
): Promise<void> {
  const typed = typedCues(content);
  if (typed.length === 0) return;
  const [taken] = await cuesTakenBy(tx).execute({ collection, entry, typed: JSON.stringify(typed) });
  if (!taken) return;
  const all = await tx.select({ typed: cues.typed }).from(cues).where(eq(cues.collection, collection));
  const [home] = await tx
    .select({ cuesBy: collections.cuesBy })
    .from(collections)
    .where(eq(collections.id, collection));
  throw new Refusal(
    'cue-taken',
    `The cue ${taken.typed} already brings “${taken.content.title}” in this collection.`,
    {
      proposed: proposeCue(
        content.title,
        all.map((cue) => cue.typed),
        home?.cuesBy,
      ),
    },
  );
}

/** Writes down the cues and words that an entry is brought and found by, in place of those it had. */
export async function indexEntry(
  tx: Queries,
  collection: string,
  entry: string,
  content: EntryContent,
): Promise<void> {
  await dropCues(tx).execute({ entry });
  const typed = typedCues(content);
  if (typed.length > 0)
    await tx.insert(cues).values(typed.map((text) => ({ collection, typed: text, entry })));
  await writeWords(tx, [{ id: entry, collection, content }]);
}

const UNIQUE_VIOLATION = '23505';

/** Two who take the same cue at the same moment: the store's own unique index decides, and the second is told. */
export async function tellingClashes<T>(work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    const code =
      (error as { code?: string; cause?: { code?: string } }).code ??
      (error as { cause?: { code?: string } }).cause?.code;
    if (code !== UNIQUE_VIOLATION) throw error;
    throw new Refusal('cue-taken', 'Someone took one of these cues a moment ago. Choose another.');
  }
}

/** Who saves, and why, in their own words. */
interface Saving {
  context: Context;
  member: string;
  content: EntryContent;
  reason: string;
}

/** Writes a new entry with its first revision and its cues, all or nothing. Throws a Refusal when it may not be. */
export async function insertEntry(
  saving: Saving,
  collection: string,
  id: string,
  varies: Varies | null = null,
): Promise<Entry> {
  const { context, member, content, reason } = saving;
  mustBeSound(content);
  return tellingClashes(() =>
    context.db.transaction(async (tx) => {
      await mustKeep(tx, member, collection);
      await mustIncludeSoundly(tx, { member, collection, id, content });
      await mustBeFree(tx, collection, id, content);
      if (varies) await mustVary(tx, member, collection, { id, varies });
      const saved = { content, reason, savedAt: context.now(), savedBy: member, revision: 1 };
      const varying = { varies: varies?.entry ?? null, variesRevision: varies?.revision ?? null };
      await tx
        .insert(entries)
        .values({ id, collection, ...saved, ...varying, change: await nextChange(tx, collection) });
      await keepRevision(tx).execute({ entry: id, ...saved });
      await holdEntryFiles(tx, member, [{ entry: id, content }]);
      await indexEntry(tx, collection, id, content);
      const done = {
        by: member,
        act: 'entry-made' as const,
        subject: content.title,
        detail: reason,
        collection,
      };
      await writeTrail(tx, context.now(), done);
      return toEntry({ id, collection, ...saved, ...varying });
    }),
  );
}

/** Whether a member saved an entry as the revision after one. */
export const isNextOf = (
  { revision, savedBy }: Pick<Row, 'revision' | 'savedBy'>,
  member: string,
  madeTo: number,
) => revision === madeTo + 1 && savedBy === member;

/** Whether a save to a revision was done already: it is sent again, because the answer to the first was lost. */
const isSavedAlready = (entry: Row, member: string, madeTo: number, content: EntryContent) =>
  isNextOf(entry, member, madeTo) && isDeepStrictEqual(entry.content, content);

/**
 * Saves an entry as its next revision. Throws a `moved-on` Refusal, with the entry as it stands, when it is
 * no longer at the revision the change was made to; the same change sent again is answered as it was the first time.
 * `also` is done with it, or not at all.
 */
export async function updateEntry(
  saving: Saving,
  id: string,
  madeTo: number,
  also?: (tx: Queries) => Promise<void>,
): Promise<Entry> {
  const { context, member, reason } = saving;
  return tellingClashes(() =>
    context.db.transaction(async (tx) => {
      const entry = await keptEntry(tx, member, id);
      const content = entry.varies === null ? saving.content : { ...saving.content, cues: [] };
      if (isSavedAlready(entry, member, madeTo, content)) {
        await also?.(tx);
        return toEntry(entry);
      }
      mustBeSound(content);
      await mustIncludeSoundly(tx, { member, collection: entry.collection, id, content });
      await mustBeFree(tx, entry.collection, id, content);
      const saved = { content, reason, savedAt: context.now(), savedBy: member, revision: madeTo + 1 };
      const { collection } = entry;
      const change = await nextChange(tx, collection);
      // Moved or deleted a moment ago, it is not what was looked at.
      const [row] = await saveAt(tx).execute({ ...saved, id, madeTo, collection, change });
      if (!row) {
        const detail =
          'Someone else saved this entry while you were changing it. Your change is still on your page.';
        throw new Refusal('moved-on', detail, { current: toEntry(await visibleEntry(tx, member, id)) });
      }
      await keepRevision(tx).execute({ entry: id, ...saved });
      await holdEntryFiles(tx, member, [{ entry: id, content }]);
      await indexEntry(tx, collection, id, content);
      const subject = content.title;
      const done = { by: member, act: 'entry-changed' as const, subject, detail: reason };
      await writeTrail(tx, context.now(), { ...done, collection });
      await also?.(tx);
      return toEntry(row);
    }),
  );
}

/** Writes down against which revision of what it varies a variation was held last. Throws a Refusal where it varies nothing. */
export async function holdAgainst(
  context: Context,
  member: string,
  id: string,
  revision: number,
): Promise<Entry> {
  return context.db.transaction(async (tx) => {
    const entry = await keptEntry(tx, member, id);
    if (entry.varies === null) throw new Refusal('not-valid', 'This entry varies no other.');
    const change = await nextChange(tx, entry.collection);
    const [row] = await tx
      .update(entries)
      .set({ variesRevision: revision, change })
      .where(eq(entries.id, id))
      .returning();
    return toEntry(row!);
  });
}
