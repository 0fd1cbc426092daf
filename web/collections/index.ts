export { CollectionTree } from './CollectionTree';
export { MakeCollection } from './MakeCollection';
