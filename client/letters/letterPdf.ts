import type { Content, ContentText, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces';
import { runsOfFaces } from '#client/faces';
import { lookOf, wordsOfInline, type Block, type Inline, type Passage } from '#core/passage';

/** Words in runs of one face each: what the first part of the face has not stands in another. */
function runsOf(words: string, look: Omit<ContentText, 'text'>): ContentText[] {
  return runsOfFaces(words).map(({ face, text }) => ({
    ...look,
    text,
    ...(face !== 'latin' && { font: face }),
  }));
}

function inlineRuns(inline: Inline, bold: boolean): ContentText[] {
  if (inline.type === 'hardBreak') return [{ text: '\n' }];
  const marks = inline.marks ?? [];
  const look = lookOf(marks);
  const link = marks.find((mark) => mark.type === 'link');
  return runsOf(wordsOfInline(inline), {
    ...((look.bold || bold) && { bold: true }),
    ...(look.italic && { italics: true }),
    ...(look.underlined && { decoration: 'underline' as const }),
    ...(look.struck && { decoration: 'lineThrough' as const }),
    ...(link && { link: link.attrs.href, decoration: 'underline' as const }),
  });
}

const line = (content: readonly Inline[] | undefined, bold = false): ContentText => ({
  // An empty paragraph is as high as one with words.
  text: content && content.length > 0 ? content.flatMap((inline) => inlineRuns(inline, bold)) : ' ',
  margin: [0, 0, 0, 6],
});

const HEADING_PT = [18, 15, 13, 12, 11, 11];

const childrenOf = (block: Block): Block[] => ('content' in block ? (block.content as Block[]) : []);

function cellOf(cell: Block): TableCell {
  const { colspan, rowspan } =
    ('attrs' in cell && (cell.attrs as { colspan?: number; rowspan?: number })) || {};
  return {
    stack: blocksOf(childrenOf(cell), cell.type === 'tableHeader'),
    ...(colspan && colspan > 1 && { colSpan: colspan }),
    ...(rowspan && rowspan > 1 && { rowSpan: rowspan }),
  };
}

/** Rows of as many cells each as the longest has; what a cell over several columns covers stands empty. */
function tableOf(rows: readonly Block[]): Content {
  const body = rows.map((row) =>
    childrenOf(row).flatMap((cell) => {
      const made = cellOf(cell) as { colSpan?: number };
      return [made as TableCell, ...Array.from({ length: (made.colSpan ?? 1) - 1 }, (): TableCell => '')];
    }),
  );
  const width = Math.max(...body.map((row) => row.length));
  return {
    table: {
      body: body.map((row) => [...row, ...Array.from({ length: width - row.length }, (): TableCell => '')]),
    },
    layout: 'lightHorizontalLines',
    margin: [0, 0, 0, 6],
  };
}

function blockOf(block: Block, bold: boolean): Content[] {
  switch (block.type) {
    case 'paragraph':
    case 'turn':
      return [line(block.content, bold)];
    case 'heading':
      return [{ ...line(block.content, true), fontSize: HEADING_PT[block.attrs.level - 1] ?? 11 }];
    case 'bulletList':
      return [{ ul: block.content.map((item) => ({ stack: blocksOf(childrenOf(item), bold) })) }];
    case 'orderedList':
      return [
        {
          ol: block.content.map((item) => ({ stack: blocksOf(childrenOf(item), bold) })),
          start: block.attrs?.start ?? 1,
        },
      ];
    case 'blockquote':
      return [{ stack: blocksOf(block.content, bold), margin: [20, 0, 0, 0] }];
    case 'horizontalRule':
      return [
        { canvas: [{ type: 'line', x1: 0, y1: 0, x2: 451, y2: 0, lineWidth: 0.5 }], margin: [0, 4, 0, 10] },
      ];
    case 'table':
      return [tableOf(block.content)];
    default:
      return blocksOf(childrenOf(block), bold);
  }
}

const blocksOf = (blocks: readonly Block[], bold = false): Content[] =>
  blocks.flatMap((block) => blockOf(block, bold));

const LOOK = { defaultStyle: { font: 'latin', fontSize: 11, lineHeight: 1.25 }, pageSize: 'A4' as const };

/** Finished passages as one PDF, each on a page of its own: A4, in the book face. */
export const pagesAsPdf = (passages: readonly Passage[], title: string): TDocumentDefinitions => ({
  ...LOOK,
  pageMargins: [72, 72, 72, 72],
  info: { title },
  content: passages.map(({ content }, at) => ({
    stack: blocksOf(content),
    ...(at > 0 && { pageBreak: 'before' as const }),
  })),
});

/** How labels stand on a sheet of A4: three beside each other, seven rows, to the edges of the paper. */
const LABELS = { across: 3, down: 7, width: 198.4, height: 120.28 };

/** Address labels as a PDF, 21 on a page of A4 (70 by 42.4 mm each). */
export function labelsAsPdf(labels: readonly (readonly string[])[], title: string): TDocumentDefinitions {
  const { across, down, width, height } = LABELS;
  const rows: TableCell[][] = [];
  for (let at = 0; at < labels.length; at += across)
    rows.push(
      Array.from({ length: across }, (_, column): TableCell => {
        const lines = labels[at + column] ?? [];
        return {
          stack: lines.slice(0, 7).map((words) => ({ text: runsOf(words, {}), noWrap: false })),
          margin: [18, 14, 10, 0],
          fontSize: 10,
        };
      }),
    );
  const pages: Content[] = [];
  for (let at = 0; at < rows.length; at += down)
    pages.push({
      table: {
        widths: Array.from({ length: across }, () => width),
        heights: () => height,
        body: rows.slice(at, at + down),
        dontBreakRows: true,
      },
      layout: {
        ...{ hLineWidth: () => 0, vLineWidth: () => 0 },
        ...{ paddingLeft: () => 0, paddingRight: () => 0, paddingTop: () => 0, paddingBottom: () => 0 },
      },
      ...(at > 0 && { pageBreak: 'before' as const }),
    });
  return { ...LOOK, pageMargins: [0, 0, 0, 0], info: { title }, content: pages };
}
