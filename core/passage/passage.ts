import { z } from 'zod';
import { DATE_FORMS } from '#core/calendar';
import { PERSON_FORMS } from '#core/language';
import { CommentOnSchema, type CommentOn } from './commentOn';
import { MarkingOnSchema, type MarkingOn } from './markingOn';
import { KeyIdSchema } from './keyId';
import { TimeCodeAttrsSchema, TimeSchema, TurnAttrsSchema, type TurnAttrs } from './turn';

/**
 * Rich text as data, in the shape of the editor's document schema, so that the editor, the store and the
 * core need no translation between them.
 */

/** What a passage may hold at the most; a larger one is refused with a clear message. */
export const LIMITS = { depth: 12, characters: 600_000, nodes: 40_000 } as const;

/**
 * How a blank writes its answer. For all: as it is, with a capital, in capitals, with "a" or "an" before it.
 * For numbers: in words, without their unit, or the "s" of a plural alone. For times: on a clock of twelve hours.
 * Silent: asked at this place, but nothing is written. For lists: each item on a line, as bullets, as a table; for
 * amounts of a record: with the day they were measured. Then for dates; and last for person words, named by what they
 * read like for "they".
 */
export const BLANK_FORMS = [
  'as-is',
  'capital',
  'upper',
  'article',
  'words',
  'no-unit',
  'clock-12',
  'silent',
  'plural',
  'lines',
  'bullets',
  'table',
  'dated',
  ...DATE_FORMS,
  ...PERSON_FORMS,
] as const;
/** A form in which a blank writes its answer. */
export type BlankForm = (typeof BLANK_FORMS)[number];

/** On which sides something that shows no words took a space away. */
export const DROPPED = ['none', 'before', 'after', 'both'] as const;
/** On which sides a space was taken away. */
export type DroppedSpace = (typeof DROPPED)[number];

/** How a number of a list is written: 1, 01, a, A, i, I, one, One. */
export const NUMBER_FORMS = ['1', '01', 'a', 'A', 'i', 'I', 'one', 'One'] as const;
/** A form in which a number of a list is written. */
export type NumberForm = (typeof NUMBER_FORMS)[number];

// A backslash is a slash to browsers.
const SAFE_LINK = /^(https?:|mailto:|tel:|#|\/(?![/\\]))/i;
/** Line ends and other signs that no address has, and that some readers of Markdown end a link at. */
const CONTROL = /\p{Cc}/u;

/** True for a link that may stand in a passage: to http, https, mailto or tel, or within the page. */
export function isSafeLink(href: string): boolean {
  return href.length <= 2000 && SAFE_LINK.test(href) && !CONTROL.test(href);
}

const placementId = KeyIdSchema.nullable().default(null);

const MarkSchema = z.discriminatedUnion('type', [
  // An optional passage: these words stand only while the entry's condition of that id holds.
  z.object({
    type: z.literal('when'),
    attrs: z.object({ condition: KeyIdSchema, placement: placementId }),
  }),
  // A statement that must be looked at for this case before the draft can be finished.
  z.object({ type: z.literal('confirm') }),
  // Only in drafts: a statement that was confirmed for this case, so that a copy of the draft asks for it anew.
  z.object({ type: z.literal('confirmed') }),
  z.object({ type: z.literal('bold') }),
  z.object({ type: z.literal('italic') }),
  z.object({ type: z.literal('underline') }),
  z.object({ type: z.literal('strike') }),
  z.object({ type: z.literal('code') }),
  z.object({
    type: z.literal('link'),
    attrs: z.object({
      href: z.string().refine(isSafeLink, 'a link must lead to http, https, mailto or tel'),
    }),
  }),
  // Only in drafts: these words came from the bank, in this placement.
  z.object({ type: z.literal('placed'), attrs: z.object({ placement: KeyIdSchema }) }),
  // Only in drafts: when in the recording these words begin to be heard, in milliseconds.
  z.object({ type: z.literal('heard'), attrs: z.object({ at: TimeSchema }) }),
  // Only in drafts: a filler, a stammer or a false start, which is heard and may be left out of what goes out.
  z.object({ type: z.literal('disfluency') }),
]);
export type Mark = z.infer<typeof MarkSchema>;

const marks = z.array(MarkSchema).max(16).optional();

const few = z.string().max(8).optional();
/**
 * What an inline that shows no words took away from the text right before and after it besides spaces (a comma that would be
 * doubled, brackets around nothing), and what it put there instead (a capital), to be given back when it shows words.
 */
const took = { tookBefore: few, tookAfter: few, put: few };

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
  ...took,
});
export type BlankAttrs = z.infer<typeof BlankAttrsSchema>;
/** What was taken away from the text on either side, to be given back. */
export type Took = Partial<Record<keyof typeof took, string | undefined>>;

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
      ...took,
    }),
    marks,
  }),
);
const InlineSchema: z.ZodType<Inline> = z.lazy(() =>
  z.union([
    TextSchema,
    BlankSchema,
    BreakSchema,
    IncludeSchema,
    CaretSchema,
    NumberSchema,
    ReferenceSchema,
    TimeCodeSchema,
    FoldedSchema,
  ]),
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

const inlines = z.lazy(() => z.array(InlineSchema)).optional();
const span = z.object({
  colspan: z.number().int().min(1).max(50).default(1),
  rowspan: z.number().int().min(1).max(500).default(1),
  colwidth: z.array(z.number()).nullable().optional(),
});

export type Block =
  // In a draft with several boxes, such as Subject: the text of one of them.
  // A comment is a box too, that says what it is on; and a marking, that says where on a page it stands.
  | {
      type: 'box';
      attrs: { name: string; comment?: CommentOn | null | undefined; marking?: MarkingOn | null | undefined };
      content: Block[];
    }
  | { type: 'paragraph'; content?: Inline[] }
  // Only in transcripts: the first paragraph of what somebody says.
  | { type: 'turn'; attrs: TurnAttrs; content?: Inline[] }
  | { type: 'heading'; attrs: { level: number }; content?: Inline[] }
  | { type: 'bulletList'; content: Block[] }
  | { type: 'orderedList'; attrs?: { start?: number; type?: string | null }; content: Block[] }
  | { type: 'listItem'; content: Block[] }
  | { type: 'blockquote'; content: Block[] }
  | { type: 'horizontalRule' }
  | { type: 'table'; content: Block[] }
  | { type: 'tableRow'; content: Block[] }
  | { type: 'tableHeader'; attrs?: z.infer<typeof span>; content: Block[] }
  | { type: 'tableCell'; attrs?: z.infer<typeof span>; content: Block[] };

const blocks = z.lazy(() => z.array(BlockSchema).min(1));
const BlockSchema: z.ZodType<Block> = z.lazy(() =>
  z.discriminatedUnion('type', [
    z.object({
      type: z.literal('box'),
      attrs: z.object({
        name: z.string().min(1).max(60),
        comment: CommentOnSchema.nullish(),
        marking: MarkingOnSchema.nullish(),
      }),
      content: blocks,
    }),
    z.object({ type: z.literal('paragraph'), content: inlines }),
    z.object({ type: z.literal('turn'), attrs: TurnAttrsSchema, content: inlines }),
    z.object({
      type: z.literal('heading'),
      attrs: z.object({ level: z.number().int().min(1).max(6) }),
      content: inlines,
    }),
    z.object({ type: z.literal('bulletList'), content: blocks }),
    z.object({
      type: z.literal('orderedList'),
      attrs: z
        .object({ start: z.number().int().optional(), type: z.string().nullable().optional() })
        .optional(),
      content: blocks,
    }),
    z.object({ type: z.literal('listItem'), content: blocks }),
    z.object({ type: z.literal('blockquote'), content: blocks }),
    z.object({ type: z.literal('horizontalRule') }),
    z.object({ type: z.literal('table'), content: blocks }),
    z.object({ type: z.literal('tableRow'), content: blocks }),
    z.object({ type: z.literal('tableHeader'), attrs: span.optional(), content: blocks }),
    z.object({ type: z.literal('tableCell'), attrs: span.optional(), content: blocks }),
  ]),
);

/** Rich text as data: blocks of lines. */
export interface Passage {
  type: 'doc';
  content: Block[];
}

/** Depth, nodes and characters of an unchecked value; measured without recursion, so that depth cannot hurt. */
function measure(root: unknown): { depth: number; nodes: number; characters: number } {
  const total = { depth: 0, nodes: 0, characters: 0 };
  const waiting: { value: unknown; depth: number }[] = [{ value: root, depth: 0 }];
  for (let next = waiting.pop(); next && total.nodes <= LIMITS.nodes; next = waiting.pop()) {
    const node = next.value as { content?: unknown; text?: unknown; attrs?: { content?: unknown } } | null;
    if (typeof node !== 'object' || node === null) continue;
    total.nodes += 1;
    total.depth = Math.max(total.depth, next.depth);
    if (typeof node.text === 'string') total.characters += node.text.length;
    for (const inner of [node.content, node.attrs?.content]) {
      if (!Array.isArray(inner)) continue;
      for (const value of inner) waiting.push({ value, depth: next.depth + 1 });
    }
  }
  return total;
}

const sizes = z.unknown().superRefine((value, context) => {
  const found = measure(value);
  for (const key of ['depth', 'nodes', 'characters'] as const) {
    if (found[key] > LIMITS[key]) {
      context.addIssue({ code: 'custom', message: `the text is too large: ${key} over ${LIMITS[key]}` });
    }
  }
});

/**
 * Checks a whole passage: shape, marks, safe links and the limits of `LIMITS`. Anything that is not part of
 * the model (attributes, classes, foreign nodes) is dropped or refused; nothing else is ever stored.
 */
export const PassageSchema: z.ZodType<Passage> = sizes.pipe(
  z.object({ type: z.literal('doc'), content: z.array(BlockSchema).min(1) }),
);
