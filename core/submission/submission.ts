import { z } from 'zod';
import { TextRangeSchema } from '#core/passage';

/**
 * A document that somebody handed in, as it is read and commented: blocks in their order, each a line of words. It is flat, so that
 * a place in it is a block and an offset, whatever format it came from; what stands in a table says in which cell.
 */

/** What a submission may hold at the most; a larger one is refused with a clear message. */
export const SUBMISSION_LIMITS = { blocks: 60_000, characters: 4_000_000, comments: 5000 } as const;

/** How words of a submission look. `inserted` and `deleted` are changes that somebody tracked and nobody has taken yet. */
export const SPAN_MARKS = [
  'bold',
  'italic',
  'underline',
  'strike',
  'code',
  'link',
  'super',
  'sub',
  'inserted',
  'deleted',
] as const;
export type SpanMark = (typeof SPAN_MARKS)[number];

/** What stands in a text without being words; `page`: a whole page of which no words are known. */
export const PLACE_KINDS = ['picture', 'chart', 'formula', 'object', 'text-box', 'note', 'page'] as const;
export type PlaceKind = (typeof PLACE_KINDS)[number];

const marks = z.array(z.enum(SPAN_MARKS)).max(SPAN_MARKS.length).optional();

const SpanSchema = z.union([
  z.object({ text: z.string().min(1), marks }),
  // What cannot be shown, by what it is and what it is called; a note by its number. It counts as one character.
  z.object({ place: z.enum(PLACE_KINDS), name: z.string().max(400), marks }),
]);
export type Span = z.infer<typeof SpanSchema>;

const SubmissionBlockSchema = z.object({
  // `note`: the words of a footnote or endnote, at the end.
  kind: z.enum(['paragraph', 'heading', 'item', 'quote', 'code', 'note']),
  /** Of a heading its rank from 1, of an item how deep it stands from 0. */
  level: z.number().int().min(0).max(9).optional(),
  /** What stands before an item or a note: its number or sign. It is not part of its words. */
  label: z.string().max(40).optional(),
  /** Where it stands in a table: which table of the submission, row and column, each counted from 0. */
  cell: z
    .object({
      table: z.number().int().min(0),
      row: z.number().int().min(0),
      column: z.number().int().min(0),
    })
    .optional(),
  /** Read from right to left. */
  rtl: z.literal(true).optional(),
  spans: z.array(SpanSchema),
});
export type SubmissionBlock = z.infer<typeof SubmissionBlockSchema>;

/** A comment that came along in the file, by whoever wrote it. */
const CameAlongSchema = z.object({
  author: z.string().max(200),
  /** When it was written, as the file says it; '' where it does not. */
  at: z.string().max(60),
  text: z.string().max(20_000),
  on: TextRangeSchema,
});
export type CameAlong = z.infer<typeof CameAlongSchema>;

/** Of a span, how many UTF-16 units of a block's words it takes up. */
const lengthOfSpan = (span: Span): number => ('text' in span ? span.text.length : 1);

/** Checks a whole submission: its shape, and the limits of `SUBMISSION_LIMITS`. */
export const SubmissionSchema = z
  .object({
    version: z.literal(1),
    blocks: z.array(SubmissionBlockSchema).max(SUBMISSION_LIMITS.blocks),
    comments: z.array(CameAlongSchema).max(SUBMISSION_LIMITS.comments),
  })
  .refine(
    ({ blocks }) =>
      blocks.reduce((sum, { spans }) => spans.reduce((all, span) => all + lengthOfSpan(span), sum), 0) <=
      SUBMISSION_LIMITS.characters,
    `a submission may have ${SUBMISSION_LIMITS.characters.toLocaleString('en-GB')} characters at the most`,
  );
export type Submission = z.infer<typeof SubmissionSchema>;

/** What stands for a picture, a formula and the like in a block's words: Unicode's own sign for it, one unit long. */
export const PLACE_SIGN = '\uFFFC';

/** The words of a block; a place that is no words is one sign of them (`PLACE_SIGN`). */
export const wordsOfBlock = ({ spans }: Pick<SubmissionBlock, 'spans'>): string =>
  spans.map((span) => ('text' in span ? span.text : PLACE_SIGN)).join('');
