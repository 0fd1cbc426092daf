export { EntryContentSchema } from './entry';
export type { EntryContent, Wording, Part } from './entry';
export {
  EntryFileSchema,
  MOST_ENTRY_FILES,
  MOST_ENTRY_FILE_BYTES,
  notYetIn,
  type EntryFile,
} from './entryFile';
export { COMMENT_COUNTS, PLAIN_SIGNS, withoutEmptySigns } from './commentUse';
export type { CommentUse, Sign } from './commentUse';
export { FieldSchema, NEVER_ASKED, WRITER_DETAILS } from './field';
export type {
  Field,
  ChoiceField,
  NumberField,
  YesNoField,
  ComputedField,
  AlternatesField,
  ChoiceOption,
} from './field';
export { ConditionSchema, NamedConditionSchema, fieldsOfCondition, MEASURES } from './condition';
export type { Condition, NamedCondition, Measure } from './condition';
export { formulaOf, STEPS } from './calculation';
export type { Calculation, DayRef, AmountRef } from './calculation';
export { nestedBlanks } from './nestedBlanks';
export { nestedWordsOf, mapNestedWords } from './nestedWords';
export { conditionInWords, MEASURE_WORDS, DAY_WORDS } from './conditionInWords';
export { withoutUnusedConditions } from './conditionsInUse';
export { fieldUses } from './fieldUses';
export type { FieldUses } from './fieldUses';
export { renameField } from './renameField';
export { formulaProblem } from './formulaProblem';
export { checkEntry } from './checkEntry';
export { newEntry, newField } from './newEntry';
export { fieldForBlank, readyFields, type ReadyField } from './readyFields';
export { mergedContent } from './merged';
export { wordingOnPage } from './onPage';
export { isOnPage, pageAddress } from './pageAddress';
export { fullWordings, shortWording, wordingFor, wordingReplaced } from './wordingReplaced';
export { optionKeys } from './optionKeys';
export { linesOfOptions, MOST_OPTIONS, optionsFromLines } from './optionLines';
export { asStatements, findingsIn } from './findings';
export { proposeTitle } from './proposeTitle';
export { at, withPassage, asKind, mainPassage, type WordingPlace } from './fieldsOfContent';
export { withLead, withRetired, withTag } from './changesToMany';
export { excerptOfEntry } from './excerptOfEntry';
