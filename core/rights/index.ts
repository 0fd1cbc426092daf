export { GranteeSchema, RightSchema, rightsOf } from './rights';
export { granteeKey, mergedGrants } from './mergedGrants';
export type { Grant, Grantee, CollectionPlace, Right } from './rights';
export { treeBranches, MOST_DEEP, within } from './tree';
export type { Branch } from './tree';
export { droppedOver, stepped } from './moving';
export type { Goal, TreeWay } from './moving';
