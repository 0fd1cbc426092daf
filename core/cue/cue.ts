import { z } from 'zod';

const CLOSERS = ['space', 'enter', 'tab', 'punctuation'] as const;
/** A key that closes a cue. */
export type Closer = (typeof CLOSERS)[number];

/** How a typed cue fires. A collection has a whole set of rules; a cue may change any of them for itself. */
export const CueRulesSchema = z.object({
  // What may stand before the cue: a space or line start; anything but a letter or digit; anything.
  before: z.enum(['space', 'boundary', 'anything']),
  // At its last character, or on a closing key after it.
  fires: z.enum(['last', 'closing']),
  closers: z.array(z.enum(CLOSERS)).min(1),
  keepCloser: z.boolean(),
  // Letters must be exact; may be either; or the wording follows the case that was typed.
  letters: z.enum(['exact', 'ignored', 'followed']),
});
export type CueRules = z.infer<typeof CueRulesSchema>;

/** The rules of a collection that has set none. */
export const DEFAULT_CUE_RULES: CueRules = {
  before: 'boundary',
  fires: 'closing',
  closers: ['space', 'enter', 'tab', 'punctuation'],
  keepCloser: false,
  letters: 'ignored',
};

/** The ways of bringing an entry by keys: typed letters, keys pressed, or whatever fits a pattern. */
export const CUE_KINDS = ['typed', 'keys', 'pattern'] as const;
/** A way of bringing an entry by keys. */
export type CueKind = (typeof CUE_KINDS)[number];

/** A cue of an entry, without its collection's lead-in, which only typed cues have. */
export const CueSchema = z
  .object({
    // Typed when left out.
    as: z.enum(['keys', 'pattern']).optional(),
    text: z
      .string()
      .min(1, 'a cue needs at least one character')
      .max(200, 'a pattern may have 200 characters at the most')
      .refine((text) => text === text.trim(), 'a cue may not start or end with a space'),
    rules: CueRulesSchema.partial().optional(),
  })
  .refine(
    ({ as, text }) => as === 'pattern' || text.length <= 40,
    'a cue may have 40 characters at the most',
  );
export type Cue = z.infer<typeof CueSchema>;

/** A cue with its lead-in and all its rules settled, and the entry it brings. */
export interface ResolvedCue {
  entry: string;
  /** What is typed, with its lead-in; for key cues the keys, for a pattern its source. */
  typed: string;
  /** Typed when left out. */
  as?: 'keys' | 'pattern';
  rules: CueRules;
}

/** Joins a cue with its collection's lead-in and rules; the cue's own rules win. */
export function resolveCue(
  entry: string,
  cue: Cue,
  collection: { leadIn: string; cueRules: CueRules },
): ResolvedCue {
  const rules = { ...collection.cueRules, ...cue.rules };
  if (cue.as) return { entry, typed: cue.text, as: cue.as, rules };
  return { entry, typed: collection.leadIn + cue.text, rules };
}
