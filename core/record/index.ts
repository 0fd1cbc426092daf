export { ValueSchema, valueInWords, joinAsProse, figures } from './value';
export type { Value } from './value';
export { CaseRecordSchema, emptyRecord, ListChangeSchema, RemovedItemSchema } from './record';
export type {
  CaseRecord,
  ListChange,
  Measurement,
  Medicine,
  Problem,
  RecordDetail,
  RecordList,
  RecurringCare,
  RemovedItem,
} from './record';
export { changedList, plainItem, putBack } from './changedList';
export { DETAILS, detailsOf, lookUp, seriesOf } from './details';
export type { Detail, DetailPath } from './details';
export { CORRECTABLE, correctedRecord, saidBySource, writtenDetail } from './correctedRecord';
export { isDay, readBack, readDetail } from './readDetail';
export type { Written } from './readDetail';
export { isUnlike, readAmount } from './amount';
export { emptyItem, formOf, measuredIn, readItem } from './writtenItem';
export type { ItemFault, ItemForm, WrittenItem } from './writtenItem';
export { newSince } from './newSince';
export type { Since } from './newSince';
export { careDue } from './careDue';
export { courseInWords, type Course } from './courseInWords';
export { detailsInText } from './detailsInText';
export type { DetailsInText } from './detailsInText';
