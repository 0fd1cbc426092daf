/** A run of a docx as it stands in its part: what is needed to part it in two. */
export interface RunAt {
  start: number;
  /** Behind its end tag; -1 until that is read. */
  end: number;
  /** Its start tag and its properties, as they are written: both halves have them. */
  opening: string;
  properties: string;
  /** Where its first child that is words or a place begins, and where its last one ends. */
  contentStart: number;
  contentEnd: number;
}

/**
 * A piece of a block's words and where it stands in the file: one text element, or one element that counts as a character. `run` is
 * null for what stands beside runs, such as a formula.
 */
export interface TextPiece {
  block: number;
  at: number;
  length: number;
  part: string;
  run: RunAt | null;
  start: number;
  end: number;
  /** Of a text element its start tag as written; and where each of its units begins, and the last ends; null where it cannot be parted. */
  text: { opening: string; offsets: readonly number[] } | null;
}

/** One entity, line end or unit of a text as it is written. */
const WRITTEN = /&(?:amp|lt|gt|quot|apos|#\d+|#x[\da-f]+);|\r\n|[\s\S]/giu;

const decodedLength = (written: string): number => {
  const code = /^&#(x?)([\da-f]+);$/i.exec(written);
  if (code) return parseInt(code[2]!, code[1] ? 16 : 10) > 0xffff ? 2 : 1;
  return written.startsWith('&') || written === '\r\n' ? 1 : written.length;
};

/**
 * Where each UTF-16 unit of a text begins in its source, and behind them where the last one ends. Null where the text holds more than
 * words and entities (a comment, CDATA): such a text is not parted.
 */
export function offsetsIn(source: string, from: number, to: number): number[] | null {
  const raw = source.slice(from, to);
  if (raw.includes('<')) return null;
  const offsets: number[] = [];
  let at = from;
  for (const [written] of raw.matchAll(WRITTEN)) {
    // The second half of a sign of two units stands where the first does: nothing is parted there.
    for (let unit = 0; unit < decodedLength(written); unit += 1) offsets.push(at);
    at += written.length;
  }
  return [...offsets, to];
}
