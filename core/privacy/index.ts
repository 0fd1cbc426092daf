export { capture } from './capture';
export type { Captured, CapturedParticular } from './capture';
export { findParticulars } from './findParticulars';
export { findPersonal } from './findPersonal';
export type { Known, Personal, PersonalKind } from './findPersonal';
export { personalInEntry, personalToField } from './personalInEntry';
export type { PersonalPlace } from './personalInEntry';
