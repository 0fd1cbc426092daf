import { and, asc, desc, eq, isNull, sql } from 'drizzle-orm';
import type { LiveEvent, Case, CaseFile, CaseSummary, Draft, DraftSummary } from '#contracts';
import { titleFromText } from '#core/work';
import type { Context } from '../context';
import { caseFiles, cases, casesGiven, drafts, fileContents, members, type Queries } from '../db';
import { notFound } from '../http';

type CaseRow = typeof cases.$inferSelect;
type DraftRow = typeof drafts.$inferSelect;
type DraftHead = Omit<DraftRow, 'document' | 'deletion' | 'words'>;

/** Every column of a draft but its text, for lists. */
export const draftHead = {
  id: drafts.id,
  case: drafts.case,
  author: drafts.author,
  title: drafts.title,
  begunAt: drafts.begunAt,
  state: drafts.state,
  version: drafts.version,
  excerpt: drafts.excerpt,
  savedAt: drafts.savedAt,
};

/** A row of a draft as lists tell it. */
export const toDraftSummary = ({
  id,
  case: of,
  author,
  title,
  begunAt,
  state,
  version,
  excerpt,
  savedAt,
}: DraftHead): DraftSummary => ({
  id,
  case: of,
  author,
  title,
  begunAt: begunAt.toISOString(),
  state,
  version,
  excerpt,
  savedAt: savedAt.toISOString(),
});

/** A row of a draft as it is told, with its text. */
export const toDraft = (row: DraftRow): Draft => ({ ...toDraftSummary(row), document: row.document });

type CaseHead = Omit<CaseRow, 'record'>;

/** What a list tells of a member's own drafts of a case: the one to go on with, and how many there are. */
export interface OwnDrafts {
  draft: Pick<DraftHead, 'state' | 'savedAt' | 'excerpt'> | null;
  unfinished: number;
  finished: number;
}

/** What is told of a case of which the member has no drafts. */
export const NO_DRAFTS: OwnDrafts = { draft: null, unfinished: 0, finished: 0 };

/** Those of a member's drafts of a case, which come with the one to go on with first. */
export const ownDrafts = (found: readonly DraftHead[]): OwnDrafts => {
  const unfinished = found.filter(({ state }) => state === 'open').length;
  return { draft: found[0] ?? null, unfinished, finished: found.length - unfinished };
};

/** A case in a list, with what it tells of the member's own drafts. */
export const toCaseSummary = (row: CaseHead, { draft, unfinished, finished }: OwnDrafts): CaseSummary => ({
  id: row.id,
  kind: row.kind,
  title: row.title || titleFromText(draft?.excerpt ?? '') || 'A new leaf',
  number: row.number,
  summary: row.summary,
  openedAt: row.openedAt.toISOString(),
  closed: row.closedAt !== null,
  draft: draft && { state: draft.state, savedAt: draft.savedAt.toISOString(), excerpt: draft.excerpt },
  unfinished,
  finished,
});

/** The case, if it was given to the member; throws the same refusal for "not there" and "not given". */
export async function givenCase(db: Queries, member: string, id: string): Promise<CaseRow> {
  const [found] = await db
    .select({ row: cases })
    .from(cases)
    .innerJoin(casesGiven, and(eq(casesGiven.case, cases.id), eq(casesGiven.member, member)))
    .where(eq(cases.id, id));
  if (!found) throw notFound();
  return found.row;
}

/** Those a case is given to, by their ids. */
export const givenTo = async (db: Queries, id: string): Promise<string[]> =>
  (
    await db
      .select({ member: casesGiven.member })
      .from(casesGiven)
      .where(eq(casesGiven.case, id))
      .orderBy(casesGiven.member)
  ).map(({ member }) => member);

/** The draft to go on with first: those that are not finished before the others, and of both the one saved last. */
export const toGoOnWith = [desc(eq(drafts.state, 'open')), desc(drafts.savedAt), desc(drafts.id)];

/** The member's own drafts of a case without their texts, the one to go on with first. */
export const draftsOfCase = (db: Queries, member: string, id: string) =>
  db
    .select(draftHead)
    .from(drafts)
    .where(and(eq(drafts.case, id), eq(drafts.author, member), isNull(drafts.deletion)))
    .orderBy(...toGoOnWith);

/** The draft, if it is the member's own; to others it does not exist. */
export async function ownDraft(db: Queries, member: string, id: string): Promise<DraftRow> {
  const [draft] = await db
    .select()
    .from(drafts)
    .where(and(eq(drafts.id, id), eq(drafts.author, member), isNull(drafts.deletion)));
  if (!draft) throw notFound();
  await givenCase(db, member, draft.case);
  return draft;
}

/** Files that stand, of any case, as they are told. */
const fileColumns = {
  id: caseFiles.id,
  name: caseFiles.name,
  media: fileContents.media,
  bytes: fileContents.bytes,
  addedBy: members.name,
  addedAt: caseFiles.addedAt,
};
const toCaseFile = (
  row: Omit<CaseFile, 'addedAt' | 'addedBy'> & { addedAt: Date; addedBy: string | null },
): CaseFile => ({
  ...row,
  addedBy: row.addedBy ?? 'The mailbox',
  addedAt: row.addedAt.toISOString(),
});

/** The files kept with a case, in the order they were added; one of them alone where its id is given. */
export async function filesOfCase(db: Queries, id: string, only?: string): Promise<CaseFile[]> {
  const rows = await db
    .select(fileColumns)
    .from(caseFiles)
    .innerJoin(fileContents, eq(fileContents.hash, caseFiles.hash))
    .leftJoin(members, eq(members.id, caseFiles.addedBy))
    .where(
      and(
        eq(caseFiles.case, id),
        isNull(caseFiles.deletion),
        only === undefined ? undefined : eq(caseFiles.id, only),
      ),
    )
    .orderBy(asc(caseFiles.addedAt), asc(caseFiles.id));
  return rows.map(toCaseFile);
}

/** A case given to the member, with its record, their own drafts, whom it is given to and its files. Throws where it was not given. */
export async function readCase(db: Queries, member: string, id: string): Promise<Case> {
  const row = await givenCase(db, member, id);
  const found = await draftsOfCase(db, member, id);
  return {
    ...toCaseSummary(row, ownDrafts(found)),
    record: row.record,
    drafts: found.map(toDraftSummary),
    given: await givenTo(db, id),
    files: await filesOfCase(db, id),
  };
}

/** Tells something to all a case is given to. */
export async function tellEachGiven(
  { db, events }: Pick<Context, 'db' | 'events'>,
  id: string,
  event: LiveEvent,
): Promise<void> {
  for (const one of await givenTo(db, id)) await events.tell(one, event);
}

/** Tells all a case is given to that something of it is another now. */
export const tellOfCase = (context: Pick<Context, 'db' | 'events'>, id: string): Promise<void> =>
  tellEachGiven(context, id, { type: 'case-changed', case: id });

/** A case as a list tells it to a member it is given to. Throws where it is not. */
export async function summaryOf(db: Queries, member: string, id: string): Promise<CaseSummary> {
  const row = await givenCase(db, member, id);
  return toCaseSummary(row, ownDrafts(await draftsOfCase(db, member, id)));
}

/** Summary columns: a list does not need the records. */
export const caseHead = {
  id: cases.id,
  kind: cases.kind,
  title: cases.title,
  number: cases.number,
  summary: cases.summary,
  openedAt: cases.openedAt,
  closedAt: cases.closedAt,
};

/** Of each case the member's own draft to go on with, and how many there are: one row a case, whatever is written. */
export async function firstDrafts(db: Queries, member: string): Promise<Map<string, OwnDrafts>> {
  const ofItsCase = sql`over (partition by ${drafts.case})`;
  const rows = await db
    .selectDistinctOn([drafts.case], {
      case: drafts.case,
      draft: { state: drafts.state, savedAt: drafts.savedAt, excerpt: drafts.excerpt },
      unfinished: sql<number>`(count(*) filter (where ${drafts.state} = 'open') ${ofItsCase})::int`,
      finished: sql<number>`(count(*) filter (where ${drafts.state} = 'finished') ${ofItsCase})::int`,
    })
    .from(drafts)
    .where(and(eq(drafts.author, member), isNull(drafts.deletion)))
    .orderBy(drafts.case, ...toGoOnWith);
  return new Map(rows.map(({ case: of, ...own }) => [of, own]));
}
