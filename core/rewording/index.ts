export { wordingLines, placedLines } from './placedText';
export { changesOf } from './changesOf';
export { usualChanges } from './usualChanges';
export type { Reworded } from './usualChanges';
export { reworded } from './reworded';
