import type { Kind } from '../kind';
import { SUMMING_UP_DETAILS } from './summingUpDetails';

/** What a tutor writes about work that somebody handed in. */
export const FEEDBACK: Kind = {
  work: 'Feedback on reports',
  caseName: 'Field report',
  details: ['name', 'topic', 'place', 'date'],
  worksOut: SUMMING_UP_DETAILS,
  shares: 'comments',
  reachesAll: false,
};
