import { commentsOf, placementOf, textsOf, type DraftDocument } from '#core/draft';
import { linesOf, type Inline, type Line, type Passage } from '#core/passage';

/** Stands for a blank, a number or a reference. */
export const NODE = '\uFFFC';

/** The words of an inline; those of an optional passage that does not stand as if it stood. */
function textOf(inline: Inline, fields: ReadonlySet<string>): string {
  switch (inline.type) {
    case 'text':
      return inline.text;
    case 'blank':
      // Asked without a place in the wording, for a condition or a formula: also where its own place is folded away.
      return inline.attrs.form !== 'silent' && fields.has(inline.attrs.field) ? NODE : '';
    case 'folded':
      return inline.attrs.content.map((one) => textOf(one, fields)).join('');
    case 'number':
    case 'reference':
      return NODE;
    case 'hardBreak':
      return '\u2028';
    default:
      return '';
  }
}

/** The fields that have a blank in a wording. */
const fieldsIn = (passage: Passage): Set<string> =>
  new Set(
    linesOf(passage)
      .flat()
      .flatMap((inline) => (inline.type === 'blank' ? [inline.attrs.field] : [])),
  );

/** Blanks that become blocks of their own, and entries within the entry: what these put down is not told from what was written. */
const IN_BLOCKS = new Set(['bullets', 'table']);
const isPlain = (passage: Passage): boolean =>
  linesOf(passage)
    .flat()
    .every(
      (inline) => inline.type !== 'include' && !(inline.type === 'blank' && IN_BLOCKS.has(inline.attrs.form)),
    );

/** The lines of a wording as they are compared; null where it cannot be compared with what it put down. */
export function wordingLines(passage: Passage): string[] | null {
  if (!isPlain(passage)) return null;
  const fields = fieldsIn(passage);
  return linesOf(passage).map((line) => line.map((inline) => textOf(inline, fields)).join(''));
}

/** From the first inline of a placement to its last. */
function spanOf(line: Line, placement: string): Line {
  const own = line.map((inline) => placementOf(inline) === placement);
  return line.slice(own.indexOf(true), own.lastIndexOf(true) + 1);
}

/**
 * The lines that stand now where a wording was placed, with what was written among its words: in the text of the draft that it
 * was placed into, not where its other parts went. None where it stands no more.
 */
export function placedLines(draft: DraftDocument, placement: string, wording: Passage): string[] {
  const fields = fieldsIn(wording);
  const parts = new Set<string | null>(draft.attrs.placements[placement]?.parts);
  const isOwn = (inline: Inline) => placementOf(inline) === placement;
  const lines =
    [...textsOf(draft), ...commentsOf(draft).map(({ passage }) => ({ name: null, passage }))]
      .filter(({ name }) => !parts.has(name))
      .sort((a, b) => Number(a.name !== null) - Number(b.name !== null))
      .map(({ passage }) => linesOf(passage))
      .find((some) => some.flat().some(isOwn)) ?? [];
  const has = lines.map((line) => line.some(isOwn));
  const [first, last] = [has.indexOf(true), has.lastIndexOf(true)];
  if (first < 0) return [];
  return lines.slice(first, last + 1).map((line, at) => {
    // A line within it that is all by hand was written into it.
    const span = has[first + at] ? spanOf(line, placement) : line;
    return textOfLine(span, fields);
  });
}

/** A line in words, with what was taken beside what shows nothing given back. */
function textOfLine(line: Line, fields: ReadonlySet<string>): string {
  return line
    .map((inline) => {
      const words = textOf(inline, fields);
      if (inline.type !== 'blank' && inline.type !== 'folded') return words;
      const { tookBefore = '', tookAfter = '' } = inline.attrs;
      return tookBefore + words + tookAfter;
    })
    .join('');
}
