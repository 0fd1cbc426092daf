import { and, eq, isNull } from 'drizzle-orm';
import type { Draft, NewDraft } from '#contracts';
import { emptyDraft, type DraftDocument } from '#core/draft';
import { copiedDraft } from '#core/fill';
import { excerpt, plainText } from '#core/passage';
import type { Context } from '../context';
import { type Queries, casesGiven, drafts } from '../db';
import { notFound } from '../http';
import { holdDraftFiles } from './draftFiles';
import { givenCase, ownDraft, toDraft, toGoOnWith } from './caseAccess';

type DraftRow = typeof drafts.$inferSelect;

/** How much of a text lists show. */
const EXCERPT_LENGTH = 160;

/** What is stored beside a text: how it begins, for lists, and its words, to be found by. */
export const toldOf = (document: DraftDocument) => ({
  excerpt: excerpt(document, EXCERPT_LENGTH),
  words: plainText(document),
});

interface Begun {
  id: string;
  title: string;
  document: DraftDocument;
}

/** A new draft of a case as it is stored. */
export const newDraftRow = (
  context: Context,
  member: string,
  of: string,
  { document, ...begun }: Begun,
): DraftRow => ({
  ...begun,
  document,
  ...{ case: of, author: member, state: 'open', version: 1, deletion: null },
  ...toldOf(document),
  ...{ begunAt: context.now(), savedAt: context.now() },
});

const isOwnOf = (member: string, of: string) =>
  and(eq(drafts.case, of), eq(drafts.author, member), isNull(drafts.deletion));

/** Of a member's drafts of a case the one to go on with; undefined where there is none. */
const draftToGoOnWith = async (db: Queries, member: string, of: string): Promise<DraftRow | undefined> => {
  const [found] = await db
    .select()
    .from(drafts)
    .where(isOwnOf(member, of))
    .orderBy(...toGoOnWith)
    .limit(1);
  return found;
};

/** The member's draft of a case to go on with; an empty one is made where there is none. */
export async function openDraft(context: Context, member: string, of: string): Promise<Draft> {
  await givenCase(context.db, member, of);
  const found = await draftToGoOnWith(context.db, member, of);
  if (found) return toDraft(found);
  return context.db.transaction(async (tx) => {
    // Two windows that open at once make one draft: the second waits here for the first.
    await tx
      .select()
      .from(casesGiven)
      .where(and(eq(casesGiven.case, of), eq(casesGiven.member, member)))
      .for('update');
    const made = await draftToGoOnWith(tx, member, of);
    if (made) return toDraft(made);
    const row = newDraftRow(context, member, of, { id: context.newId(), title: '', document: emptyDraft() });
    await tx.insert(drafts).values(row);
    return toDraft(row);
  });
}

/**
 * Begins another draft of a case, empty or as a copy of one of the member's own drafts of it. Sent again it is the one it was.
 * Throws a Refusal where what it is to be a copy of is not there, or the id is another's.
 */
export async function beginDraft(
  context: Context,
  member: string,
  of: string,
  { id, title, copyOf, today }: NewDraft,
): Promise<Draft> {
  const { db } = context;
  const { record } = await givenCase(db, member, of);
  const source = copyOf === null ? null : await ownDraft(db, member, copyOf);
  if (source && source.case !== of) throw notFound();
  const document = source ? copiedDraft(source.document, { record, today }) : emptyDraft();
  const row = newDraftRow(context, member, of, { id, title, document });
  const isNew = await db.transaction(async (tx) => {
    const made = await tx.insert(drafts).values(row).onConflictDoNothing().returning({ id: drafts.id });
    if (made.length > 0) await holdDraftFiles(tx, member, id, document);
    return made.length > 0;
  });
  if (isNew) await context.events.tell(member, { type: 'case-changed', case: of });
  const begun = await ownDraft(db, member, id);
  if (begun.case !== of) throw notFound();
  return toDraft(begun);
}

/** Says what a draft is called; '' for by what is written on it. A finished one may be called otherwise too. */
export async function nameDraft(context: Context, member: string, id: string, title: string): Promise<Draft> {
  const draft = await ownDraft(context.db, member, id);
  await context.db.update(drafts).set({ title }).where(eq(drafts.id, draft.id));
  await context.events.tell(member, { type: 'case-changed', case: draft.case });
  return toDraft({ ...draft, title });
}
