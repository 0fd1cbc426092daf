export { findParticulars } from './findParticulars';
export type { Particular } from './findParticulars';
export { particularsToFields } from './particularsToFields';
export { unplaced } from './unplaced';
