import type { Kind } from '../kind';

/** What a tutor writes about work that somebody handed in. */
export const FEEDBACK: Kind = {
  work: 'Feedback on reports',
  caseName: 'Field report',
  details: ['name', 'topic', 'place', 'date'],
  sharesComments: true,
  reachesAll: false,
};
