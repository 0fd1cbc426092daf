import {
  comparePoints,
  type Block,
  type Inline,
  type Mark,
  type Passage,
  type TextPoint,
} from '#core/passage';
import type { Span, SubmissionBlock, Submission } from './submission';

/** How a submission is written out: what stands for what is no words, and signs that stand at places of it. */
export interface WrittenOut {
  placeWords: (span: Extract<Span, { place: unknown }>) => string;
  signs: readonly { at: TextPoint; text: string }[];
}

const KEPT: Partial<Record<string, Mark['type']>> = {
  bold: 'bold',
  italic: 'italic',
  underline: 'underline',
  strike: 'strike',
  code: 'code',
  deleted: 'strike',
};

const inlinesOf = (text: string, marks: Mark[]): Inline[] =>
  text.split(/(\n)/).flatMap((part): Inline[] => {
    if (part === '') return [];
    return part === '\n'
      ? [{ type: 'hardBreak' }]
      : [{ type: 'text', text: part, ...(marks.length > 0 && { marks }) }];
  });

/** The words of a block with signs among them, at the places where these stand. */
function lineOf(
  { spans }: SubmissionBlock,
  signs: readonly { at: number; text: string }[],
  out: WrittenOut,
): Inline[] {
  const line: Inline[] = [];
  let done = 0;
  const rest = [...signs];
  const put = (text: string, marks: Mark[]) => line.push(...inlinesOf(text, marks));
  for (const span of spans) {
    const marks = (span.marks ?? []).flatMap((name): Mark[] => {
      const type = KEPT[name];
      return type ? [{ type } as Mark] : [];
    });
    const length = 'text' in span ? span.text.length : 1;
    let from = 0;
    while (rest[0] && rest[0].at <= done + length) {
      const { at, text } = rest.shift()!;
      if ('text' in span && at - done > from) put(span.text.slice(from, at - done), marks);
      else if (!('text' in span) && at > done && from === 0) put(out.placeWords(span), marks);
      from = Math.max(from, at - done);
      put(text, []);
    }
    if ('text' in span) put(span.text.slice(from), marks);
    else if (from === 0) put(out.placeWords(span), marks);
    done += length;
  }
  for (const { text } of rest) put(text, []);
  return line;
}

/** An item, or a list, of a tree that is being built. */
interface List {
  level: number;
  block: Extract<Block, { type: 'bulletList' | 'orderedList' }>;
}

const isNumbered = (label: string | undefined): boolean => /^\d+[.)]?$/.test(label ?? '');

/** Lists of the items that follow each other, those that stand deeper within those before. */
function listsOf(items: readonly { block: SubmissionBlock; line: Block }[]): Block[] {
  const top: Block[] = [];
  const open: List[] = [];
  for (const { block, line } of items) {
    const level = block.level ?? 0;
    while (open.length > 0 && open.at(-1)!.level > level) open.pop();
    if (!open.at(-1) || open.at(-1)!.level < level) {
      const list: List['block'] = isNumbered(block.label)
        ? { type: 'orderedList', attrs: { start: parseInt(block.label!, 10) }, content: [] }
        : { type: 'bulletList', content: [] };
      const around = open.at(-1)?.block.content.at(-1);
      if (around && 'content' in around) (around.content as Block[]).push(list);
      else top.push(list);
      open.push({ level, block: list });
    }
    open.at(-1)!.block.content.push({ type: 'listItem', content: [line] });
  }
  return top;
}

/** A table of the cells that follow each other; a cell of several lines has them one beneath the other. */
function tableOf(cells: readonly { block: SubmissionBlock; line: Block }[]): Block {
  const rows = new Map<number, Map<number, Block[]>>();
  for (const { block, line } of cells) {
    const { row, column } = block.cell!;
    const own = rows.get(row) ?? new Map<number, Block[]>();
    rows.set(row, own);
    own.set(column, [...(own.get(column) ?? []), line]);
  }
  const content = [...rows.values()].map((own): Block => ({
    type: 'tableRow',
    content: [...own.values()].map((lines) => ({ type: 'tableCell', content: lines })),
  }));
  return { type: 'table', content };
}

/** A submission as a passage: for formats that are made of it. Each of its blocks is a line there, in the same order. */
export function passageOfSubmission({ blocks }: Submission, out: WrittenOut): Passage {
  const signs = [...out.signs].sort((a, b) => comparePoints(a.at, b.at));
  const lines = blocks.map((block, index) => {
    const own = signs.filter(({ at }) => at.block === index).map(({ at, text }) => ({ at: at.at, text }));
    const content = lineOf(block, own, out);
    const line: Block =
      block.kind === 'heading' && !block.cell
        ? { type: 'heading', attrs: { level: Math.min(block.level ?? 1, 6) }, content }
        : { type: 'paragraph', content };
    return { block, line };
  });
  const content: Block[] = [];
  for (let at = 0; at < lines.length;) {
    const { block, line } = lines[at]!;
    const same = (other: SubmissionBlock) =>
      block.cell ? other.cell?.table === block.cell.table : !other.cell && other.kind === block.kind;
    let end = at + 1;
    while (end < lines.length && same(lines[end]!.block)) end += 1;
    const run = lines.slice(at, end);
    if (block.cell) content.push(tableOf(run));
    else if (block.kind === 'item') content.push(...listsOf(run));
    else if (block.kind === 'quote')
      content.push({ type: 'blockquote', content: run.map((one) => one.line) });
    else {
      content.push(line);
      end = at + 1;
    }
    at = end;
  }
  return { type: 'doc', content: content.length > 0 ? content : [{ type: 'paragraph' }] };
}
