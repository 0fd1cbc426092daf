export { shownByPlacement } from './shown';
export { keysEach, waysInWords } from './waysInWords';
export { WAYS, type Way, type WayCount } from './ways';
