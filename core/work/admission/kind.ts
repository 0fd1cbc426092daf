import type { Kind } from '../kind';

/** Notes about somebody who was admitted: their record, over days. */
export const ADMISSION: Kind = {
  work: 'Ward notes',
  caseName: 'Admission',
  details: ['name', 'species', 'sex', 'born', 'admitted', 'reason', 'ward', 'clinician'],
  reachesAll: false,
};
