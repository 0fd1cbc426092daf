export { ValueSchema, valueInWords, joinAsProse, figures } from './value';
export type { Value } from './value';
export { CaseRecordSchema, emptyRecord } from './record';
export type { CaseRecord, Measurement, Medicine, Problem, RecordDetail, RecurringCare } from './record';
export { DETAILS, detailsOf, lookUp, seriesOf } from './details';
export type { Detail, DetailKind, DetailPath } from './details';
export { careDue } from './careDue';
export type { CareDue } from './careDue';
