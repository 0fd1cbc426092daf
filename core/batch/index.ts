export { tableFrom, NotTable, TABLE_LIMITS, type Table } from './table';
export { COLUMN_KINDS, columnsOf, readingOf, type Column, type ColumnKind } from './columns';
export { BatchSetupSchema, cellIn, columnFilling, emptySetup, type BatchSetup, type Rule } from './setup';
export { faultsOfRow, recordOfRow, type RowFault } from './rowRecord';
export { columnFields, conditionsOfColumn, Decider } from './decision';
export { hasMovedOn, rowLetter, takenIn } from './rowLetter';
export { hasChangedSince, LETTER_STATES, letterState, sealOf, type LetterState } from './letterState';
export { fileNamesOf } from './fileNames';
export { addressLabel } from './addressLabel';
