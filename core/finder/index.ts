export { Finder } from './finder';
export { findable, wordsToFind, type Findable } from './findable';
export { isNamed } from './isNamed';
export { nearWords } from './nearWords';
export { nearest } from './nearest';
export { plainWord, slackOf, searchWords } from './words';
export { stemOf } from './stem';
export { Literals } from './literals';
export type { LiteralPlace } from './literals';
