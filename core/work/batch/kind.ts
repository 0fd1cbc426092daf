import type { Kind } from '../kind';

/** A letter for each row of a table. */
export const BATCH: Kind = {
  work: 'Batches of letters',
  caseName: 'Batch',
  details: [],
  reachesAll: false,
};
