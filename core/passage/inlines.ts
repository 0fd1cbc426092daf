import { z } from 'zod';
import { BLANK_FORMS, DROPPED, NUMBER_FORMS, type DroppedSpace } from './forms';
import { KeyIdSchema, placementId } from './keyId';
import { marksSchema as marks, type Mark } from './marks';
import { TimeCodeAttrsSchema } from './turn';

const few = z.string().max(8).optional();
/**
 * What an inline that shows no words took away from the text right before and after it besides spaces (a comma that would be
 * doubled, brackets around nothing), and what it put there instead (a capital), to be given back when it shows words.
 */
const tookSchemas = { tookBefore: few, tookAfter: few, put: few };

const BlankAttrsSchema = z.object({
  field: KeyIdSchema,
  form: z.enum(BLANK_FORMS).default('as-is'),
  // The rest is empty in a wording and set when the wording is placed in a draft.
  placement: placementId,
  text: z.string().max(20_000).default(''),
  // `gap`: required and unanswered. `left-out`: optional and unanswered.
  state: z.enum(['gap', 'left-out', 'answered']).default('gap'),
  // The neighbouring spaces that it took away when it shows nothing, to be given back when it shows words.
  dropped: z.enum(DROPPED).default('none'),
  ...tookSchemas,
});
export type BlankAttrs = z.infer<typeof BlankAttrsSchema>;
/** What was taken away from the text on either side, to be given back. */
export type Took = Partial<Record<keyof typeof tookSchemas, string | undefined>>;

const TextSchema = z.object({ type: z.literal('text'), text: z.string().min(1), marks });
const BlankSchema = z.object({ type: z.literal('blank'), attrs: BlankAttrsSchema, marks });
const BreakSchema = z.object({ type: z.literal('hardBreak'), marks });
const IncludeSchema = z.object({
  // Another entry's wording, put in here when this one is placed.
  type: z.literal('include'),
  attrs: z.object({ entry: z.string().min(1).max(60) }),
  marks,
});
// Where the caret should stand once everything before it is answered.
const CaretSchema = z.object({ type: z.literal('caretMark'), marks });
const NumberSchema = z.object({
  type: z.literal('number'),
  attrs: z.object({
    // The list it counts in: each counts by itself through the whole draft.
    list: z.string().min(1).max(60),
    form: z.enum(NUMBER_FORMS).default('1'),
    // What references name it by; set when it is placed.
    id: z.string().max(700).default(''),
    text: z.string().max(60).default(''),
  }),
  marks,
});
const ReferenceSchema = z.object({
  type: z.literal('reference'),
  // In a wording, `to` is the number's own id within that wording.
  attrs: z.object({ to: z.string().max(700), text: z.string().max(60).default('') }),
  marks,
});
// The time in the recording at which it was put into the text.
const TimeCodeSchema = z.object({ type: z.literal('timeCode'), attrs: TimeCodeAttrsSchema, marks });
// Optional words that do not stand now, kept with whatever was changed in them, and the space they took along.
const FoldedSchema: z.ZodType<FoldedInline> = z.lazy(() =>
  z.object({
    type: z.literal('folded'),
    attrs: z.object({
      content: z.array(InlineSchema).min(1),
      dropped: z.enum(DROPPED).default('none'),
      ...tookSchemas,
    }),
    marks,
  }),
);

export type TextInline = z.infer<typeof TextSchema>;
export type BlankInline = z.infer<typeof BlankSchema>;
export type BreakInline = z.infer<typeof BreakSchema>;
export type IncludeInline = z.infer<typeof IncludeSchema>;
export type NumberInline = z.infer<typeof NumberSchema>;
export type ReferenceInline = z.infer<typeof ReferenceSchema>;
export type TimeCodeInline = z.infer<typeof TimeCodeSchema>;
/** Optional words that do not stand now. */
export interface FoldedInline {
  type: 'folded';
  attrs: { content: Inline[]; dropped: DroppedSpace } & Took;
  marks?: Mark[] | undefined;
}
export type Inline =
  | TextInline
  | BlankInline
  | BreakInline
  | IncludeInline
  | z.infer<typeof CaretSchema>
  | NumberInline
  | ReferenceInline
  | TimeCodeInline
  | FoldedInline;

/** What is to be known of a sort of inline. */
interface InlineRow<One extends Inline> {
  schema: z.ZodType<One>;
  /** The words a reader sees of one: '' for what does not stand or is not filled yet. */
  wordsOf: (inline: One) => string;
  /** Of what typing cannot tear apart: all that it may carry, as it is where nothing else is said. */
  carries?: Record<string, unknown>;
}

const took = { tookBefore: '', tookAfter: '', put: '' };
const itsText = ({ attrs }: { attrs: { text: string } }) => attrs.text;
const noWords = () => '';

/** All sorts of inlines of a passage, a row for each: formats, readers and the editor go by it. */
export const INLINES: { [N in Inline['type']]: InlineRow<Extract<Inline, { type: N }>> } = {
  text: { schema: TextSchema, wordsOf: ({ text }) => text },
  blank: {
    schema: BlankSchema,
    wordsOf: itsText,
    carries: {
      field: '',
      form: 'as-is',
      placement: null,
      text: '',
      state: 'gap',
      dropped: 'none',
      ...took,
    } satisfies Record<keyof BlankAttrs, unknown>,
  },
  hardBreak: { schema: BreakSchema, wordsOf: () => '\n' },
  include: { schema: IncludeSchema, wordsOf: noWords, carries: { entry: '' } },
  caretMark: { schema: CaretSchema, wordsOf: noWords, carries: {} },
  number: { schema: NumberSchema, wordsOf: itsText, carries: { list: '', form: '1', id: '', text: '' } },
  reference: { schema: ReferenceSchema, wordsOf: itsText, carries: { to: '', text: '' } },
  timeCode: { schema: TimeCodeSchema, wordsOf: itsText, carries: { at: null, unclear: false, text: '' } },
  folded: { schema: FoldedSchema, wordsOf: noWords, carries: { content: [], dropped: 'none', ...took } },
};

const schemas = Object.values(INLINES).map(({ schema }) => schema as z.ZodType<Inline>);

/** One inline, checked. */
export const InlineSchema: z.ZodType<Inline> = z.union(schemas);

/** The words a reader sees of one inline: '\n' for a break, '' for what does not stand or is not filled yet. */
export const wordsOfInline = (inline: Inline): string =>
  (INLINES[inline.type] as InlineRow<Inline>).wordsOf(inline);
