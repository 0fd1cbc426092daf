import { z } from 'zod';
import { WAYS } from '#core/savings';

const count = z.number().int();
/** How often, and the keys it saved: characters that readers see, less keys pressed. Mine apart from everybody's, mine among them. */
const sums = { times: count, saved: count, mine: count, mineSaved: count };

/** What is used of the bank that a member sees, counted: no texts, and of others sums alone. */
export const UsageSchema = z.object({
  /** The most used first; title and collection as they stand now. */
  entries: z.array(z.object({ entry: z.string(), title: z.string(), collection: z.string(), ...sums })),
  /** By the Monday they began on, oldest first; and by kind of work. */
  weeks: z.array(z.object({ week: z.iso.date(), ...sums })),
  kinds: z.array(z.object({ kind: z.string(), ...sums })),
  collections: z.array(z.object({ collection: z.string(), ...sums })),
  /** The member, and those who let colleagues see their figures: of what the member sees, by name. */
  people: z.array(z.object({ member: z.string(), name: z.string(), ...sums })),
  /** How the member brings wording to the leaf, the most frequent way first: the keys are those of all its times together. */
  ways: z.array(z.object({ way: z.enum(WAYS), times: count, keys: count })),
  /** Entries in use that nobody has placed: the first by title, and how many there are. */
  never: z.array(z.object({ entry: z.string(), title: z.string(), collection: z.string() })),
  neverCount: count,
});
export type Usage = z.infer<typeof UsageSchema>;

/**
 * What is usual at a point of a kind of work: for each entry those that came after it in finished drafts, the most frequent first; by
 * the empty id those that a text begins with.
 */
export const UsualSchema = z.object({
  after: z.record(z.string(), z.array(z.string())),
  /** What stands in most finished drafts of the kind, wherever. */
  often: z.array(z.string()),
});
export type Usual = z.infer<typeof UsualSchema>;

/** How often each entry that a member sees was placed: by everybody as a sum, and by the member; those never placed are left out. */
export const PlacedSchema = z.object({
  times: z.record(z.string(), count),
  mine: z.record(z.string(), count),
  /** How often the member looked them up instead of typing a cue. */
  lookedUp: z.record(z.string(), count),
});
export type Placed = z.infer<typeof PlacedSchema>;
