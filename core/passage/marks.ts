import { z } from 'zod';
import { KeyIdSchema, placementId } from './keyId';
import { isSafeLink } from './safeLink';
import { TimeSchema } from './turn';

/** How words look where a format knows no elements for it: a word-processing document, a PDF. */
export interface RunLook {
  bold?: true;
  italic?: true;
  underlined?: true;
  struck?: true;
  /** All letters of one width. */
  fixedWidth?: true;
}

/** What is to be known of a mark. */
interface MarkRow {
  /** The mark as data: its name, and what it carries. */
  schema: z.ZodObject<{ type: z.ZodLiteral<string> }>;
  /** Whether who reads the text sees it. What only whoever writes sees never goes out. */
  seen: boolean;
  /** The element of HTML around its words. */
  element?: 'a' | 'code' | 'em' | 's' | 'strong' | 'u';
  /** What stands before and after its words in Markdown; nothing where that is more than two signs. */
  markdown?: readonly [string, string];
  look?: RunLook;
  /** In the notation of wordings its words stand in a bracket that begins with its name: `[italic: words]`. */
  inBracket?: true;
}

/** All marks of a passage, a row for each: formats, readers and the editor go by it. */
export const MARKS = {
  // An optional passage: these words stand only while the entry's condition of that id holds.
  when: {
    schema: z.object({
      type: z.literal('when'),
      attrs: z.object({ condition: KeyIdSchema, placement: placementId }),
    }),
    seen: false,
  },
  // A statement that must be looked at for this case before the draft can be finished.
  confirm: { schema: z.object({ type: z.literal('confirm') }), seen: false, inBracket: true },
  // Only in drafts: a statement that was confirmed for this case, so that a copy of the draft asks for it anew.
  confirmed: { schema: z.object({ type: z.literal('confirmed') }), seen: false },
  bold: {
    schema: z.object({ type: z.literal('bold') }),
    seen: true,
    element: 'strong',
    markdown: ['**', '**'],
    look: { bold: true },
  },
  italic: {
    schema: z.object({ type: z.literal('italic') }),
    seen: true,
    element: 'em',
    markdown: ['*', '*'],
    look: { italic: true },
    inBracket: true,
  },
  underline: {
    schema: z.object({ type: z.literal('underline') }),
    seen: true,
    element: 'u',
    markdown: ['<u>', '</u>'],
    look: { underlined: true },
    inBracket: true,
  },
  strike: {
    schema: z.object({ type: z.literal('strike') }),
    seen: true,
    element: 's',
    markdown: ['~~', '~~'],
    look: { struck: true },
    inBracket: true,
  },
  code: {
    schema: z.object({ type: z.literal('code') }),
    seen: true,
    element: 'code',
    look: { fixedWidth: true },
    inBracket: true,
  },
  link: {
    schema: z.object({
      type: z.literal('link'),
      attrs: z.object({
        href: z.string().refine(isSafeLink, 'a link must lead to http, https, mailto or tel'),
      }),
    }),
    seen: true,
    element: 'a',
  },
  // Only in drafts: these words came from the bank, in this placement.
  placed: {
    schema: z.object({ type: z.literal('placed'), attrs: z.object({ placement: KeyIdSchema }) }),
    seen: false,
  },
  // Only in drafts: when in the recording these words begin to be heard, in milliseconds.
  heard: {
    schema: z.object({ type: z.literal('heard'), attrs: z.object({ at: TimeSchema }) }),
    seen: false,
  },
  // Only in drafts: a filler, a stammer or a false start, which is heard and may be left out of what goes out.
  disfluency: { schema: z.object({ type: z.literal('disfluency') }), seen: false },
} as const satisfies Record<string, MarkRow>;

/** The name of a mark. */
export type MarkName = keyof typeof MARKS;
/** A mark as it is kept with words of a passage. */
export type Mark = z.infer<(typeof MARKS)[MarkName]['schema']>;
/** Marks that who reads the text sees. */
export type SeenMarkName = { [N in MarkName]: (typeof MARKS)[N]['seen'] extends true ? N : never }[MarkName];

/** Marks whose bracket in the notation begins with their name. */
export type MarkInBracket = {
  [N in MarkName]: (typeof MARKS)[N] extends { inBracket: true } ? N : never;
}[MarkName];

/** What is to be known of a mark by its name. */
export const markRow = (name: MarkName): MarkRow => MARKS[name];

const schemas = Object.values(MARKS).map(({ schema }) => schema);

/** One mark, checked: links lead nowhere but where a link may. */
const MarkSchema: z.ZodType<Mark> = z.discriminatedUnion(
  'type',
  schemas as [(typeof schemas)[number], ...typeof schemas],
);

/** The marks that an inline may have. */
export const marksSchema = z.array(MarkSchema).max(16).optional();

/** The marks a reader sees: none that say where words came from, when they stand or that they want confirming. */
export function seenMarks(marks: readonly Mark[] | undefined): Extract<Mark, { type: SeenMarkName }>[] {
  return (marks ?? []).filter((mark): mark is Extract<Mark, { type: SeenMarkName }> => MARKS[mark.type].seen);
}

/** How words look that carry some marks. */
export const lookOf = (marks: readonly Mark[] = []): RunLook =>
  Object.assign({}, ...marks.map(({ type }) => markRow(type).look ?? {})) as RunLook;
