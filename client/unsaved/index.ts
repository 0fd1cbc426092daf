export { arrivedChange, dropUnsaved, keepUnsaved, readUnsaved, saysNothing, unsavedKey } from './entryChange';
export type { UnsavedEntryChange } from './entryChange';
