export { capture } from './capture';
export type { Captured, CapturedParticular } from './capture';
export { findParticulars } from './findParticulars';
