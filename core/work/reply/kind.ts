import type { Kind } from '../kind';

/** The answer to somebody who asked. */
export const REPLY: Kind = {
  work: 'Replies',
  caseName: 'Enquiry',
  details: ['customer', 'email', 'topic', 'species', 'place', 'language'],
  reachesAll: false,
};
