import { isLine, markRow, type Block, type Inline, type Mark, type Passage } from '#core/passage';
import { edgesKept, escaped } from './escapes';
import { nameFor, type NotationNames } from './names';

/** What opens and closes a mark; null for marks that only drafts have. */
function bracketsOf(mark: Mark): [string, string] | null {
  switch (mark.type) {
    case 'bold':
      return ['**', '**'];
    case 'link':
      return [`[link <${escaped(mark.attrs.href, /[<>]/g)}>: `, ']'];
    case 'when':
      return [`[when ${escaped(mark.attrs.condition, /[():\]]/g)}: `, ']'];
    default:
      return markRow(mark.type).inBracket ? [`[${mark.type}: `, ']'] : null;
  }
}

const key = (mark: Mark) => JSON.stringify(mark);
const marksOf = (inline: Inline): Mark[] => {
  const kept = (inline.marks ?? []).filter((mark) => bracketsOf(mark) !== null);
  return kept.filter((mark, at) => kept.findIndex((other) => key(other) === key(mark)) === at);
};

const inBracket = (words: string) => edgesKept(escaped(words, /[[\]|]/g));

function blankText(inline: Extract<Inline, { type: 'blank' }>, known: NotationNames): string {
  const { field, form } = inline.attrs;
  const name = escaped(nameFor(known.fields, field), /[{}|]/g);
  return form === 'as-is' ? `{${name}}` : `{${name}|${form}}`;
}

/** Words with the signs of the notation spelt out. A star is one only beside another. */
const wordsText = (words: string) => escaped(words, /[{}[\]|]|\*(?=\*|$)|(?<=^|\*)\*/g);

/** One inline, without its marks; a break as a line end, where `breaks` lets it. */
function inlineText(inline: Inline, known: NotationNames): string {
  switch (inline.type) {
    case 'text':
      return wordsText(inline.text);
    case 'blank':
      return blankText(inline, known);
    case 'hardBreak':
      return '\n';
    case 'include':
      return `[include ${inBracket(inline.attrs.entry)}]`;
    case 'caretMark':
      return '[caret]';
    case 'timeCode':
      return inline.attrs.unclear ? '[time unclear]' : '[time]';
    case 'number': {
      const { list, form, id } = inline.attrs;
      return `[number ${inBracket(list)} | ${form} | ${inBracket(id)}]`;
    }
    case 'reference':
      return `[see ${inBracket(inline.attrs.to)}]`;
    case 'folded':
      // Only drafts fold; in a wording its words would stand.
      return inline.attrs.content.map((one) => inlineText(one, known)).join('');
  }
}

/** A line's inlines as one text: marks opened and closed around them, the outermost first. */
function marked(line: readonly Inline[], known: NotationNames): string {
  let out = '';
  let open: Mark[] = [];
  const close = (count: number) => {
    while (open.length > count) out += bracketsOf(open.pop()!)![1];
  };
  for (const inline of line) {
    const marks = marksOf(inline);
    let shared = 0;
    while (shared < open.length && shared < marks.length && key(open[shared]!) === key(marks[shared]!))
      shared += 1;
    close(shared);
    for (const mark of marks.slice(shared)) out += bracketsOf(mark)![0];
    open = [...marks];
    // The space behind a bracket's colon must not end a line.
    out += inline.type === 'hardBreak' && out.endsWith(': ') ? '[break]' : inlineText(inline, known);
  }
  close(0);
  return out;
}

/** Signs that begin something at a line's start, where words begin with them by chance. */
const BEGINS = /^(?=#{1,6} |- |>|\d+\. |:|\||---$|==|--)/;

/** A line's inlines as lines of text. A break is a line end, and spelt out where that would not be seen. */
function lineText(line: readonly Inline[], known: NotationNames, breaks: boolean): string[] {
  if (line.length === 0) return ['[]'];
  const text = marked(line, known);
  const spelt = breaks ? text.replace(/^\n|\n$|\n(?=\n)/g, '[break]') : text.replace(/\n/g, '[break]');
  return spelt.split('\n').map((one) => edgesKept(one).replace(BEGINS, '\\'));
}

const indented = (lines: readonly string[], lead: string): string[] =>
  lines.map((line, at) => (at === 0 ? lead + line : line === '' ? '' : ' '.repeat(lead.length) + line));

const below = (lines: readonly string[]): string[] => lines.map((line) => (line === '' ? '' : `  ${line}`));

const itemLines = (item: Block, lead: string, known: NotationNames): string[] =>
  indented('content' in item ? blocksLines(item.content as Block[], known) : [], lead);

type Cell = Extract<Block, { type: 'tableCell' | 'tableHeader' }>;
const isCell = (block: Block): block is Cell => block.type === 'tableCell' || block.type === 'tableHeader';

const spanOf = ({ attrs }: Cell) => {
  const { colspan = 1, rowspan = 1, colwidth } = attrs ?? {};
  const size = colspan === 1 && rowspan === 1 ? '' : ` ${colspan}x${rowspan}`;
  return size + (colwidth ? ` widths ${colwidth.join(' ')}` : '');
};

/** A cell that one line can hold: a single paragraph, no wider than its place. */
function simpleCell(block: Block, known: NotationNames): string | null {
  if (!isCell(block) || spanOf(block) !== '' || block.content.length !== 1) return null;
  const [only] = block.content;
  if (only!.type !== 'paragraph') return null;
  const words = only.content?.length ? lineText(only.content, known, false)[0]! : '';
  return block.type === 'tableHeader' ? `# ${words}` : words.replace(/^#/, '\\#');
}

function tableLines(table: Extract<Block, { type: 'table' }>, known: NotationNames): string[] {
  const rows = table.content.map((row) =>
    'content' in row ? (row.content as Block[]).map((cell) => simpleCell(cell, known)) : [null],
  );
  if (rows.every((row) => row.length > 0 && !row.includes(null)))
    return rows.map((row) => `| ${row.join(' | ')} |`);
  const cellLines = (cell: Block) =>
    isCell(cell)
      ? [
          `:${cell.type === 'tableHeader' ? 'head' : 'cell'}${spanOf(cell)}`,
          ...below(blocksLines(cell.content, known)),
        ]
      : [];
  const rowLines = (row: Block) =>
    'content' in row ? [':row', ...below((row.content as Block[]).flatMap(cellLines))] : [];
  return [':table', ...below(table.content.flatMap(rowLines))];
}

function orderedLines(list: Extract<Block, { type: 'orderedList' }>, known: NotationNames): string[] {
  const start = list.attrs?.start ?? 1;
  const items = list.content.flatMap((item, at) => itemLines(item, `${start + at}. `, known));
  return list.attrs?.type ? [`:ordered ${list.attrs.type}`, ...below(items)] : items;
}

function blockLines(block: Block, known: NotationNames): string[] {
  if (isLine(block)) {
    if (block.type === 'heading')
      return [`${'#'.repeat(block.attrs.level)} ${lineText(block.content ?? [], known, false)[0]}`];
    return lineText(block.content ?? [], known, true);
  }
  switch (block.type) {
    case 'bulletList':
      return block.content.flatMap((item) => itemLines(item, '- ', known));
    case 'orderedList':
      return orderedLines(block, known);
    case 'blockquote':
      return blocksLines(block.content, known).map((line) => (line === '' ? '>' : `> ${line}`));
    case 'horizontalRule':
      return ['---'];
    case 'table':
      return tableLines(block, known);
    case 'box':
      return [
        `:box ${edgesKept(escaped(block.attrs.name, /(?!)/g))}`,
        ...below(blocksLines(block.content, known)),
      ];
    case 'listItem':
    case 'tableRow':
    case 'tableHeader':
    case 'tableCell':
      return blocksLines(block.content, known);
  }
}

function blocksLines(blocks: readonly Block[], known: NotationNames): string[] {
  return blocks.flatMap((block, at) => [...(at > 0 ? [''] : []), ...blockLines(block, known)]);
}

/**
 * A wording as plain text in the compact notation (docs/NOTATION.md); `readPassage` makes the same passage of it.
 * What only a draft has (placements, answers, words folded away) is left out.
 */
export const writePassage = (passage: Passage, known: NotationNames): string =>
  blocksLines(passage.content, known).join('\n');
