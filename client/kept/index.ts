export { dropKept, keep, kept, ownTab } from './kept';
