import { z } from 'zod';
import { KeptCastSchema, MOST_KEPT_CASTS } from '#core/transcript';
import { MOST_SIGNATURES, SignatureSchema } from '#core/signing';

/** Which lists (collections and glossaries, by id) a member switched in or out for a kind of work. */
const ReachSchema = z.object({
  in: z.array(z.string().max(80)).max(2000),
  out: z.array(z.string().max(80)).max(2000),
});
export type OwnReach = z.infer<typeof ReachSchema>;

/** So many words a member counts as right at the most. */
export const MOST_RIGHT_WORDS = 2000;

/** So many sets of lists a member keeps at the most. */
export const MOST_REACH_SETS = 40;
const ReachSetSchema = z.object({
  name: z.string().trim().min(1).max(60),
  lists: z.array(z.string().max(80)).max(2000),
});
/** Collections and glossaries, by id, that are in reach together for a sort of job, under a name of the member's. */
export type ReachSet = z.infer<typeof ReachSetSchema>;

/** How a member likes to be offered things. */
export const PreferencesSchema = z.object({
  // Offers beside the line, right under the caret as well, or not at all.
  offers: z.enum(['margin', 'caret', 'off']),
  // What takes the first offer besides its own key: nothing, or a space after it, which costs no key at all.
  firstBy: z.enum(['key', 'space']),
  // What text commands begin with at a word's start, such as "//"; they are off when left out.
  commandLeadIn: z
    .string()
    .min(1)
    .max(3)
    .regex(/^[^\s\p{L}\p{N}.]+$/u, 'use punctuation marks, such as //')
    .optional(),
  // The number of the last news that the member has looked at; none when left out.
  newsSeen: z.number().int().min(0).optional(),
  // Sets of details that wording is signed with besides those of the account; and by cases which of them signs there.
  signatures: z.array(SignatureSchema).max(MOST_SIGNATURES).optional(),
  signs: z.record(z.string().max(60), z.string().max(60)).optional(),
  // Whether colleagues may see one's own figures of usage under one's name; not when left out.
  showsUsage: z.boolean().optional(),
  // Groups of speakers that are kept for recordings to come.
  casts: z.array(KeptCastSchema).max(MOST_KEPT_CASTS).optional(),
  // Sets of lists that come into reach together.
  reachSets: z.array(ReachSetSchema).max(MOST_REACH_SETS).optional(),
  // Words that count as fillers in a transcript, by language, where they are others than the usual.
  fillers: z.record(z.string().max(20), z.array(z.string().min(1).max(120)).max(200)).optional(),
  // Whether small words that go together are offered by their first letters; they are when left out.
  smallWords: z.boolean().optional(),
  // Whether spelling is left unchecked, and words that are right whatever a dictionary says.
  spelling: z
    .object({
      isOff: z.boolean().optional(),
      right: z.array(z.string().min(1).max(60)).max(MOST_RIGHT_WORDS),
    })
    .optional(),
  // Seconds that a letter waits in which it can be taken back; ten when left out.
  sendingWait: z.number().int().min(0).max(120).optional(),
  // By kind of work.
  reach: z.record(z.string().max(40), ReachSchema),
});
export type Preferences = z.infer<typeof PreferencesSchema>;

/** How a member is offered things who has set nothing. */
export const DEFAULT_PREFERENCES: Preferences = { offers: 'margin', firstBy: 'key', reach: {} };
