export { forgetBank, keepBank, keptBank } from './bankCache';
export { askedWith, withBank, withCollection, withEntries, withoutEntry } from './mergedBank';
