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

/** What is found in each line of a draft, in its order, with what stands around it. */
export function placesInLines<Found extends { from: number; to: number }>(
  doc: EditorNode,
  find: (line: string) => readonly Found[],
): (Found & FoundPlace)[] {
  const places: (Found & FoundPlace)[] = [];
  doc.descendants((block, pos) => {
    if (!block.isTextblock) return true;
    const line = block.textBetween(0, block.content.size, undefined, NO_LETTER);
    const shown = (from: number, to: number) => line.slice(from, to).replaceAll(NO_LETTER, '…');
    for (const found of find(line)) {
      const { from, to } = found;
      const around = {
        before: shown(Math.max(0, from - AROUND), from),
        words: shown(from, to),
        behind: shown(to, to + AROUND),
      };
      places.push({ ...found, ...around, from: pos + 1 + from, to: pos + 1 + to });
    }
    return false;
  });
  return places;
}
