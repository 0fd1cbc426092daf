export { shownByPlacement } from './shown';
export { keysEach, waysInWords } from './waysInWords';
export { WAYS, type Way } from './ways';
