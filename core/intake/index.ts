export { INTAKE_LIMITS, tableOfCells, wordsOfCell, type Cell, type IntakeTable } from './intakeTable';
export { COLUMN_ROLES, roleOfHead, type ColumnRole } from './roleOfHead';
export { headsKey, KNOWN_LANGUAGES, proposedColumns, type JoinedColumn } from './columnRoles';
export {
  documentShapes,
  INTAKE_SHAPES,
  tableShapes,
  type IntakeShape,
  type IntakeShapeId,
} from './documentShapes';
export { entriesOfRows, type EntriesOfRows, type LeftRow, type RowEntry } from './entriesOfRows';
export { tablesOfData } from './tablesOfData';
export { NotPropertyList, readPropertyList } from './readPropertyList';
export { NotRtf, readRtf } from './readRtf';
export { SIGN_KINDS, signsIn, withSignsTaken, type Sign, type SignKind, type TakenSign } from './signs';
