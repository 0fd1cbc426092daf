import type { DetailPath } from './details';
import { emptyRecord, type CaseRecord } from './record';
import type { Value } from './value';

/** The record of a case begun by hand: each detail says who wrote it (their name), and on which day (ISO 8601). */
export const recordByHand = (
  details: readonly { path: DetailPath; value: Value }[],
  by: string,
  today: string,
): CaseRecord => ({
  ...emptyRecord(),
  details: details.map((detail) => ({ ...detail, source: `Written by ${by}`, asOf: today, byHand: true })),
});
