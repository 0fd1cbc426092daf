import { z } from 'zod';
import { SendingStateSchema } from '#core/sending';
import { storedDay } from './limits';
import { DraftSchema } from './cases';

/** A letter waits so many seconds at the most before it goes. */
export const MOST_SENDING_WAIT = 120;
/** A letter with all that goes along has so many bytes at the most: mail servers take no larger ones. */
export const MOST_LETTER_BYTES = 25_000_000;

const MailboxSchema = z.object({ name: z.string(), address: z.string() });

/** A letter on its way out, or gone. */
export const SendingSchema = z.object({
  id: z.string(),
  // Null once the leaf is gone for good.
  draft: z.string().nullable(),
  case: z.string().nullable(),
  to: z.array(MailboxSchema),
  cc: z.array(MailboxSchema),
  subject: z.string(),
  state: SendingStateSchema,
  // What the mail server said, or why nobody knows whether it has gone; '' for nothing.
  reason: z.string(),
  // Whether it goes by a mail server, or is laid in the outbox to be taken from there.
  byServer: z.boolean(),
  askedAt: z.iso.datetime(),
  goesAt: z.iso.datetime(),
  stateAt: z.iso.datetime(),
  bytes: z.number().int(),
});
export type Sending = z.infer<typeof SendingSchema>;

/** As a message is called by the program that made it: it goes into a head of the answer, on one line. */
const messageId = z
  .string()
  .max(900)
  .regex(/^<[^<>\s]+>$/, 'a message is named by an id in angle brackets');

/** Has a draft sent as the letter it is. */
export const NewSendingSchema = z.object({
  // Made by who sends: sent again, it is one letter.
  id: z.uuid(),
  // Seconds in which it can be taken back.
  wait: z.number().int().min(0).max(MOST_SENDING_WAIT),
  // Whether its writer has looked at what is doubtful about it, and wants it sent so.
  sure: z.boolean(),
  // The day where the writer is.
  today: storedDay,
  // The message it answers, and those before, so that mail programs show them together.
  inReplyTo: messageId.nullable(),
  references: z.array(messageId).max(100),
});
export type NewSending = z.infer<typeof NewSendingSchema>;

/** A letter that was sent, and its draft, which is finished now. */
export const SentSchema = z.object({ sending: SendingSchema, draft: DraftSchema });

/** What its writer says of a letter. */
export const SendingChangeSchema = z.object({ do: z.enum(['taken-back', 'sent-again', 'said-gone']) });
