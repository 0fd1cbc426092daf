export { useEntryChange } from './useEntryChange';
export { insertBlank, selectedWords } from './wording/WordingBar';
export { WordingEditor } from './wording/WordingEditor';
