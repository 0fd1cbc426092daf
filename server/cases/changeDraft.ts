import { isDeepStrictEqual } from 'node:util';
import { and, eq, isNull } from 'drizzle-orm';
import type { Draft } from '#contracts';
import type { DraftDocument } from '#core/draft';
import { gapsOf, type Gap } from '#core/fill';
import { isEmptyPassage } from '#core/passage';
import type { Context } from '../context';
import { drafts, type Queries } from '../db';
import { Refusal } from '../http';
import { countFollowings } from '../usage';
import { ownDraft, toDraft } from './caseAccess';
import { keepState } from './draftStates';

type Change = Partial<Pick<typeof drafts.$inferInsert, 'document' | 'excerpt' | 'words' | 'state'>>;

/** Changes a draft that is still at `version`, and does with it what `also` does; throws a `moved-on` Refusal, with the draft as it stands, if not. */
export async function changeDraft(
  context: Context,
  member: string,
  id: string,
  version: number,
  values: Change,
  also?: (tx: Queries) => Promise<void>,
) {
  const row = await context.db.transaction(async (tx) => {
    const [changed] = await tx
      .update(drafts)
      .set({ ...values, version: version + 1, savedAt: context.now() })
      .where(
        and(
          eq(drafts.id, id),
          eq(drafts.author, member),
          eq(drafts.version, version),
          isNull(drafts.deletion),
        ),
      )
      .returning();
    if (changed) await also?.(tx);
    return changed;
  });
  if (row) {
    await context.events.tell(member, { type: 'draft-saved', draft: id, version: row.version });
    return toDraft(row);
  }
  const there = await ownDraft(context.db, member, id);
  const current = toDraft(there);
  // The same change sent again, because the answer to the first was lost: it is done already.
  const isThere = Object.entries(values).every(([key, value]) =>
    isDeepStrictEqual(value, there[key as keyof Change]),
  );
  if (there.version === version + 1 && isThere) return current;
  throw new Refusal(
    'moved-on',
    'This draft was saved from another window meanwhile. What you wrote here is safe.',
    { current },
  );
}

function refusalWords(gaps: readonly Gap[]): string {
  const toConfirm = gaps.filter(({ kind }) => kind === 'confirm').length;
  const lost = gaps.filter(({ kind }) => kind === 'reference').length;
  const missing = gaps.length - toConfirm - lost;
  return [
    ...(missing > 0 ? [`${missing} required answers are missing.`] : []),
    ...(toConfirm > 0 ? [`${toConfirm} statements are not confirmed yet.`] : []),
    ...(lost > 0 ? [`${lost} references lead to numbers that are not there.`] : []),
  ].join(' ');
}

/** Throws a `not-finished` Refusal where nothing is on a leaf, or something has to be answered or confirmed first. */
export function mustBeWhole(document: DraftDocument): void {
  if (isEmptyPassage(document)) throw new Refusal('not-finished', 'There is nothing on the leaf yet.');
  const gaps = gapsOf(document);
  if (gaps.length === 0) return;
  const faults = gaps.map((gap) => ({ place: gap.name, message: gap.question }));
  throw new Refusal('not-finished', refusalWords(gaps), { faults });
}

/**
 * Finishes a draft that has no gap and is still at `version`, and does with it what `also` does. Throws a Refusal where it has gaps, or
 * was saved elsewhere meanwhile.
 */
export async function finishDraft(
  context: Context,
  draft: typeof drafts.$inferSelect,
  version: number,
  also?: (tx: Queries) => Promise<void>,
): Promise<Draft> {
  mustBeWhole(draft.document);
  return changeDraft(context, draft.author, draft.id, version, { state: 'finished' }, async (tx) => {
    await keepState(context, tx, draft.id, draft.document, 'finished');
    await countFollowings(tx, draft.id, draft.document);
    await also?.(tx);
  });
}
