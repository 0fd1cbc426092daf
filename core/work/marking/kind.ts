import type { Kind } from '../kind';

/** Short phrases at places of a page: a plan, a map, a form. */
export const MARKING: Kind = {
  work: 'Page markings',
  caseName: 'Marked page',
  details: [],
  shares: 'markings',
  reachesAll: false,
};
