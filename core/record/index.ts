export { ValueSchema, valueInWords, joinAsProse, figures } from './value';
export type { Value } from './value';
export {
  CaseRecordSchema,
  emptyRecord,
  itemsOf,
  LIST_LIMITS,
  ListChangeSchema,
  RECORD_LISTS,
  RemovedItemSchema,
} from './record';
export { HISTORY_LIST_IDS, HISTORY_LISTS, isHistoryList, type HistoryListId } from './history';
export { recordByHand } from './recordByHand';
export { mergedRecord, type MergedRecord } from './mergedRecord';
export type {
  CaseRecord,
  HistoryItem,
  ListChange,
  Measurement,
  Medicine,
  HealthProblem,
  RecordDetail,
  RecordItem,
  RecordList,
  RecurringCare,
  RemovedItem,
  WrittenItem,
} from './record';
export { changedList, isSameItem, plainItem, putBack } from './changedList';
export {
  codeThatAges,
  DETAILS,
  detailsOf,
  isAskedAsMeasured,
  kindOfDetail,
  labelOfDetail,
  lookUp,
  seriesOf,
  storedDetails,
} from './details';
export type { Detail, DetailPath } from './details';
export { CORRECTABLE, correctedRecord, saidBySource, writtenDetail } from './correctedRecord';
export { isDay, readBack, readDetail } from './readDetail';
export type { Written } from './readDetail';
export { isUnlike, readAmount } from './amount';
export { emptyItem, formOf, inParts, measuredIn, readItem } from './writtenItem';
export type { ItemFault, ItemForm } from './writtenItem';
export { itemInWords } from './itemInWords';
export { newestFirst } from './itemParts';
export { newSince } from './newSince';
export type { Since } from './since';
export { pathOfAsk, readMeasuredAsk, WHICH, type MeasuredAsk, type Which } from './measuredAsk';
export { recordTable } from './recordTable';
export { careDue } from './careDue';
export { courseInWords, type Course } from './courseInWords';
export { detailsInText } from './detailsInText';
export type { DetailsInText } from './detailsInText';
export { latestMeasured } from './latestMeasured';
export { READS_IN_WORDS, recordLine, type LinePart } from './recordLine';
export {
  isOld,
  readsAs,
  recordByRules,
  RecordRulesSchema,
  USUAL_RULES,
  type CareRule,
  type RecordRules,
} from './recordRules';
export { formOfRules, NEW_ROWS, readRules, readSpan, spanInWords } from './rulesForm';
export type { CareRow, OldRow, RulesFault, RulesForm, UsualRow } from './rulesForm';
