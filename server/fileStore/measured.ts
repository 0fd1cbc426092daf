import { createHash } from 'node:crypto';
import { FileTooLarge, HEAD_BYTES } from './fileStore';

/** What is known of a file once all of it has gone by. */
export interface FileMeasure {
  hash: string;
  bytes: number;
  head: Uint8Array;
}

/**
 * Lets a file go by piece by piece, and measures it meanwhile; `measure` is right once the last piece has gone by.
 * Throws FileTooLarge once more than `most` bytes have come.
 */
export function measured(
  source: AsyncIterable<Uint8Array>,
  most: number,
): { pieces: AsyncIterable<Uint8Array>; measure: () => FileMeasure } {
  const hash = createHash('sha256');
  const head: Uint8Array[] = [];
  let bytes = 0;
  async function* pieces() {
    for await (const piece of source) {
      const before = bytes;
      bytes += piece.length;
      if (bytes > most) throw new FileTooLarge(most);
      hash.update(piece);
      // A copy: a view would hold the whole piece.
      if (before < HEAD_BYTES) head.push(Uint8Array.from(piece.subarray(0, HEAD_BYTES - before)));
      yield piece;
    }
  }
  return {
    pieces: pieces(),
    measure: () => ({ hash: hash.digest('hex'), bytes, head: Buffer.concat(head) }),
  };
}
