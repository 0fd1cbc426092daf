export { writeEntry, readEntry, passageFrom } from './entryNotation';
export { notationErrorInWords } from './notationError';
export { chaptersOf } from './chapters';
export type { Chapter } from './chapters';
