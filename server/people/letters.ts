import { randomBytes } from 'node:crypto';
import { and, eq, gt, lt } from 'drizzle-orm';
import { hashOf } from '../auth';
import type { Context } from '../context';
import { type Queries, letters } from '../db';
import { Refusal } from '../http';
import type { Letter } from '../post';

const HOUR_MS = 3_600_000;
/** How long the link in a letter works. */
const LASTS_MS = { invitation: 7 * 24 * HOUR_MS, password: 2 * HOUR_MS } as const;

/** A letter that is under way, as the store has it. */
export type LetterRow = typeof letters.$inferSelect;
type Sent = Omit<typeof letters.$inferInsert, 'id' | 'tokenHash' | 'sentAt' | 'endsAt'>;

/** Where the link of each kind of letter leads. Its secret stands behind the #, which browsers keep to themselves. */
const PAGES = { invitation: '/join', password: '/new-password' } as const;

/** Writes down a letter in place of those for the same purpose to the same address, and returns it with its link. */
export async function writeLetter(
  context: Context,
  tx: Queries,
  sent: Sent,
): Promise<{ row: LetterRow; link: string }> {
  const token = randomBytes(32).toString('base64url');
  const sentAt = context.now();
  const endsAt = new Date(sentAt.getTime() + LASTS_MS[sent.purpose]);
  await tx.delete(letters).where(lt(letters.endsAt, sentAt));
  await tx.delete(letters).where(and(eq(letters.purpose, sent.purpose), eq(letters.email, sent.email)));
  const [row] = await tx
    .insert(letters)
    .values({ ...sent, id: context.newId(), tokenHash: hashOf(token), sentAt, endsAt })
    .returning();
  return { row: row!, link: `${context.address()}${PAGES[sent.purpose]}#${token}` };
}

const gone = () =>
  new Refusal(
    'link-used',
    'It was used already, or is too old. Ask for a new one; if you have an account by now, sign in.',
  );

/** The letter that a token belongs to; throws a `link-used` Refusal where it does not work any more. */
export async function readLetter(context: Context, token: string): Promise<LetterRow> {
  const [row] = await context.db
    .select()
    .from(letters)
    .where(and(eq(letters.tokenHash, hashOf(token)), gt(letters.endsAt, context.now())));
  if (!row) throw gone();
  return row;
}

/** Uses up the letter that a token belongs to: of two at once, one alone gets it. */
export async function useUpLetter(
  context: Context,
  tx: Queries,
  token: string,
  purpose: LetterRow['purpose'],
): Promise<LetterRow> {
  const [row] = await tx
    .delete(letters)
    .where(
      and(
        eq(letters.tokenHash, hashOf(token)),
        eq(letters.purpose, purpose),
        gt(letters.endsAt, context.now()),
      ),
    )
    .returning();
  if (!row) throw gone();
  return row;
}

/**
 * Sends a letter that has been written down. Throws a `not-sent` Refusal, which says what stands all the same, where the mail
 * server does not take it.
 */
export async function sendLetter(context: Context, letter: Letter, kept: string): Promise<void> {
  try {
    await context.post.send(letter, context.now());
  } catch (error) {
    context.log.error(
      { name: (error as Error).name, code: (error as NodeJS.ErrnoException).code },
      'an email was not sent',
    );
    throw new Refusal('not-sent', `${kept} The mail server did not accept the email: send it again later.`);
  }
}

/** The words of an invitation. */
export const invitationWords = (name: string, by: string, link: string) =>
  `Dear ${name},\n\n${by} invites you to Elderleaf, where your team keeps its shared wording.\n\n` +
  `Open this link within seven days to make your account:\n${link}\n\n` +
  'It works once. If you did not expect this email, you need do nothing.\n';

/** The words of a letter for a new password. */
export const passwordWords = (name: string, link: string) =>
  `Dear ${name},\n\nsomeone, we hope it was you, asked for a new password for your Elderleaf account.\n\n` +
  `Open this link within two hours to choose one:\n${link}\n\n` +
  'It works once. If it was not you, you need do nothing: your password stays as it is.\n';
