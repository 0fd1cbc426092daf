import { Schema, type MarkSpec, type Node as ReadingNode } from '@tiptap/pm/model';
import type { TextPoint, TextRange } from '#core/passage';
import {
  paragraphNumbers,
  type Span,
  type SpanMark,
  type Submission,
  type SubmissionBlock,
} from '#core/submission';

const MARK_TAGS: Record<SpanMark, string> = {
  ...{ bold: 'strong', italic: 'em', underline: 'u', strike: 's', code: 'code', link: 'u' },
  ...{ super: 'sup', sub: 'sub', inserted: 'ins', deleted: 'del' },
};

const TAGS = { paragraph: 'p', item: 'p', quote: 'blockquote', code: 'pre', note: 'p' } as const;

const tagOf = ({ kind, level }: Pick<SubmissionBlock, 'kind' | 'level'>): string =>
  // Beneath the title of the page, which is the case's.
  kind === 'heading' ? `h${Math.min((level ?? 1) + 1, 6)}` : TAGS[kind];

/** What a line of a submission is on the page: the block it is of, and its number as a paragraph. */
interface LineAttrs {
  block: SubmissionBlock;
  index: number;
  number: number | null;
}

/** A submission as it stands on the page, to be read. Flat lines and tables of lines; places that are no words are one unit each. */
const schema = new Schema({
  nodes: {
    doc: { content: '(line | table)+' },
    line: {
      content: 'inline*',
      attrs: { block: { default: { kind: 'paragraph' } }, index: { default: 0 }, number: { default: null } },
      toDOM: (node) => {
        const { block, number } = node.attrs as LineAttrs;
        const { kind, label, level, rtl } = block;
        return [
          tagOf(block),
          {
            class: `line is-${kind}`,
            ...(number !== null && { 'data-number': String(number) }),
            ...(label && { 'data-label': label }),
            ...(kind === 'item' && { 'data-level': String(level ?? 0) }),
            ...(rtl && { dir: 'rtl' }),
          },
          0,
        ];
      },
    },
    table: { content: 'row+', toDOM: () => ['table', ['tbody', 0]] },
    row: { content: 'cell+', toDOM: () => ['tr', 0] },
    cell: { content: 'line+', toDOM: () => ['td', 0] },
    text: { group: 'inline' },
    place: {
      group: 'inline',
      inline: true,
      atom: true,
      attrs: { kind: { default: 'object' }, name: { default: '' } },
      toDOM: ({ attrs }) => [
        'span',
        { class: `place is-${String(attrs.kind)}`, title: PLACE_NAMES[attrs.kind as string] ?? '' },
        placeWords(String(attrs.kind), String(attrs.name)),
      ],
    },
    /** A page of which no words are known; its name is its number. Drawn by `pagePicture`. */
    page: {
      group: 'inline',
      inline: true,
      atom: true,
      attrs: { name: { default: '' } },
      toDOM: ({ attrs }) => ['span', { class: 'place is-page' }, `Page ${String(attrs.name)}`],
    },
  },
  marks: Object.fromEntries(
    Object.entries(MARK_TAGS).map(([name, tag]): [string, MarkSpec] => [
      name,
      { excludes: '', toDOM: () => [tag, 0] },
    ]),
  ),
});

const PLACE_NAMES: Record<string, string> = {
  picture: 'Picture',
  chart: 'Chart',
  formula: 'Formula',
  object: 'Object',
  'text-box': 'Text box',
};

const placeWords = (kind: string, name: string): string => {
  if (kind === 'note') return name;
  const what = PLACE_NAMES[kind] ?? kind;
  return name === '' ? what : `${what}: ${name}`;
};

const inlineOf = (span: Span): ReadingNode => {
  const marks = (span.marks ?? []).map((name) => schema.marks[name]!.create());
  if ('text' in span) return schema.text(span.text, marks);
  if (span.place === 'page') return schema.nodes.page.create({ name: span.name }, null, marks);
  return schema.nodes.place.create({ kind: span.place, name: span.name }, null, marks);
};

/** The lines of one table, by row and column. */
function tableOf(lines: readonly { node: ReadingNode; block: SubmissionBlock }[]): ReadingNode {
  const rows: ReadingNode[] = [];
  let cells: ReadingNode[] = [];
  let held: ReadingNode[] = [];
  lines.forEach(({ node, block }, at) => {
    held.push(node);
    const next = lines[at + 1]?.block.cell;
    const { row, column } = block.cell!;
    if (next?.row === row && next.column === column) return;
    cells.push(schema.nodes.cell.create(null, held));
    held = [];
    if (next?.row === row) return;
    rows.push(schema.nodes.row.create(null, cells));
    cells = [];
  });
  return schema.nodes.table.create(null, rows);
}

/** A submission as a document to be read, and where each of its blocks begins there. */
export interface ReadingDocument {
  doc: ReadingNode;
  /** Of each block the position of its first unit. */
  starts: readonly number[];
}

/** Makes a document of a submission. An empty one has one empty line. */
export function readingDocument(submission: Submission): ReadingDocument {
  const numbers = paragraphNumbers(submission);
  const blocks: SubmissionBlock[] =
    submission.blocks.length > 0 ? submission.blocks : [{ kind: 'paragraph', spans: [] }];
  const lines = blocks.map((block, index) => ({
    block,
    node: schema.nodes.line.create(
      { block: { ...block, spans: [] }, index, number: numbers[index] ?? null },
      block.spans.map(inlineOf),
    ),
  }));
  const content: ReadingNode[] = [];
  for (let at = 0; at < lines.length;) {
    const { table } = lines[at]!.block.cell ?? {};
    let end = at + 1;
    if (table === undefined) content.push(lines[at]!.node);
    else {
      while (lines[end]?.block.cell?.table === table) end += 1;
      content.push(tableOf(lines.slice(at, end)));
    }
    at = end;
  }
  const doc = schema.nodes.doc.create(null, content);
  const starts: number[] = [];
  doc.descendants((node, pos) => {
    if (node.type.name !== 'line') return true;
    starts.push(pos + 1);
    return false;
  });
  return { doc, starts };
}

/** Where a place of the submission is in the document, as near as can be where it is not there any more. */
export function positionOf({ doc, starts }: ReadingDocument, { block, at }: TextPoint): number {
  const index = Math.min(block, starts.length - 1);
  const start = starts[index]!;
  return start + Math.min(at, doc.resolve(start).parent.content.size);
}

/** The place of the submission that a position of the document is, or that is next to it. */
export function pointAt({ doc, starts }: ReadingDocument, pos: number): TextPoint {
  const at = doc.resolve(Math.min(Math.max(pos, 0), doc.content.size));
  if (at.parent.type.name === 'line')
    return { block: (at.parent.attrs as LineAttrs).index, at: at.parentOffset };
  const next = starts.findIndex((start) => start > pos);
  return { block: next < 0 ? starts.length - 1 : next, at: 0 };
}

/** From where to where a stretch of the submission reaches in the document. */
export const positionsOf = (
  reading: ReadingDocument,
  { from, to }: TextRange,
): { from: number; to: number } => ({
  from: positionOf(reading, from),
  to: positionOf(reading, to),
});
