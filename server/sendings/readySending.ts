import { MOST_LETTER_BYTES, type Member, type NewSending } from '#contracts';
import type { OutgoingLetter } from '#core/letter';
import { cutTo } from '#core/language';
import { readAddresses, type Mailbox } from '#core/mail';
import type { Context } from '../context';
import type { sendings } from '../db';
import { Refusal } from '../http';
import { composeMessage } from './compose';

/** So much of what a letter says is told to colleagues. */
const MOST_EXCERPT = 2000;

/** A stored file that goes along with a letter. */
export interface FileAlong {
  hash: string;
  name: string;
  media: string;
  bytes: number;
}

/** Why a letter has nobody to go to: a sentence each; none where it has. */
export function receiverFaults({ to, notAddresses }: OutgoingLetter): string[] {
  const faults = notAddresses.map((words) => `“${words}” is not an address that mail can be sent to.`);
  return to.length === 0 && faults.length === 0 ? ['Nobody is named to whom it goes.'] : faults;
}

const tooLarge = () =>
  new Refusal(
    'too-large',
    `With all that goes along the letter has more than ${MOST_LETTER_BYTES / 1_000_000} MB: mail servers do not take it. It was not sent.`,
  );

/** What goes along, with its bytes. Throws a `too-large` Refusal where that is more than mail takes. */
async function readAlong({ files }: Context, along: readonly FileAlong[]) {
  // In base64 three bytes are four.
  const bytes = along.reduce((sum, one) => sum + (one.bytes * 4) / 3, 0);
  if (bytes > MOST_LETTER_BYTES) throw tooLarge();
  return Promise.all(
    along.map(async ({ hash, name, media, bytes: length }) => {
      const pieces: Uint8Array[] = [];
      if (length > 0) for await (const piece of files.read(hash, 0, length - 1)) pieces.push(piece);
      return { name, media, content: Buffer.concat(pieces) };
    }),
  );
}

/** Whom a letter is from: its writer, by the address of the house where there is a mail server. */
function senderOf({ courier }: Context, member: Member): Mailbox {
  const house = courier.from === null ? null : readAddresses(courier.from).mailboxes[0];
  return { name: member.name, address: house?.address ?? member.email };
}

type Row = typeof sendings.$inferSelect;

/**
 * A letter that waits to go, composed and ready to be stored. Throws a `too-large` Refusal where mail servers would not take it.
 * @param about where it was written, what goes along, and when it goes
 */
export async function readySending(
  context: Context,
  member: Member,
  letter: OutgoingLetter,
  about: Pick<Row, 'id' | 'draft' | 'case' | 'row' | 'goesAt'> &
    Pick<NewSending, 'inReplyTo' | 'references'> & { along: readonly FileAlong[] },
): Promise<Row> {
  const { id, draft, case: of, row, goesAt, inReplyTo, references, along } = about;
  const now = context.now();
  const files = await readAlong(context, along);
  const from = senderOf(context, member);
  const message = await composeMessage(letter, { id, inReplyTo, references, from, date: now, files });
  if (message.length > MOST_LETTER_BYTES) throw tooLarge();
  return {
    ...{ id, member: member.id, draft, case: of, row },
    ...{ to: letter.to, cc: letter.cc, subject: letter.subject, from: from.address, message },
    excerpt: cutTo(letter.text, MOST_EXCERPT),
    ...{ state: 'waiting', reason: '', byServer: context.courier.byServer },
    ...{ askedAt: now, stateAt: now, goesAt },
  };
}
