import type { Kind } from '../kind';

/** Just a leaf: anything that is written, of nobody in particular. */
export const LEAF: Kind = { work: 'Leaves of no case', caseName: 'Leaf', details: [], reachesAll: true };
