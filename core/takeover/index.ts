export { compareArriving, settleCues } from './compareArriving';
export { CollectionFileSchema, CollectionsInFileSchema, MOST_HANDED_ON } from './collectionFile';
export type { CollectionFile } from './collectionFile';
export { type Choice, type Planned, planTakeOver } from './planTakeOver';
