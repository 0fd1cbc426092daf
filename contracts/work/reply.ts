import { z } from 'zod';
import { CaseSummarySchema } from '../cases';
import { storedDay } from '../limits';
import { define } from '../route';

/** A message with all that goes along has so many bytes at the most. */
export const MOST_MESSAGE_BYTES = 50_000_000;

/** An enquiry in the queue of the team. */
const EnquirySchema = z.object({
  case: z.string(),
  title: z.string(),
  fromName: z.string(),
  fromAddress: z.string(),
  excerpt: z.string(),
  language: z.string().nullable(),
  /** Since when somebody waits for an answer. */
  since: z.iso.datetime(),
  state: z.enum(['open', 'awaiting', 'answered']),
  takenBy: z.string().nullable(),
  takenByName: z.string().nullable(),
  putOffTo: z.string().nullable(),
  /** Whether the member has the case: it is read and answered on its leaf. */
  isMine: z.boolean(),
  messages: z.number().int(),
  notes: z.array(
    z.object({ id: z.string(), by: z.string(), byName: z.string(), at: z.iso.datetime(), text: z.string() }),
  ),
});
export type Enquiry = z.infer<typeof EnquirySchema>;

const word = z.string().trim().max(2000);

/** What a member does with an enquiry. */
const EnquiryChangeSchema = z.discriminatedUnion('do', [
  z.object({ do: z.literal('take') }),
  z.object({ do: z.literal('put-back') }),
  z.object({ do: z.literal('hand-on'), to: z.string().min(1).max(60), word }),
  z.object({ do: z.literal('put-off'), to: storedDay.nullable() }),
  z.object({ do: z.literal('set'), state: z.enum(['open', 'awaiting', 'answered']) }),
  z.object({ do: z.literal('join'), to: z.string().min(1).max(60) }),
  z.object({ do: z.literal('note'), text: word.min(1, 'write the note') }),
]);
export type EnquiryChange = z.infer<typeof EnquiryChangeSchema>;

/** An earlier enquiry of the same sender, and what was answered. */
const EarlierEnquirySchema = z.object({
  case: z.string(),
  title: z.string(),
  since: z.iso.datetime(),
  state: z.enum(['open', 'awaiting', 'answered']),
  takenByName: z.string().nullable(),
  /** Whether the member has it, too. */
  isMine: z.boolean(),
  /** How the last letter that went from it begins, and who wrote it; null for none. */
  letter: z.object({ excerpt: z.string(), byName: z.string(), at: z.iso.datetime() }).nullable(),
});
export type EarlierEnquiry = z.infer<typeof EarlierEnquirySchema>;

/** What became of a message that was taken in. */
const TakenMessageSchema = z.object({
  /** Null where somebody else answers it. */
  case: CaseSummarySchema.nullable(),
  /** `made`: an enquiry was made; `joined`: it belongs to one that was there; `known`: it was here before. */
  came: z.enum(['made', 'joined', 'known']),
  remarks: z.array(z.string()),
});
export type TakenMessage = z.infer<typeof TakenMessageSchema>;

/** Routes of replies. */
export const REPLY_ROUTES = define({
  takeMessage: {
    method: 'post',
    path: '/api/messages',
    access: 'member',
    summary:
      'Takes a message of a mail program in (RFC 5322): it becomes an enquiry of the member, or a part of the one it belongs to. Taken once, however often it is sent.',
    status: 200,
    sends: 'message/rfc822',
    response: TakenMessageSchema,
  },
  queue: {
    method: 'get',
    path: '/api/queue',
    access: 'member',
    atHand: 'case',
    summary:
      'The enquiries of the team: those that wait, who waits longest first, then what was answered of late.',
    status: 200,
    response: z.array(EnquirySchema),
  },
  earlierEnquiries: {
    method: 'get',
    path: '/api/cases/:case/earlier-enquiries',
    access: 'given',
    atHand: 'case',
    summary: 'What the sender of an enquiry asked before, and what was answered, the last first.',
    status: 200,
    response: z.array(EarlierEnquirySchema),
  },
  likeEnquiries: {
    method: 'get',
    path: '/api/cases/:case/like-enquiries',
    access: 'given',
    atHand: 'case',
    summary: 'What other senders asked that is like an enquiry, and what was answered; the nearest first.',
    status: 200,
    response: z.array(EarlierEnquirySchema),
  },
  changeEnquiry: {
    method: 'post',
    path: '/api/enquiries/:case/changes',
    access: 'member',
    summary:
      'Takes an enquiry, puts it back, hands it on, puts it off, says whether it is answered, joins it with another, or notes something for colleagues.',
    status: 200,
    body: EnquiryChangeSchema,
    response: EnquirySchema,
  },
});
