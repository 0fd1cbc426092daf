export { dropKept, keep, keepWritten, kept, ownTab } from './kept';
