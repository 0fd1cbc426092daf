export { checkedWords, type CheckedWord } from './checkedWords';
export { dictionaryFor } from './dictionaryFor';
export { wordsOfEntry, type EntryWord } from './entryWords';
export { likelySpellings, partings } from './likelySpellings';
export { respelt } from './respelt';
export { wordsWithin } from './wordsWithin';
