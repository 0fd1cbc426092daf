import { z } from 'zod';
import { DATE_FORMS } from '#core/calendar';
import { PERSON_FORMS } from '#core/language';

/**
 * Rich text as data, in the shape of the editor's document schema, so that the editor, the store and the
 * core need no translation between them.
 */

/** What a passage may hold at the most; a larger one is refused with a clear message. */
export const LIMITS = { depth: 12, characters: 200_000, nodes: 40_000 } as const;

/**
 * How a blank writes its answer. For all: as it is, with a capital, in capitals, with "a" or "an" before it.
 * For numbers: in words, or without their unit. For times: on a clock of twelve hours. Then for dates; and last for
 * person words, named by what they read like for "they".
 */
export const BLANK_FORMS = [
  'as-is',
  'capital',
  'upper',
  'article',
  'words',
  'no-unit',
  'clock-12',
  ...DATE_FORMS,
  ...PERSON_FORMS,
] as const;
export type BlankForm = (typeof BLANK_FORMS)[number];

/** `gap`: required and unanswered. `left-out`: optional and unanswered. */
export type BlankState = 'gap' | 'left-out' | 'answered';

const SAFE_LINK = /^(https?:|mailto:|tel:|#|\/(?!\/))/i;

/** True for a link that may stand in a passage: to http, https, mailto or tel, or within the page. */
export function isSafeLink(href: string): boolean {
  return href.length <= 2000 && SAFE_LINK.test(href);
}

const MarkSchema = z.discriminatedUnion('type', [
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
  z.object({ type: z.literal('placed'), attrs: z.object({ placement: z.string().max(60) }) }),
]);
export type Mark = z.infer<typeof MarkSchema>;

const marks = z.array(MarkSchema).max(8).optional();

const BlankAttrsSchema = z.object({
  field: z.string().min(1).max(60),
  form: z.enum(BLANK_FORMS).default('as-is'),
  // The rest is empty in a wording and set when the wording is placed in a draft.
  placement: z.string().max(60).nullable().default(null),
  text: z.string().max(20_000).default(''),
  state: z.enum(['gap', 'left-out', 'answered']).default('gap'),
  // The neighbouring space that a left-out blank took away with it, to be given back when it is answered.
  dropped: z.enum(['none', 'before', 'after']).default('none'),
});
export type BlankAttrs = z.infer<typeof BlankAttrsSchema>;

const TextSchema = z.object({ type: z.literal('text'), text: z.string().min(1), marks });
const BlankSchema = z.object({ type: z.literal('blank'), attrs: BlankAttrsSchema, marks });
const BreakSchema = z.object({ type: z.literal('hardBreak'), marks });
const InlineSchema = z.discriminatedUnion('type', [TextSchema, BlankSchema, BreakSchema]);

export type TextInline = z.infer<typeof TextSchema>;
export type BlankInline = z.infer<typeof BlankSchema>;
export type BreakInline = z.infer<typeof BreakSchema>;
export type Inline = z.infer<typeof InlineSchema>;

const inlines = z.array(InlineSchema).optional();
const span = z.object({
  colspan: z.number().int().min(1).max(50).default(1),
  rowspan: z.number().int().min(1).max(500).default(1),
  colwidth: z.array(z.number()).nullable().optional(),
});

export type Block =
  | { type: 'paragraph'; content?: Inline[] }
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
    z.object({ type: z.literal('paragraph'), content: inlines }),
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

export interface Passage {
  type: 'doc';
  content: Block[];
}

/** Depth, nodes and characters of an unchecked value; measured without recursion, so that depth cannot hurt. */
function measure(root: unknown): { depth: number; nodes: number; characters: number } {
  const total = { depth: 0, nodes: 0, characters: 0 };
  const waiting: { value: unknown; depth: number }[] = [{ value: root, depth: 0 }];
  for (let next = waiting.pop(); next && total.nodes <= LIMITS.nodes; next = waiting.pop()) {
    const node = next.value as { content?: unknown; text?: unknown } | null;
    if (typeof node !== 'object' || node === null) continue;
    total.nodes += 1;
    total.depth = Math.max(total.depth, next.depth);
    if (typeof node.text === 'string') total.characters += node.text.length;
    if (!Array.isArray(node.content)) continue;
    for (const value of node.content) waiting.push({ value, depth: next.depth + 1 });
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
