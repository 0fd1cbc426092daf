import { createHash } from 'node:crypto';
import { and, desc, eq, inArray } from 'drizzle-orm';
import { MOST_FILES, MOST_NAME } from '#contracts';
import { cutTo } from '#core/language';
import { enquiryOf } from '#core/mail';
import { readMessage, type Message } from '#core/message';
import { emptyRecord } from '#core/record';
import type { Context } from '../../context';
import { caseFiles, cases, casesGiven, enquiries, messages, sendings, type Queries } from '../../db';
import { keepContent, stage } from '../../files';
import { mediaOf, type StagedFile } from '../../fileStore';
import { Refusal } from '../../http';

/** What became of a message: the case it is in, and of how much was not kept why. */
export interface MessageTaken {
  case: string;
  came: 'made' | 'joined' | 'known';
  remarks: string[];
}

/** A file that came in, staged, under the name it is kept by. */
interface Coming {
  name: string;
  staged: StagedFile;
  media: string;
}

/** So much of what a message says is shown in the queue. */
const MOST_EXCERPT = 2000;
/** Names of files that were sent along, beside the message itself. */
const MOST_ALONG = MOST_FILES - 1;
const UUID = /^<([0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12})@/;

/** A name for the message among the files of its case. */
const fileNameOf = (title: string) =>
  `${cutTo(title.replace(/[\\/\p{C}]+/gu, ' ').trim() || 'Message', MOST_NAME - 4)}.eml`;

/** Takes the message and what came along in, staged; one that cannot be is told, and keeps no other out. */
async function stageAll(context: Context, bytes: Uint8Array, title: string, { attachments }: Message) {
  const remarks: string[] = [];
  const coming: Coming[] = [];
  const along = attachments.slice(0, MOST_ALONG);
  if (along.length < attachments.length)
    remarks.push(`Of ${attachments.length} files sent along the first ${along.length} were saved.`);
  const all = [{ name: fileNameOf(title), content: bytes }, ...along];
  try {
    for (const [at, { name, content }] of all.entries()) {
      const plain = cutTo(name.replace(/\p{C}+/gu, ' ').trim() || 'attachment', MOST_NAME);
      try {
        const source = (async function* () {
          yield await Promise.resolve(content);
        })();
        const staged = await stage(context, { name: plain, source }, context.settings.fileBytes);
        coming.push({ name: plain, staged, media: await mediaOf(staged.head, plain) });
      } catch (error) {
        // Without the message itself there is nothing to answer.
        if (at === 0 || !(error instanceof Refusal)) throw error;
        remarks.push(error.message);
      }
    }
  } catch (error) {
    for (const { staged } of coming) await staged.drop();
    throw error;
  }
  return { coming, remarks };
}

/** The case that a message belongs to, by the messages it answers: those that came in, and those we sent. Null for none. */
async function caseInThread(tx: Queries, { references }: Message): Promise<string | null> {
  if (references.length === 0) return null;
  const [came] = await tx
    .select({ case: messages.case })
    .from(messages)
    .where(inArray(messages.id, [...references]))
    .orderBy(desc(messages.cameAt))
    .limit(1);
  if (came) return came.case;
  const ours = references.flatMap((id) => UUID.exec(id)?.[1] ?? []);
  if (ours.length === 0) return null;
  const [sent] = await tx
    .select({ case: sendings.case })
    .from(sendings)
    .where(inArray(sendings.id, ours))
    .limit(1);
  return sent?.case ?? null;
}

/** Where an enquiry went on that was joined to another. */
async function whereItWent(tx: Queries, of: string): Promise<string> {
  const [row] = await tx.select({ to: enquiries.joinedTo }).from(enquiries).where(eq(enquiries.case, of));
  return row?.to ?? of;
}

/** The message is here by now, since another came in with it at the same moment. */
class CameTwice extends Error {}

/** What a store keeps of a text: no sign of nothing, no half of a sign. */
const storable = (text: string) => text.replace(/\u0000/g, '').replace(/\p{Surrogate}/gu, '\ufffd');

/**
 * Takes a message in: as a part of the enquiry it belongs to by its thread, else as a new one, with what came along among its files.
 * The same message is taken once, whoever brings it however often.
 *
 * @param by the member who brings it and answers it; null for a mailbox, so that it waits in the queue
 * @throws Refusal where it is no message
 */
export async function takeMessage(
  context: Context,
  bytes: Uint8Array,
  by: string | null,
): Promise<MessageTaken> {
  const message = await readMessage(bytes);
  if (!message)
    throw new Refusal(
      'not-valid',
      'This is not an email message: it has no sender, no subject and no date. Nothing was made of it.',
    );
  const id = storable(message.id ?? `sha256:${createHash('sha256').update(bytes).digest('hex')}`);
  const begun = enquiryOf(
    {
      from: message.from && {
        name: storable(message.from.name),
        address: storable(message.from.address),
      },
      subject: storable(message.subject),
      text: storable(message.text),
    },
    'A message',
  );
  const known = await knownCase(context.db, id);
  if (known) return { case: known, came: 'known', remarks: [] };
  const { coming, remarks } = await stageAll(context, bytes, begun.title, message);
  try {
    const taken = await context.db.transaction((tx) =>
      write(context, tx, { id, message, begun, coming, by }),
    );
    return { ...taken, remarks };
  } catch (error) {
    if (!(error instanceof CameTwice)) throw error;
    return { case: (await knownCase(context.db, id))!, came: 'known', remarks: [] };
  } finally {
    for (const { staged } of coming) await staged.drop();
  }
}

async function knownCase(db: Queries, id: string): Promise<string | null> {
  const [row] = await db.select({ case: messages.case }).from(messages).where(eq(messages.id, id));
  return row ? whereItWent(db, row.case) : null;
}

interface Written {
  id: string;
  message: Message;
  begun: ReturnType<typeof enquiryOf>;
  coming: readonly Coming[];
  by: string | null;
}

/** What the queue shows of an enquiry is its newest message. */
const newestOf = ({ from }: Message, { said, language }: Written['begun'], now: Date) => ({
  fromName: storable(from?.name ?? ''),
  fromAddress: storable(from?.address ?? ''),
  excerpt: cutTo(said, MOST_EXCERPT),
  language,
  ...{ state: 'open' as const, putOffTo: null, changedAt: now },
});

async function write(context: Context, tx: Queries, { id, message, begun, coming, by }: Written) {
  const now = context.now();
  const since = message.sentAt && message.sentAt < now ? message.sentAt : now;
  const inThread = await caseInThread(tx, message);
  const of = inThread ? await whereItWent(tx, inThread) : context.newId();
  const asOf = since.toISOString().slice(0, 10);
  if (!inThread) {
    const details = begun.details.map((detail) => ({ ...detail, source: 'The message', asOf }));
    const summary = cutTo(begun.said.replace(/\s+/g, ' '), 200);
    const record = { ...emptyRecord(), details };
    await tx
      .insert(cases)
      .values({ id: of, kind: 'reply', title: begun.title, number: null, summary, record, openedAt: now });
  }
  const fresh = await tx
    .insert(messages)
    .values({ id, case: of, cameAt: since })
    .onConflictDoNothing()
    .returning();
  if (fresh.length === 0) throw new CameTwice();
  for (const { name, staged, media } of coming) {
    await keepContent(tx, now, staged, media);
    const row = { id: context.newId(), case: of, hash: staged.hash, name };
    // By when it was sent, so that a thread is in its order.
    await tx.insert(caseFiles).values({ ...row, addedBy: by, addedAt: now });
  }
  const newest = newestOf(message, begun, now);
  const [before] = await tx.select().from(enquiries).where(eq(enquiries.case, of)).for('update');
  // Whoever waits already waits since their first message that was not answered.
  const waits = before?.state === 'open' && before.since < since ? before.since : since;
  await tx
    .insert(enquiries)
    .values({ case: of, ...newest, since: waits, takenBy: inThread ? null : by })
    .onConflictDoUpdate({ target: enquiries.case, set: { ...newest, since: waits } });
  await tx.update(cases).set({ closedAt: null }).where(eq(cases.id, of));
  if (by !== null) await takeIfFree(tx, of, by);
  return { case: of, came: inThread ? ('joined' as const) : ('made' as const) };
}

/** An enquiry that nobody has is whose who brought a message of it. */
async function takeIfFree(tx: Queries, of: string, by: string): Promise<void> {
  const [row] = await tx.select({ takenBy: enquiries.takenBy }).from(enquiries).where(eq(enquiries.case, of));
  const given = await tx.select().from(casesGiven).where(eq(casesGiven.case, of)).limit(1);
  if (row?.takenBy !== by && (row?.takenBy || given.length > 0)) return;
  await tx.insert(casesGiven).values({ case: of, member: by }).onConflictDoNothing();
  await tx
    .update(enquiries)
    .set({ takenBy: by })
    .where(and(eq(enquiries.case, of)));
}
