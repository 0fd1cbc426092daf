export { Noticed } from './noticed';
export { dropKept, keep, keepWritten, kept, keptNames, ownTab } from './kept';
