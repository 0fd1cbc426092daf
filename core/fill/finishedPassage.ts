import {
  isLine,
  textRun,
  type Block,
  type Inline,
  type Mark,
  type LineBlock,
  type Passage,
} from '#core/passage';

const readerMarks = (marks: readonly Mark[] | undefined) =>
  (marks ?? []).filter((mark) => mark.type !== 'placed');

const sameMarks = (a: Inline, b: Inline) => JSON.stringify(a.marks ?? []) === JSON.stringify(b.marks ?? []);

function finishLine(line: readonly Inline[]): Inline[] {
  const finished: Inline[] = [];
  for (const inline of line) {
    const marks = readerMarks(inline.marks);
    const words = inline.type === 'text' ? inline.text : inline.type === 'blank' ? inline.attrs.text : '';
    const next = inline.type === 'hardBreak' ? ({ type: 'hardBreak' } as const) : textRun(words, marks)[0];
    if (!next) continue;
    const last = finished[finished.length - 1];
    if (next.type === 'text' && last?.type === 'text' && sameMarks(last, next)) {
      finished[finished.length - 1] = { ...last, text: last.text + next.text };
    } else finished.push(next);
  }
  return finished;
}

/** True for a line in which every word was an answer that has been left out. */
const leftOut = (before: readonly Inline[], after: readonly Inline[]) =>
  before.some((inline) => inline.type === 'blank') &&
  after.every((i) => i.type === 'text' && i.text.trim() === '');

/** What a paragraph or heading reads like when finished; null when everything in it was left out. */
export type FinishLine = (block: LineBlock) => Inline[] | null;

function finishBlock(block: Block, finish: FinishLine): Block | null {
  if (isLine(block)) {
    const content = finish(block);
    if (content === null) return null;
    if (block.type === 'heading') return { type: 'heading', attrs: block.attrs, content };
    return content.length > 0 ? { type: 'paragraph', content } : { type: 'paragraph' };
  }
  if (!('content' in block)) return block;
  const content = finishAll(block.content, finish);
  // A table cell must hold a block; a list, item or quote left without any is left out itself.
  if (content.length === 0 && block.type.startsWith('table'))
    return { ...block, content: [{ type: 'paragraph' }] };
  return content.length === 0 ? null : { ...block, content };
}

function finishAll(blocks: readonly Block[], finish: FinishLine): Block[] {
  const finished: Block[] = [];
  for (const block of blocks) {
    const kept = finishBlock(block, finish);
    if (kept) finished.push(kept);
  }
  return finished;
}

/** Blocks with their lines finished; what is left without any line goes, but for an empty paragraph at least. */
export function finishBlocks(blocks: readonly Block[], finish: FinishLine): Passage {
  const content = finishAll(blocks, finish);
  return { type: 'doc', content: content.length > 0 ? content : [{ type: 'paragraph' }] };
}

/**
 * The text as its reader gets it: blanks become their words, the marks of placements go, and paragraphs or
 * list items of which everything was left out go with them. The model to copy, print and export.
 */
export function finishedPassage(passage: Passage): Passage {
  return finishBlocks(passage.content, (block) => {
    const before = block.content ?? [];
    const content = finishLine(before);
    return leftOut(before, content) ? null : content;
  });
}
