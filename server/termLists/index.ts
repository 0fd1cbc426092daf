export { importTerms, isSameTerm } from './importTerms';
export { insertGlossary, GENERAL_ENGLISH } from './insertGlossary';
export { keepsGlossary } from './keepsGlossary';
export { beginList, dropListsOfNone, writeTerms, readTerms } from './termList';
