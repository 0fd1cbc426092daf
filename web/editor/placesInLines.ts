import type { Node as EditorNode } from '@tiptap/pm/model';

/** A stretch of a line that was found: from and to as positions, with some words around it. */
export interface FoundPlace {
  from: number;
  to: number;
  before: string;
  words: string;
  behind: string;
}

/** So many letters are shown on either side. */
const AROUND = 28;
/** Stands for what is no letter, so that letters and positions go together. */
const NO_LETTER = '\uFFFC';

/** A stretch of a block's line, from and to in it, with some of what stands around it. */
export function wordsAround(block: EditorNode, from: number, to: number): Omit<FoundPlace, 'from' | 'to'> {
  const line = block.textBetween(0, block.content.size, undefined, NO_LETTER);
  const shown = (words: string) => words.replaceAll(NO_LETTER, '…');
  const before = line.slice(Math.max(0, from - AROUND), from);
  const behind = line.slice(to, to + AROUND);
  // No word is shown cut in half.
  return {
    before: shown(from > AROUND ? before.replace(/^\S*/, '…') : before),
    words: shown(line.slice(from, to)),
    behind: shown(to + AROUND < line.length ? behind.replace(/\S*$/, '…') : behind),
  };
}

/** What is found in each line of a draft, in its order, with what stands around it. */
export function placesInLines<Found extends { from: number; to: number }>(
  doc: EditorNode,
  find: (line: string) => readonly Found[],
): (Found & FoundPlace)[] {
  const places: (Found & FoundPlace)[] = [];
  doc.descendants((block, pos) => {
    if (!block.isTextblock) return true;
    const line = block.textBetween(0, block.content.size, undefined, NO_LETTER);
    for (const found of find(line)) {
      const { from, to } = found;
      places.push({ ...found, ...wordsAround(block, from, to), from: pos + 1 + from, to: pos + 1 + to });
    }
    return false;
  });
  return places;
}
