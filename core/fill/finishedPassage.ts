import type { DraftDocument } from '#core/draft';
import { cleaned, NEW_TRANSCRIPT, withLabels, type Transcript } from '#core/transcript';
import {
  isLine,
  seenMarks,
  textRun,
  wordsOfInline,
  type Block,
  type Inline,
  type Mark,
  type LineBlock,
  type Passage,
} from '#core/passage';

const sameMarks = (a: Inline, b: Inline) => JSON.stringify(a.marks ?? []) === JSON.stringify(b.marks ?? []);

/** Words as inlines: a line end in an answer becomes a line break. */
function wordsAsInlines(words: string, marks: readonly Mark[] | undefined): Inline[] {
  const run = (line: string) => textRun(line, marks?.length ? [...marks] : undefined);
  if (!words.includes('\n')) return run(words);
  return words
    .split('\n')
    .flatMap((line, at) => (at === 0 ? run(line) : [{ type: 'hardBreak' as const }, ...run(line)]));
}

/** The inlines that one of a draft becomes for its reader. */
function finishInline(inline: Inline): Inline[] {
  const marks = seenMarks(inline.marks);
  if (inline.type === 'hardBreak') return [{ type: 'hardBreak' }];
  const words = wordsOfInline(inline);
  return inline.type === 'blank' ? wordsAsInlines(words, marks) : textRun(words, marks);
}

function finishLine(line: readonly Inline[]): Inline[] {
  const finished: Inline[] = [];
  for (const next of line.flatMap(finishInline)) {
    const last = finished[finished.length - 1];
    if (next.type === 'text' && last?.type === 'text' && sameMarks(last, next)) {
      finished[finished.length - 1] = { ...last, text: last.text + next.text };
    } else finished.push(next);
  }
  return finished;
}

/** True for a line in which every word was an answer that has been left out. */
const leftOut = (before: readonly Inline[], after: readonly Inline[]) =>
  before.some((inline) => inline.type === 'blank' || inline.type === 'folded') &&
  after.every((i) => i.type === 'text' && i.text.trim() === '');

/** What a paragraph or heading reads like when finished; null when everything in it was left out. */
export type FinishLine = (block: LineBlock) => Inline[] | null;

/** A paragraph of what was finished, as an editor writes one without any. */
export const finishedParagraph = (content: Inline[]): Block =>
  content.length > 0 ? { type: 'paragraph', content } : { type: 'paragraph' };

/** Finished blocks as a whole, which has an empty paragraph at least. */
export const finishedWhole = (content: Block[]): Passage => ({
  type: 'doc',
  content: content.length > 0 ? content : [{ type: 'paragraph' }],
});

function finishBlock(block: Block, finish: FinishLine): Block | null {
  if (isLine(block)) {
    const content = finish(block);
    if (content === null) return null;
    return block.type === 'paragraph' ? finishedParagraph(content) : { ...block, content };
  }
  if (!('content' in block)) return block;
  const content = finishAll(block.content, finish);
  // A table cell must hold a block; a list, item or quote left without any is left out itself.
  if (content.length === 0 && (block.type === 'tableCell' || block.type === 'tableHeader'))
    return { ...block, content: [{ type: 'paragraph' }] };
  if (block.type === 'tableRow' && isEmptied(block, content)) return null;
  return content.length === 0 ? null : { ...block, content };
}

/** A cell with an empty paragraph alone: an editor writes that without content, filling with none in it. */
function isBare(cell: Block): boolean {
  const [only, ...others] = 'content' in cell ? ((cell.content ?? []) as Block[]) : [];
  return others.length === 0 && only?.type === 'paragraph' && (only.content ?? []).length === 0;
}

/** True for a row of which all was left out: one that was empty from the start stays. */
const isEmptied = (before: Block, after: readonly Block[]) =>
  after.every(isBare) && !('content' in before && (before.content as Block[]).every(isBare));

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
  return finishedWhole(finishAll(blocks, finish));
}

/**
 * The text as its reader gets it: blanks become their words, the marks of placements go, and paragraphs or
 * list items of which everything was left out go with them; turns have their labels, and a clean transcript is without its fillers. The model to copy, print and export.
 */
export function finishedPassage(whole: Passage | DraftDocument): Passage {
  const transcript = transcriptIn(whole);
  const passage = transcript.clean ? cleaned(whole) : whole;
  const finished = finishBlocks(passage.content, (block) => {
    const before = block.content ?? [];
    const content = finishLine(before);
    return leftOut(before, content) ? null : content;
  });
  const hasTurns = finished.content.some(({ type }) => type === 'turn');
  return hasTurns ? withLabels(finished, transcript) : finished;
}

const transcriptIn = (passage: Passage | DraftDocument): Transcript =>
  ('attrs' in passage ? passage.attrs.transcript : undefined) ?? NEW_TRANSCRIPT;
