export { useEntryChange } from './useEntryChange';
export { insertBlank, selectedWords, type NewField } from './wording/WordingBar';
export { WordingEditor } from './wording/WordingEditor';
export { ConditionEditor, firstTest } from './wording/ConditionEditor';
