import { and, asc, eq, inArray } from 'drizzle-orm';
import type { Draft, Member, NewSending, Sending } from '#contracts';
import { doubtInWords, letterOf, usualHead, type OutgoingLetter } from '#core/letter';
import type { Context } from '../context';
import { draftFiles, fileContents, sendings, type Queries } from '../db';
import {
  enquiryFollows,
  filesOfCase,
  finishDraft,
  givenCase,
  mustBeWhole,
  ownDraft,
  toDraft,
} from '../cases';
import { Refusal } from '../http';
import { deliverDue, tellOfSending } from './deliverDue';
import { doubtsAbout } from './doubtsAbout';
import { readySending, receiverFaults, type FileAlong } from './readySending';

type Row = typeof sendings.$inferSelect;

/** A letter as it is told, without its text. */
export const toSending = ({
  member: _,
  from: __,
  excerpt: ___,
  row: ____,
  message,
  ...row
}: Row): Sending => ({
  ...row,
  askedAt: row.askedAt.toISOString(),
  goesAt: row.goesAt.toISOString(),
  stateAt: row.stateAt.toISOString(),
  bytes: message.length,
});

/** Throws a `not-finished` Refusal where a letter has nobody to go to, or an address that is none. */
function mustHaveReceiver(letter: OutgoingLetter): void {
  const faults = receiverFaults(letter).map((message) => ({ place: 'To', message }));
  if (faults.length > 0)
    throw new Refusal('not-finished', faults.map(({ message }) => message).join(' '), { faults });
}

/** The files that are held with a draft. */
const filesHeld = ({ db }: Context, draft: string): Promise<FileAlong[]> =>
  db
    .select({
      hash: draftFiles.hash,
      name: draftFiles.name,
      media: fileContents.media,
      bytes: fileContents.bytes,
    })
    .from(draftFiles)
    .innerJoin(fileContents, eq(fileContents.hash, draftFiles.hash))
    .where(eq(draftFiles.draft, draft))
    .orderBy(asc(draftFiles.name));

/** The letter of an id, where it is the member's own; undefined where there is none. Throws a Refusal where it is of another draft. */
async function sentAlready(db: Queries, member: string, draft: string, id: string): Promise<Row | undefined> {
  const [row] = await db.select().from(sendings).where(eq(sendings.id, id));
  if (row && (row.member !== member || row.draft !== draft))
    throw new Refusal('not-valid', 'Another letter has this id.');
  return row;
}

async function mustNotBeUnderWay(db: Queries, draft: string): Promise<void> {
  const under = await db
    .select({ id: sendings.id })
    .from(sendings)
    .where(and(eq(sendings.draft, draft), inArray(sendings.state, ['waiting', 'going'])));
  if (under.length > 0) throw new Refusal('not-allowed', 'It is on its way already.');
}

/** Has letters gone at their time, without anybody waiting for it. */
export function deliverAfter(context: Context, seconds: number): void {
  void context
    .pause(seconds * 1000)
    .then(() => deliverDue(context))
    .catch((error: unknown) =>
      context.log.error({ name: (error as Error).name }, 'letters could not be delivered'),
    );
}

/**
 * Finishes a draft and has it sent as a letter, after the seconds in which it can be taken back. Sent again with its id it is the letter it
 * was. Throws a Refusal where it has a gap, goes to nobody, is too large or on its way, and one that is `doubtful` where there is something
 * to look at and its writer has not said that they did.
 */
export async function sendDraft(
  context: Context,
  member: Member,
  draftId: string,
  version: number,
  asked: NewSending,
): Promise<{ sending: Sending; draft: Draft }> {
  const { db, now } = context;
  const draft = await ownDraft(db, member.id, draftId);
  const one = await givenCase(db, member.id, draft.case);
  const before = await sentAlready(db, member.id, draft.id, asked.id);
  if (before) return { sending: toSending(before), draft: toDraft(draft) };
  const { document } = draft;
  const isAnswer = (await filesOfCase(db, one.id)).some(({ name }) => name.toLowerCase().endsWith('.eml'));
  const letter = letterOf(document, usualHead(one.record, asked.today, isAnswer));
  mustBeWhole(document);
  mustHaveReceiver(letter);
  await mustNotBeUnderWay(db, draft.id);
  const doubts = asked.sure ? [] : await doubtsAbout(db, draft, letter);
  if (doubts.length > 0) {
    const faults = doubts.map((doubt) => ({ place: doubt.kind, message: doubtInWords(doubt) }));
    throw new Refusal('doubtful', faults.map(({ message }) => message).join(' '), { faults });
  }
  const held = await filesHeld(context, draft.id);
  const along = held.filter(({ hash }) => letter.files.some((file) => file.hash === hash));
  const row = await readySending(context, member, letter, {
    ...asked,
    ...{ draft: draft.id, case: draft.case, row: null, along },
    goesAt: new Date(now().getTime() + asked.wait * 1000),
  });
  const finished = await finishDraft(context, draft, version, async (tx) => {
    // Beside another of the same moment: the row of the draft is held, so that one of both sees the other.
    await mustNotBeUnderWay(tx, draft.id);
    await tx.insert(sendings).values(row);
    await enquiryFollows(tx, draft.case, 'waiting', now());
  });
  await tellOfSending(context, member.id);
  await context.events.tellAll({ type: 'queue-changed' });
  deliverAfter(context, asked.wait);
  return { sending: toSending(row), draft: finished };
}
