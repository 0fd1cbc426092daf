import { isDeepStrictEqual } from 'node:util';
import type { Router } from 'express';
import { commentsOf, markingsOf, type DraftDocument } from '#core/draft';
import { kindOf } from '#core/work';
import type { Context } from '../context';
import { bind, notFound, Refusal } from '../http';
import { beginDraft, nameDraft, openDraft, toldOf } from './beginDraft';
import { givenCase, givenTo, ownDraft, toDraft } from './caseAccess';
import { changeDraft, finishDraft } from './changeDraft';
import { finishedTexts } from './finishedTexts';
import { holdDraftFiles } from './draftFiles';
import { takeBackWaiting } from './takeBackWaiting';
import { keepState, stateOf, statesOf } from './draftStates';
import { usesBefore } from './usesBefore';

/** Tells those who see each other's comments or markings on a case that some are others now. */
async function tellOfComments(
  { db, events }: Context,
  member: string,
  draft: { case: string; document: DraftDocument },
  now: DraftDocument,
): Promise<void> {
  const { kind } = await givenCase(db, member, draft.case);
  const shares = kindOf(kind)?.shares;
  if (!shares) return;
  const seen = shares === 'comments' ? commentsOf : markingsOf;
  if (isDeepStrictEqual(seen(draft.document), seen(now))) return;
  for (const one of await givenTo(db, draft.case))
    if (one !== member) await events.tell(one, { type: 'comments-changed', case: draft.case });
}

type OwnDraft = Awaited<ReturnType<typeof ownDraft>>;

/** Saves what is written on a draft, with the state that it was in. Throws where it is finished, or was saved by another meanwhile. */
async function saveDraft(
  context: Context,
  draft: OwnDraft,
  { document, over }: { document: DraftDocument; over?: boolean | undefined },
  version: number,
) {
  const { author } = draft;
  if (draft.state === 'finished')
    throw new Refusal('not-allowed', 'This draft is finished: reopen it to change it.');
  const values = { document, ...toldOf(document) };
  const saved = await changeDraft(context, author, draft.id, version, values, async (tx) => {
    await holdDraftFiles(tx, author, draft.id, document);
    await keepState(context, tx, draft.id, draft.document, over ? 'saved-over' : 'written');
  });
  await tellOfComments(context, author, draft, document);
  return saved;
}

/** Drafts: opening one, autosave, finishing, reopening. */
export function draftRoutes(router: Router, context: Context): void {
  const { db } = context;

  bind(router, context, 'openDraft', ({ member, params }) => openDraft(context, member.id, params.case));

  bind(router, context, 'finishedTexts', ({ member, body }) => finishedTexts(db, member.id, body));

  bind(router, context, 'beginDraft', ({ member, params, body }) =>
    beginDraft(context, member.id, params.case, body),
  );

  bind(router, context, 'nameDraft', ({ member, params, body }) =>
    nameDraft(context, member.id, params.draft, body.title),
  );

  bind(router, context, 'earlierUses', ({ member, params }) => usesBefore(db, member.id, params.draft));

  bind(router, context, 'draft', async ({ member, params }) =>
    toDraft(await ownDraft(db, member.id, params.draft)),
  );

  bind(router, context, 'saveDraft', async ({ member, params, body, version }) =>
    saveDraft(context, await ownDraft(db, member.id, params.draft), body, version),
  );

  bind(router, context, 'finishDraft', async ({ member, params, version }) => {
    return finishDraft(context, await ownDraft(db, member.id, params.draft), version);
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
    // What is written on again must not go out as it was.
    return changeDraft(context, member.id, draft.id, version, { state: 'open' }, (tx) =>
      takeBackWaiting(tx, draft.id, context.now()),
    );
  });
}
