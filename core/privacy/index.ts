export { capture } from './capture';
export type { Captured, CapturedParticular } from './capture';
export { findParticulars } from './findParticulars';
export { personalFinder } from './personalFinder';
export type { Known, Personal, PersonalKind } from './personalFinder';
export { personalInEntry, personalToField } from './personalInEntry';
export type { PersonalPlace } from './personalInEntry';
