export { wordingLines, placedLines } from './placedText';
export { changesOf } from './changesOf';
export type { Rewording } from './changesOf';
export { usualChanges } from './usualChanges';
export type { Reworded, UsualChange } from './usualChanges';
export { reworded } from './reworded';
