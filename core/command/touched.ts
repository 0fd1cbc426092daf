import type { TextCommand, Unit } from './command';

/** A place in a text: which paragraph, and how many characters into it. */
export interface TextPlace {
  block: number;
  offset: number;
}

/** A stretch of a text, its end not before its beginning. */
export interface Stretch {
  from: TextPlace;
  to: TextPlace;
}

interface Span {
  from: number;
  to: number;
}

/** Where each unit of a paragraph begins and ends. */
function unitsOf(text: string, unit: Unit): Span[] {
  const all = (pattern: RegExp) =>
    [...text.matchAll(pattern)].map((match) => ({ from: match.index, to: match.index + match[0].length }));
  switch (unit) {
    case 'letter':
      return all(/[^]/gu);
    case 'word':
      return all(/[\p{L}\p{M}\p{N}\uFFFC]+(?:['’-][\p{L}\p{M}\p{N}]+)*/gu);
    case 'line':
      return all(/[^\n]+/g);
    case 'sentence': {
      const segments = new Intl.Segmenter('en', { granularity: 'sentence' }).segment(text);
      return [...segments].map(({ segment, index }) => ({
        from: index,
        to: index + segment.trimEnd().length,
      }));
    }
    case 'paragraph':
      return [{ from: 0, to: text.length }];
  }
}

/** The start of the nth unit to the left of a place, over paragraphs where need be; the text's start at the last. */
function leftOf(
  blocks: readonly string[],
  { block, offset }: TextPlace,
  unit: Unit,
  count: number,
): TextPlace {
  let left = count;
  for (let at = block; at >= 0; at -= 1) {
    const end = at === block ? offset : blocks[at]!.length;
    const before = unitsOf(blocks[at]!, unit).filter(({ from }) => from < end);
    if (before.length >= left) return { block: at, offset: before[before.length - left]!.from };
    left -= before.length;
  }
  return { block: 0, offset: 0 };
}

function rightOf(
  blocks: readonly string[],
  { block, offset }: TextPlace,
  unit: Unit,
  count: number,
): TextPlace {
  let right = count;
  for (let at = block; at < blocks.length; at += 1) {
    const start = at === block ? offset : 0;
    const after = unitsOf(blocks[at]!, unit).filter(({ to }) => to > start);
    if (after.length >= right) return { block: at, offset: after[right - 1]!.to };
    right -= after.length;
  }
  const last = blocks.length - 1;
  return { block: last, offset: blocks[last]!.length };
}

/** The edge of the unit a place is in, or right behind. */
function edgeOf(
  blocks: readonly string[],
  { block, offset }: TextPlace,
  unit: Unit,
  way: 'start' | 'end',
): TextPlace {
  const units = unitsOf(blocks[block]!, unit);
  if (way === 'start') {
    const own = units.filter(({ from }) => from < offset).at(-1);
    return { block, offset: own?.from ?? 0 };
  }
  const own = units.find(({ to }) => to > offset);
  return { block, offset: own?.to ?? blocks[block]!.length };
}

/**
 * What a command touches, from the caret on: the stretch it moves over, selects, copies, cuts, deletes or capitalises.
 * For swap and join, the two units before the caret. Null where there is nothing of the kind, as two words to swap.
 */
export function touched(blocks: readonly string[], caret: TextPlace, command: TextCommand): Stretch | null {
  const { verb, unit, way, count } = command;
  if (verb === 'paste') return { from: caret, to: caret };
  if (verb === 'swap' || verb === 'join') {
    if (unit === 'paragraph')
      return caret.block > 0
        ? {
            from: { block: caret.block - 1, offset: 0 },
            to: { block: caret.block, offset: blocks[caret.block]!.length },
          }
        : null;
    const before = unitsOf(blocks[caret.block]!, unit).filter(({ to }) => to <= caret.offset);
    if (before.length < 2) return null;
    const [first, second] = before.slice(-2);
    return {
      from: { block: caret.block, offset: first!.from },
      to: { block: caret.block, offset: second!.to },
    };
  }
  const goal =
    way === 'start' || way === 'end'
      ? edgeOf(blocks, caret, unit, way)
      : way === 'back' || way === 'up'
        ? leftOf(blocks, caret, unit, count)
        : rightOf(blocks, caret, unit, count);
  const isBefore = goal.block < caret.block || (goal.block === caret.block && goal.offset < caret.offset);
  return isBefore ? { from: goal, to: caret } : { from: caret, to: goal };
}

/** Where words begin in a text: what a capital goes to. */
export const wordStarts = (text: string): number[] => unitsOf(text, 'word').map(({ from }) => from);

/** The first two units of a text, as what is swapped, or joined by dropping what stands between them; null for fewer. */
export function pairIn(text: string, unit: Unit): { first: Span; second: Span } | null {
  const [first, second] = unitsOf(text, unit);
  return first && second ? { first, second } : null;
}
