export { CollectionTree, type Taking } from './CollectionTree';
export { MakeCollection } from './MakeCollection';
