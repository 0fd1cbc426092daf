import type { Case, CaseSummary, Draft, DraftSummary, Member, NewCase } from '#contracts';
import { emptyDraft, type DraftDocument } from '#core/draft';
import { excerpt } from '#core/passage';
import { recordByHand } from '#core/record';
import { casesOnComputers, keepAnswer, keepDraft, keptAnswer } from '#client/atHand';
import { call, ForPeople, Unreachable } from '#client/api';
import { calendarToday } from '#client/clock';
import { keepCopy } from '#client/drafts';
import { addWaiting, NoRoomHere } from './acts';

/** The team lets no case stay on a computer: none can be begun on one. */
class NotHere extends ForPeople {
  constructor() {
    super(
      'The server cannot be reached, and your team saves no cases on computers. Nothing was begun; try again once you are online.',
    );
  }
}

const caseAt = (id: string) => `/api/cases/${encodeURIComponent(id)}`;
const EXCERPT_LENGTH = 160;

/** Keeps a case as it stands here, and its line on the desk. */
async function keepCaseHere(one: Case): Promise<void> {
  await keepAnswer(caseAt(one.id), 'case', one);
  const { record: _record, drafts: _drafts, given: _given, files: _files, ...line } = one;
  const desk = ((await keptAnswer('/api/cases')) ?? []) as CaseSummary[];
  await keepAnswer('/api/cases', 'case', [line, ...desk.filter(({ id }) => id !== one.id)]);
}

/** A draft that is begun here: as the server will have it, at its first version. */
const newDraft = (member: string, of: string, id: string, document: DraftDocument): Draft => {
  const now = new Date().toISOString();
  return {
    ...{ id, case: of, author: member, title: '', state: 'open', version: 1 },
    ...{ begunAt: now, savedAt: now, document, excerpt: excerpt(document, EXCERPT_LENGTH) },
  };
};

/** A case with a draft of one's own that was just begun. */
function withDraft(one: Case, { document: _, ...draft }: Draft): Case {
  const { state, savedAt, excerpt: begins } = draft;
  return {
    ...one,
    draft: { state, savedAt, excerpt: begins },
    unfinished: one.unfinished + 1,
    drafts: [draft satisfies DraftSummary, ...one.drafts],
  };
}

/** A leaf begun here, without the server: its case as it stands from now on, and its draft. */
export interface BegunHere {
  one: Case;
  draft: Draft;
}

async function beginHere(
  member: string,
  one: Case,
  made: NewCase | null,
  document: DraftDocument,
): Promise<BegunHere> {
  if (casesOnComputers() === 'none') throw new NotHere();
  const id = crypto.randomUUID();
  const empty = newDraft(member, one.id, id, emptyDraft());
  const name = one.title || 'A leaf';
  // Kept before it is said to wait: what waits can then be opened.
  const begun = { one: withDraft(one, newDraft(member, one.id, id, document)), draft: empty };
  await keepDraft(empty);
  await keepCaseHere(begun.one);
  // The text is sent by itself, after its leaf.
  if (excerpt(document, 1) !== '' && !keepCopy(member, id, { version: 1, document })) throw new NoRoomHere();
  await addWaiting({
    ...{ kind: 'leaf', case: made, of: one.id, name },
    ...{ member, at: empty.begunAt, refused: null },
    draft: { id, title: '', copyOf: null, today: calendarToday() },
  });
  return begun;
}

/**
 * Makes a case with its first leaf. Where the server cannot be reached both wait on this computer, and can be written on; `here` is
 * what was begun there, null where the server made it. Throws what the server refuses, and in words where it cannot be begun here.
 */
export async function makeCaseOrWait(
  member: Member,
  body: NewCase,
): Promise<{ id: string; here: BegunHere | null }> {
  try {
    return { id: (await call('makeCase', { body })).id, here: null };
  } catch (error) {
    if (!(error instanceof Unreachable)) throw error;
  }
  const { document, ...made } = body;
  const { id, kind, title, number, details, given } = made;
  const now = new Date().toISOString();
  const one: Case = {
    ...{ id, kind, title, number: number || null, summary: '', openedAt: now, closed: false },
    ...{ draft: null, unfinished: 0, finished: 0, drafts: [], files: [] },
    record: recordByHand(details, member.name, now.slice(0, 10)),
    given: [...new Set([member.id, ...given])],
  };
  return { id, here: await beginHere(member.id, one, made, document ?? emptyDraft()) };
}

/**
 * Begins another leaf of a case without the server, with a text on it or none. It waits on this computer until it can be sent; throws
 * in words where it cannot.
 */
export const beginLeafHere = (member: string, one: Case, document: DraftDocument): Promise<BegunHere> =>
  beginHere(member, one, null, document);
