import { BLOCKS, type Block } from './blocks';
import type { Inline } from './inlines';
import type { Passage } from './passage';

/** The inlines of one paragraph, heading or turn: the span within which words join. */
export type Line = readonly Inline[];

/** A block that holds inlines itself. */
export type LineBlock = Extract<Block, { type: 'paragraph' | 'heading' | 'turn' }>;

/** True for the blocks that hold inlines themselves. */
export function isLine(block: Block): block is LineBlock {
  return BLOCKS[block.type].holds === 'line';
}

/** Stands for an inline that is no text, so that offsets count one for each. */
const OBJECT = '\uFFFC';

/** The text of a line with one placeholder character for each blank or break. */
export function lineText(line: Line): string {
  return line.map((inline) => (inline.type === 'text' ? inline.text : OBJECT)).join('');
}

function collect(block: Block, into: Line[]): void {
  if (isLine(block)) into.push(block.content ?? []);
  else if ('content' in block) for (const child of block.content) collect(child, into);
}

/** All lines of a passage, in reading order. */
export function linesOf(passage: Passage): Line[] {
  const lines: Line[] = [];
  for (const block of passage.content) collect(block, lines);
  return lines;
}

function mapBlock(block: Block, change: (line: Line) => Line): Block {
  if (isLine(block)) {
    const before = block.content ?? [];
    const after = change(before);
    return after === before ? block : { ...block, content: [...after] };
  }
  if (!('content' in block)) return block;
  const content = mapBlocks(block.content, change);
  return content === block.content ? block : { ...block, content };
}

function mapBlocks(blocks: Block[], change: (line: Line) => Line): Block[] {
  const mapped = blocks.map((block) => mapBlock(block, change));
  return mapped.every((block, index) => block === blocks[index]) ? blocks : mapped;
}

/** The passage with every line put through `change`; the same object when no line changed. */
export function mapLines(passage: Passage, change: (line: Line) => Line): Passage {
  const content = mapBlocks(passage.content, change);
  return content === passage.content ? passage : { ...passage, content };
}
