import {
  isLine,
  plainText,
  textOfInlines,
  type Block,
  type Inline,
  type Line,
  type Passage,
} from '#core/passage';

/** A block of a document, or a line of one, as its shape is looked for. */
export interface Piece {
  block: Block;
  words: string;
  /** How deep it stands as a heading, from 1; null where it is none. */
  level: number | null;
  /** The block of the document that it is of: lines of one are put together again. */
  of: number;
}

export const passageOfBlocks = (content: readonly Block[]): Passage => ({
  type: 'doc',
  content: [...content],
});

const wordsOf = (block: Block): string => plainText(passageOfBlocks([block])).trim();

/** The blocks of a document that say something, or part what does. */
export function piecesOf({ content }: Passage): Piece[] {
  return content.flatMap((block, of): Piece[] => {
    const words = wordsOf(block);
    if (words === '' && block.type !== 'horizontalRule') return [];
    return [{ block, words, of, level: block.type === 'heading' ? (block.attrs?.level ?? 1) : null }];
  });
}

/** The inlines of a piece that is a line; none of any other. */
export const lineOf = ({ block }: Piece): Line => (isLine(block) ? (block.content ?? []) : []);

/** A piece of a paragraph's inlines. */
export function paragraphPiece(line: readonly Inline[], of: number): Piece {
  const content = trimmedLine(line);
  return { block: { type: 'paragraph', content }, words: textOfInlines(content).trim(), level: null, of };
}

/** A line without spaces and breaks at its ends. */
export function trimmedLine(line: readonly Inline[]): Inline[] {
  const all = [...line];
  const isBare = (inline: Inline | undefined) =>
    inline?.type === 'hardBreak' || (inline?.type === 'text' && inline.text.trim() === '');
  while (isBare(all[0])) all.shift();
  while (isBare(all.at(-1))) all.pop();
  const [first] = all;
  if (first?.type === 'text') all[0] = { ...first, text: first.text.trimStart() };
  const last = all.at(-1);
  if (last?.type === 'text') all[all.length - 1] = { ...last, text: last.text.trimEnd() };
  return all;
}

/** The inlines of a line from an offset (UTF-16, of its text with one unit for all that is no text) on, or up to one. */
export function lineBetween(line: Line, from: number, to = Infinity): Inline[] {
  let at = 0;
  const part: Inline[] = [];
  for (const inline of line) {
    const length = inline.type === 'text' ? inline.text.length : 1;
    if (at + length > from && at < to) {
      if (inline.type !== 'text') part.push(inline);
      else {
        const text = inline.text.slice(Math.max(0, from - at), to - at);
        if (text !== '') part.push({ ...inline, text });
      }
    }
    at += length;
  }
  return part;
}

/** A line in the lines that breaks part it into. */
function brokenLines(line: Line): Inline[][] {
  const lines: Inline[][] = [[]];
  for (const inline of line) {
    if (inline.type === 'hardBreak') lines.push([]);
    else lines.at(-1)!.push(inline);
  }
  return lines;
}

function itemsIn(block: Block, of: number): Piece[] {
  if (isLine(block)) return [paragraphPiece(block.content ?? [], of)];
  return 'content' in block ? block.content.flatMap((child) => itemsIn(child, of)) : [];
}

/** Pieces in their single lines: a paragraph parted at its breaks, and lists in their items where `withItems`. */
export function inLines(pieces: readonly Piece[], withItems: boolean): Piece[] {
  return pieces.flatMap((piece): Piece[] => {
    const { block, of, level } = piece;
    if (level !== null || block.type === 'table') return [piece];
    if (isLine(block))
      return brokenLines(block.content ?? [])
        .map((line) => paragraphPiece(line, of))
        .filter(({ words }) => words !== '');
    const isList = block.type === 'bulletList' || block.type === 'orderedList';
    return isList && withItems ? itemsIn(block, of).filter(({ words }) => words !== '') : [piece];
  });
}

/** Blocks of pieces; lines that were of one paragraph are lines of one again. */
export function rejoined(pieces: readonly Piece[]): Block[] {
  const blocks: Block[] = [];
  let last: Piece | undefined;
  for (const piece of pieces) {
    const before = blocks.at(-1);
    const isSame = last?.of === piece.of && before?.type === 'paragraph' && piece.block.type === 'paragraph';
    if (isSame)
      blocks[blocks.length - 1] = {
        type: 'paragraph',
        content: [...(before.content ?? []), { type: 'hardBreak' }, ...lineOf(piece)],
      };
    else blocks.push(piece.block);
    last = piece;
  }
  return blocks;
}

/** Whether all words of a piece are bold, or underlined, as lines are that somebody made headings of by hand. */
export function isEmphasised(piece: Piece): boolean {
  const line = lineOf(piece).filter((inline) => inline.type === 'text' && inline.text.trim() !== '');
  return (
    line.length > 0 &&
    line.every(
      (inline) =>
        inline.type === 'text' &&
        inline.marks?.some(({ type }) => type === 'bold' || type === 'underline') === true,
    )
  );
}
