import type { Kind } from '../kind';

/** What was said in a recording, written down. */
export const TRANSCRIPT: Kind = {
  work: 'Transcripts',
  caseName: 'Recording',
  details: ['name', 'topic', 'place', 'date'],
  reachesAll: false,
};
