import {
  canonical,
  isLine,
  seenMarks,
  type Block,
  type Inline,
  type Mark,
  type Passage,
} from '#core/passage';
import { merge3 } from './merge3';

/** The marks that a reader sees: whose placement words belong to, or which condition, is no change of them. */

/** A line in steps that are changed as a whole: words, spaces, signs, blanks. */
function stepsOf(line: readonly Inline[]): Inline[] {
  return line.flatMap((inline): Inline[] => {
    if (inline.type !== 'text') return [inline];
    const words = inline.text.match(/[\p{L}\p{M}\p{N}]+(?:['’-][\p{L}\p{M}\p{N}]+)*|\s+|./gsu) ?? [];
    return words.map((text) => ({ ...inline, text }));
  });
}

/** Two steps are the same where a reader would take them for it: a blank is known by what it asks for, not by its answer. */
function keyOfStep(inline: Inline): string {
  const marks = JSON.stringify(seenMarks(inline.marks));
  switch (inline.type) {
    case 'text':
      return `t${marks}${inline.text}`;
    case 'blank':
      return `b${inline.attrs.field} ${inline.attrs.form}`;
    case 'folded':
      return 'folded';
    default:
      return `${inline.type}${JSON.stringify('attrs' in inline ? inline.attrs : null)}`;
  }
}

/** A block by what a reader sees of it. */
const keyOfBlock = (block: Block): string =>
  JSON.stringify(block, (key, value: unknown) => {
    if (key === 'marks') return seenMarks(value as Mark[]);
    return value;
  });

/** Two changes of a passage made one, and whether both touched the same words. */
export interface MergedPassage {
  passage: Passage;
  /** How many stretches both changed, and differently: there the passage has mine. */
  clashes: number;
}

/**
 * Two passages that were both made from `base` made one, in canonical form: a reader's own changes stay, and what the other
 * changed elsewhere comes, word by word. Where both changed the same words mine stand, and are counted.
 */
export function mergedPassage(
  ...made: readonly [base: Passage, mine: Passage, theirs: Passage]
): MergedPassage {
  // In one form: an editor writes the same passage otherwise than the store.
  const [base, mine, theirs] = made.map(canonical) as [Passage, Passage, Passage];
  let clashes = 0;
  const lines = (was: readonly Inline[], my: readonly Inline[], their: readonly Inline[]): Inline[] =>
    merge3([stepsOf(was), stepsOf(my), stepsOf(their)], keyOfStep, (old, own, other) => {
      // Both put something in at one place, and neither took anything out: both stand.
      if (old.length === 0) return [...other, ...own];
      clashes += 1;
      return own;
    });
  const blocks = (was: readonly Block[], my: readonly Block[], their: readonly Block[]): readonly Block[] => {
    if (was.length === 0) return [...their, ...my];
    const alike = was.length === my.length && my.length === their.length;
    const kinds = my.map(({ type }, at) => type === was[at]?.type && type === their[at]?.type);
    if (!alike || kinds.includes(false)) {
      clashes += 1;
      return my;
    }
    return my.map((block, at) => {
      const [b, t] = [was[at]!, their[at]!];
      if (isLine(block) && isLine(b) && isLine(t)) {
        const content = lines(b.content ?? [], block.content ?? [], t.content ?? []);
        return { ...block, content };
      }
      if ('content' in block && 'content' in b && 'content' in t) {
        const content = merge3(
          [b.content as Block[], block.content as Block[], t.content as Block[]],
          keyOfBlock,
          blocks,
        );
        return { ...block, content } as Block;
      }
      return block;
    });
  };
  const content = merge3([base.content, mine.content, theirs.content], keyOfBlock, blocks);
  // Neighbouring words of the same marks are one run again.
  return {
    passage: canonical({ type: 'doc', content: content.length > 0 ? content : theirs.content }),
    clashes,
  };
}
