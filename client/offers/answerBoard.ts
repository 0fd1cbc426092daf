import type { OffersAnswer } from '#core/glossary';

const BYTES = 1 << 16;
/** Two numbers stand before the answer: which question it answers, and how many bytes it has. */
const HEAD_BYTES = 8;

/**
 * Where the worker that offers lays its newest answer, in memory that it shares with the page. The page reads it while a
 * frame is drawn, since a message is only taken after that frame, and what it holds would be painted one frame later.
 */
export class AnswerBoard {
  private readonly head: Int32Array;
  private readonly bytes: Uint8Array;

  constructor(readonly memory: SharedArrayBuffer) {
    this.head = new Int32Array(memory, 0, 2);
    this.bytes = new Uint8Array(memory, HEAD_BYTES);
  }

  /** A new board; null where the browser shares no memory, as on an address without TLS. */
  static make(): AnswerBoard | null {
    return globalThis.crossOriginIsolated ? new AnswerBoard(new SharedArrayBuffer(BYTES)) : null;
  }

  /** Lays down the answer to the question of that number, from 1; one that has no room is not laid down. */
  write(question: number, answer: OffersAnswer): void {
    const encoded = new TextEncoder().encode(JSON.stringify(answer));
    if (encoded.length > this.bytes.length) return;
    // While it is being written it answers nothing.
    Atomics.store(this.head, 0, 0);
    this.bytes.set(encoded);
    Atomics.store(this.head, 1, encoded.length);
    Atomics.store(this.head, 0, question);
  }

  /** The answer to that question; null while it is not there. */
  read(question: number): OffersAnswer | null {
    if (Atomics.load(this.head, 0) !== question) return null;
    const copy = this.bytes.slice(0, Atomics.load(this.head, 1));
    if (Atomics.load(this.head, 0) !== question) return null;
    return JSON.parse(new TextDecoder().decode(copy)) as OffersAnswer;
  }
}
