export { wordingWithHandChanges } from './handChanges';
export { mergedPassage } from './mergedPassage';
export type { MergedPassage } from './mergedPassage';
export { mergedEntry } from './mergedEntry';
export type { Clash, Merged } from './mergedEntry';
export { entryDifference } from './entryDifference';
export type { Change } from './entryDifference';
export { wordDifference } from './wordDifference';
export type { Piece } from './wordDifference';
