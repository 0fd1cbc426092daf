export { compareArriving, settleCues } from './compareArriving';
export {
  CollectionFileSchema,
  CollectionsInFileSchema,
  MOST_HANDED_ON,
  MOST_IN_A_PIECE,
} from './collectionFile';
export type { CollectionFile } from './collectionFile';
export { canMerge } from './mergedInto';
export {
  allInto,
  type Choice,
  type Homes,
  type Planned,
  planTakeOver,
  type TakeOverBody,
} from './planTakeOver';
export { nearlySame, type NearlySame } from './nearlySame';
export { entryFolder, readEntryFolder, UnreadableEntry, type PlacedEntry } from './entryFolder';
