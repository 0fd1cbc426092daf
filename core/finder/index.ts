export { Finder } from './finder';
export { findable, wordsToFind, type Findable } from './findable';
export { nearWords } from './nearWords';
export { plainWord, slackOf, wordsOf } from './words';
