import { z } from 'zod';

/** What a comment can count as. */
export const COMMENT_COUNTS = ['praise', 'fault'] as const;

/** Signs that need nothing said of them: each is known by its kind alone, in the language of what is read. */
export const PLAIN_SIGNS = [
  'repeated-word',
  'doubled-space',
  'quotation-without-source',
  'number-without-unit',
  'avoided-term',
] as const;

/** So many words a sentence or a paragraph may be asked to have at the most. */
const wordsAtMost = z.number().int().min(1).max(5000);

/** What an entry looks for in a submission: where it is found, the entry would fit. */
export const SignSchema = z.discriminatedUnion('kind', [
  // Words or phrases, with the forms that the language makes of them.
  z.object({ kind: z.literal('words'), words: z.array(z.string().trim().min(1).max(80)).min(1).max(40) }),
  // In RE2 syntax.
  z.object({ kind: z.literal('pattern'), pattern: z.string().min(1).max(500) }),
  z.object({ kind: z.literal('long-paragraph'), most: wordsAtMost }),
  z.object({ kind: z.literal('long-sentence'), most: wordsAtMost }),
  ...PLAIN_SIGNS.map((kind) => z.object({ kind: z.literal(kind) })),
]);
export type Sign =
  | { kind: 'words'; words: string[] }
  | { kind: 'pattern'; pattern: string }
  | { kind: 'long-paragraph' | 'long-sentence'; most: number }
  | { kind: (typeof PLAIN_SIGNS)[number] };

/** Whether a sign looks for something: one that was begun and left looks for nothing. */
const looksForSomething = (sign: Sign): boolean =>
  sign.kind === 'words' ? sign.words.length > 0 : sign.kind !== 'pattern' || sign.pattern !== '';

/** What an entry is as a comment, without signs that were begun and left empty. */
export function withoutEmptySigns<Content extends { comment?: CommentUse }>(content: Content): Content {
  const { comment } = content;
  if (!comment?.signs || comment.signs.every(looksForSomething)) return content;
  const signs = comment.signs.filter(looksForSomething);
  const { signs: _, ...others } = comment;
  return { ...content, comment: signs.length > 0 ? { ...others, signs } : others };
}

/** What an entry is as a comment on a submission: which criterion it speaks of, what it counts as, and what to look for. */
export const CommentUseSchema = z.object({
  /** By its name, as assignments name it; '' for none. */
  criterion: z.string().trim().max(80).default(''),
  counts: z.enum(COMMENT_COUNTS).optional(),
  signs: z
    .array(SignSchema as z.ZodType<Sign>)
    .max(20)
    .optional(),
});
export type CommentUse = z.infer<typeof CommentUseSchema>;
