export { ValueSchema, valueInWords, joinAsProse, figures } from './value';
export type { Value } from './value';
export { CaseRecordSchema, emptyRecord } from './record';
export type { CaseRecord, Measurement, Medicine, Problem, RecordDetail } from './record';
export { DETAILS, detailsOf, lookUp } from './details';
export type { Detail, DetailKind } from './details';
