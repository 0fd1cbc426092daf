import type { Queries } from '../db';

/** What came in and is not kept yet. */
export interface StagedFile {
  /** SHA-256 of what it holds, in hexadecimal. */
  hash: string;
  bytes: number;
  /** How it begins, to tell what it is. */
  head: Uint8Array;
  /** Keeps it under its hash, unless what it holds is kept already; in the transaction that holds the row of its content. */
  keep(tx: Queries): Promise<void>;
  /** Lets go of what came in. Does nothing once it is kept. */
  drop(): Promise<void>;
}

/** Where the bytes of files lie, by their hash. Memory holds a piece of one at a time, however large it is. */
export interface FileStore {
  /**
   * Takes in what comes, to its end.
   *
   * @param most the most bytes that are taken
   * @throws FileTooLarge once more than `most` have come; what had come is gone then, as when `source` itself throws
   */
  stage(source: AsyncIterable<Uint8Array>, most: number): Promise<StagedFile>;
  /** Reads the bytes `from` to `to`, both of them included. */
  read(hash: string, from: number, to: number): AsyncIterable<Uint8Array>;
  /** Lets go of what is kept under a hash, in the transaction that holds the row of its content. */
  drop(hash: string, tx: Queries): Promise<void>;
  /** Lets go of what began to come in before a moment and never came to its end. */
  dropStaged(before: Date): Promise<void>;
}

/** More came than a file may have. */
export class FileTooLarge extends Error {
  constructor(readonly most: number) {
    super(`A file may have ${most} bytes at the most.`);
  }
}

/** So much of a file's beginning is looked at to tell what it is. */
export const HEAD_BYTES = 64 * 1024;
