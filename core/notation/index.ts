export { writeEntry, readEntry, passageFrom } from './entryNotation';
export { notationErrorInWords } from './notationError';
export type { NotationError } from './notationError';
