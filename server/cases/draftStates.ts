import { and, desc, eq, inArray } from 'drizzle-orm';
import type { DraftStateWhy } from '#contracts';
import { isSame } from '#core/difference';
import type { DraftDocument } from '#core/draft';
import { excerpt, isEmptyPassage } from '#core/passage';
import type { Context } from '../context';
import { type Queries, draftStates } from '../db';

/** What is written is kept once in so many minutes. */
const APART_MS = 3 * 60_000;
/** So many states of a draft are kept; of those only written through, the oldest go first. */
const MOST = 60;
const EXCERPT_LENGTH = 160;

const newestOf = (db: Queries, draft: string) =>
  db.select().from(draftStates).where(eq(draftStates.draft, draft)).orderBy(desc(draftStates.at)).limit(1);

/** Lets the oldest states go where there are more than are kept: first those that only time has kept. */
async function letOldGo(tx: Queries, draft: string): Promise<void> {
  const all = await tx
    .select({ id: draftStates.id, why: draftStates.why })
    .from(draftStates)
    .where(eq(draftStates.draft, draft))
    .orderBy(desc(draftStates.at));
  const over = all.length - MOST;
  if (over <= 0) return;
  const oldest = all.toReversed();
  const going = [
    ...oldest.filter(({ why }) => why === 'written'),
    ...oldest.filter(({ why }) => why !== 'written'),
  ].slice(0, over);
  await tx.delete(draftStates).where(
    inArray(
      draftStates.id,
      going.map(({ id }) => id),
    ),
  );
}

/**
 * Keeps a state of a draft: at once where it was finished, saved over or set aside, and once in some minutes of writing. The
 * same as the newest, or nothing at all, is not kept.
 */
export async function keepState(
  context: Context,
  tx: Queries,
  draft: string,
  document: DraftDocument,
  why: DraftStateWhy,
): Promise<void> {
  if (isEmptyPassage(document)) return;
  const [newest] = await newestOf(tx, draft);
  const now = context.now();
  if (why === 'written' && newest && now.getTime() - newest.at.getTime() < APART_MS) return;
  if (newest && isSame(newest.document, document)) return;
  await tx.insert(draftStates).values({
    id: context.newId(),
    draft,
    at: now,
    why,
    document,
    excerpt: excerpt(document, EXCERPT_LENGTH),
  });
  await letOldGo(tx, draft);
}

/** The earlier states of a draft, newest first, without their texts. */
export async function statesOf(db: Queries, draft: string) {
  const { id, at, why, excerpt: words } = draftStates;
  const rows = await db
    .select({ id, at, why, excerpt: words })
    .from(draftStates)
    .where(eq(draftStates.draft, draft))
    .orderBy(desc(at), desc(id));
  return rows.map((row) => ({ ...row, at: row.at.toISOString() }));
}

/** One earlier state of a draft; undefined where there is none of that id. */
export async function stateOf(db: Queries, draft: string, id: string) {
  const [row] = await db
    .select()
    .from(draftStates)
    .where(and(eq(draftStates.draft, draft), eq(draftStates.id, id)));
  if (!row) return undefined;
  const { at, why, excerpt: words, document } = row;
  return { id, at: at.toISOString(), why, excerpt: words, document };
}
