export { dropUnsaved, keepUnsaved, readUnsaved, saysNothing, unsavedKey } from './entryChange';
export type { EntryChange } from './entryChange';
