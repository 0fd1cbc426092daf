import { z } from 'zod';
import { CommentOnSchema, type CommentOn } from './commentOn';
import { InlineSchema, type Inline } from './inlines';
import { MarkingOnSchema, type MarkingOn } from './markingOn';
import { TurnAttrsSchema, type TurnAttrs } from './turn';

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

/** A block of one sort. */
export type BlockOf<N extends Block['type']> = Extract<Block, { type: N }>;

/** An element of HTML that stands for a block. */
interface BlockElement {
  name: string;
  /** By the names that elements have as objects (`colSpan`), of which those in a page are the small letters. */
  attributes?: Record<string, string | number>;
  /** The name of an element within it that everything stands in. */
  inner?: string;
}

/** What is to be known of a sort of block. */
interface BlockRow<One extends Block> {
  schema: z.ZodType<One>;
  /** What it holds: inlines, further blocks, or nothing. */
  holds: 'line' | 'blocks' | 'nothing';
  /** What parts the blocks within it in plain text. */
  between: string;
  /** The element that it is in HTML. */
  element: (block: One) => BlockElement;
}

const line = (name: string) => ({ holds: 'line', between: '', element: () => ({ name }) }) as const;
const around = (name: string, between: string) =>
  ({ holds: 'blocks', between, element: () => ({ name }) }) as const;

/** A cell of a table, over as many columns and rows as it says. */
const cell = (name: 'td' | 'th') =>
  ({
    holds: 'blocks',
    between: ' ',
    element: ({ attrs }: BlockOf<'tableCell' | 'tableHeader'>) => {
      const { colspan = 1, rowspan = 1 } = attrs ?? {};
      return {
        name,
        attributes: { ...(colspan > 1 && { colSpan: colspan }), ...(rowspan > 1 && { rowSpan: rowspan }) },
      };
    },
  }) as const;

const inlines = z.lazy(() => z.array(InlineSchema)).optional();
const blocks = z.lazy(() => z.array(BlockSchema).min(1));

/** All sorts of blocks of a passage, a row for each: formats, readers and the editor go by it. */
export const BLOCKS: { [N in Block['type']]: BlockRow<BlockOf<N>> } = {
  box: {
    schema: z.object({
      type: z.literal('box'),
      attrs: z.object({
        name: z.string().min(1).max(60),
        comment: CommentOnSchema.nullish(),
        marking: MarkingOnSchema.nullish(),
      }),
      content: blocks,
    }),
    ...around('section', '\n\n'),
  },
  paragraph: { schema: z.object({ type: z.literal('paragraph'), content: inlines }), ...line('p') },
  turn: {
    schema: z.object({ type: z.literal('turn'), attrs: TurnAttrsSchema, content: inlines }),
    ...line('p'),
  },
  heading: {
    schema: z.object({
      type: z.literal('heading'),
      attrs: z.object({ level: z.number().int().min(1).max(6) }),
      content: inlines,
    }),
    holds: 'line',
    between: '',
    element: ({ attrs }) => ({ name: `h${attrs.level}` }),
  },
  bulletList: { schema: z.object({ type: z.literal('bulletList'), content: blocks }), ...around('ul', '\n') },
  orderedList: {
    schema: z.object({
      type: z.literal('orderedList'),
      attrs: z
        .object({ start: z.number().int().optional(), type: z.string().nullable().optional() })
        .optional(),
      content: blocks,
    }),
    holds: 'blocks',
    between: '\n',
    element: ({ attrs: { start = 1 } = {} }) => ({
      name: 'ol',
      ...(start !== 1 && { attributes: { start } }),
    }),
  },
  listItem: { schema: z.object({ type: z.literal('listItem'), content: blocks }), ...around('li', '\n') },
  blockquote: {
    schema: z.object({ type: z.literal('blockquote'), content: blocks }),
    ...around('blockquote', '\n\n'),
  },
  horizontalRule: {
    schema: z.object({ type: z.literal('horizontalRule') }),
    holds: 'nothing',
    between: '',
    element: () => ({ name: 'hr' }),
  },
  table: {
    schema: z.object({ type: z.literal('table'), content: blocks }),
    holds: 'blocks',
    between: '\n',
    element: () => ({ name: 'table', inner: 'tbody' }),
  },
  tableRow: { schema: z.object({ type: z.literal('tableRow'), content: blocks }), ...around('tr', '\t') },
  tableHeader: {
    schema: z.object({ type: z.literal('tableHeader'), attrs: span.optional(), content: blocks }),
    ...cell('th'),
  },
  tableCell: {
    schema: z.object({ type: z.literal('tableCell'), attrs: span.optional(), content: blocks }),
    ...cell('td'),
  },
};

const schemas = Object.values(BLOCKS).map(({ schema }) => schema as z.ZodType<Block>);

/** One block, checked. */
export const BlockSchema: z.ZodType<Block> = z.lazy(() => z.discriminatedUnion('type', schemas as never));

/** What is to be known of a block. */
export const blockRow = (block: Block): BlockRow<Block> => BLOCKS[block.type] as unknown as BlockRow<Block>;

/** The element of HTML that stands for a block. */
export const elementOf = (block: Block): BlockElement => blockRow(block).element(block);
