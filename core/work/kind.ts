import type { DetailPath } from '#core/record';

/** A small collection to begin a kind of work with, as it is written down. */
export interface StarterText {
  /** Stays the same for good: what was taken is renewed by it. */
  id: string;
  name: string;
  /** What is in it, in a sentence. */
  about: string;
  /** Its entries in the compact notation (docs/NOTATION.md), with a line of ==== between two. */
  notation: string;
}

/**
 * What a kind of work says of itself. A new one is a folder beside this file and a line in `kinds.ts`; whatever maps over
 * `KindId` then asks for its part.
 */
export interface Kind {
  /** The work, as it is listed: "Ward notes". */
  work: string;
  /** What a case of it is called: "Admission". */
  caseName: string;
  /** The details that a case begun by hand is asked for, all of them optional, in this order. */
  details: readonly DetailPath[];
  /** The details that are worked out from its material. */
  worksOut?: readonly DetailPath[];
  /** What all who have a case see of each other, beside its material. */
  shares?: 'comments' | 'markings';
  /** Whether everything that is not switched out is in reach, whatever work it was meant for. */
  reachesAll: boolean;
}
