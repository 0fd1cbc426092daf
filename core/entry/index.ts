export { EntryContentSchema, WordingSchema } from './entry';
export type { EntryContent, Wording, Part } from './entry';
export { FieldSchema } from './field';
export type { Field, ChoiceField, DetailField, TextField, ChoiceOption } from './field';
export { checkEntry } from './checkEntry';
export type { EntryProblem } from './checkEntry';
export { newEntry, newField } from './newEntry';
export { optionKeys } from './optionKeys';
export { readCompact } from './compactNotation';
