import { isDeepStrictEqual } from 'node:util';
import { and, asc, eq, isNull, ne, or } from 'drizzle-orm';
import type { Router } from 'express';
import { commentsOf, earlierUses, type DraftDocument } from '#core/draft';
import { gapsOf, type Gap } from '#core/fill';
import { isEmptyPassage } from '#core/passage';
import { kindOf } from '#core/work';
import type { Context } from '../context';
import { cases, casesGiven, drafts, type Queries } from '../db';
import { bind, notFound, Refusal } from '../http';
import { countFollowings } from '../usage';
import { beginDraft, nameDraft, openDraft, toldOf } from './beginDraft';
import { givenCase, givenTo, ownDraft, toDraft } from './caseAccess';
import { holdDraftFiles } from './draftFiles';
import { keepState, stateOf, statesOf } from './draftStates';

type Change = Partial<Pick<typeof drafts.$inferInsert, 'document' | 'excerpt' | 'words' | 'state'>>;

/** Changes a draft that is still at `version`, and does with it what `also` does; throws a `moved-on` Refusal, with the draft as it stands, if not. */
async function change(
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
  if (row) return toDraft(row);
  const current = toDraft(await ownDraft(context.db, member, id));
  // The same save sent again, because the answer to the first was lost: it is done already.
  if (
    current.version === version + 1 &&
    values.document &&
    isDeepStrictEqual(values.document, current.document)
  )
    return current;
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

function mustBeWhole(document: DraftDocument): void {
  if (isEmptyPassage(document)) throw new Refusal('not-finished', 'There is nothing on the leaf yet.');
  const gaps = gapsOf(document);
  if (gaps.length === 0) return;
  const faults = gaps.map((gap) => ({ place: gap.name, message: gap.question }));
  throw new Refusal('not-finished', refusalWords(gaps), { faults });
}

/** Tells those who see each other's comments on a case that some are others now. */
async function tellOfComments(
  { db, events }: Context,
  member: string,
  draft: { case: string; document: DraftDocument },
  now: DraftDocument,
): Promise<void> {
  const { kind } = await givenCase(db, member, draft.case);
  if (!kindOf(kind)?.sharesComments) return;
  if (isDeepStrictEqual(commentsOf(draft.document), commentsOf(now))) return;
  for (const one of await givenTo(db, draft.case))
    if (one !== member) await events.tell(one, { type: 'comments-changed', case: draft.case });
}

/** Drafts: opening one, autosave, finishing, reopening. */
export function draftRoutes(router: Router, context: Context): void {
  const { db } = context;

  bind(router, context, 'openDraft', ({ member, params }) => openDraft(context, member.id, params.case));

  bind(router, context, 'beginDraft', ({ member, params, body }) =>
    beginDraft(context, member.id, params.case, body),
  );

  bind(router, context, 'nameDraft', ({ member, params, body }) =>
    nameDraft(context, member.id, params.draft, body.title),
  );

  bind(router, context, 'earlierUses', async ({ member, params }) => {
    const draft = await ownDraft(db, member.id, params.draft);
    const { id, number } = await givenCase(db, member.id, draft.case);
    const rows = await db
      .select({ document: drafts.document })
      .from(drafts)
      .innerJoin(cases, eq(cases.id, drafts.case))
      .innerJoin(casesGiven, and(eq(casesGiven.case, cases.id), eq(casesGiven.member, member.id)))
      .where(
        and(
          eq(drafts.author, member.id),
          // Of other cases only the same number means the same person: two people may share a name.
          number === null ? eq(cases.id, id) : or(eq(cases.id, id), eq(cases.number, number)),
          ne(drafts.id, draft.id),
          isNull(drafts.deletion),
        ),
      )
      .orderBy(asc(drafts.savedAt));
    return rows.flatMap(({ document }) => earlierUses(document));
  });

  bind(router, context, 'draft', async ({ member, params }) =>
    toDraft(await ownDraft(db, member.id, params.draft)),
  );

  bind(router, context, 'saveDraft', async ({ member, params, body, version }) => {
    const draft = await ownDraft(db, member.id, params.draft);
    if (draft.state === 'finished')
      throw new Refusal('not-allowed', 'This draft is finished: reopen it to change it.');
    const { document, over } = body;
    const values = { document, ...toldOf(document) };
    const saved = await change(context, member.id, draft.id, version, values, async (tx) => {
      await holdDraftFiles(tx, member.id, draft.id, document);
      await keepState(context, tx, draft.id, draft.document, over ? 'saved-over' : 'written');
    });
    await tellOfComments(context, member.id, draft, document);
    return saved;
  });

  bind(router, context, 'finishDraft', async ({ member, params, version }) => {
    const draft = await ownDraft(db, member.id, params.draft);
    mustBeWhole(draft.document);
    return change(context, member.id, draft.id, version, { state: 'finished' }, async (tx) => {
      await keepState(context, tx, draft.id, draft.document, 'finished');
      await countFollowings(tx, draft.id, draft.document);
    });
  });

  bind(router, context, 'draftStates', async ({ member, params }) =>
    statesOf(db, (await ownDraft(db, member.id, params.draft)).id),
  );

  bind(router, context, 'draftState', async ({ member, params }) => {
    const state = await stateOf(db, (await ownDraft(db, member.id, params.draft)).id, params.state);
    if (!state) throw notFound();
    return state;
  });

  bind(router, context, 'setAside', async ({ member, params, body }) => {
    const draft = await ownDraft(db, member.id, params.draft);
    await db.transaction((tx) => keepState(context, tx, draft.id, body.document, 'set-aside'));
    return undefined;
  });

  bind(router, context, 'reopenDraft', async ({ member, params, version }) => {
    const draft = await ownDraft(db, member.id, params.draft);
    return change(context, member.id, draft.id, version, { state: 'open' });
  });
}
