export { GranteeSchema, RightSchema, rightsOf } from './rights';
export type { Grant, Grantee, Place, Right } from './rights';
export { branchesOf, MOST_DEEP, within } from './tree';
export type { Branch } from './tree';
export { droppedOver, stepped } from './moving';
export type { Goal, Way } from './moving';
