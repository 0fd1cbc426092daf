import type { DetailPath } from '#core/record';

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
  /** Whether everything that is not switched out is in reach, whatever work it was meant for. */
  reachesAll: boolean;
}
