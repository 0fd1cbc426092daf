export { useEntryChange } from './useEntryChange';
export { insertBlank, selectedWords, type NewField } from './wording/WordingBar';
export { EntryPick } from './EntryPick';
export { WordingEditor } from './wording/WordingEditor';
export { ConditionEditor, firstTest } from './wording/ConditionEditor';
