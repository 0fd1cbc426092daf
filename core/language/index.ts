export { withArticle } from './article';
export { withCapital } from './withCapital';
export { numberWords } from './numberWords';
export { personWords, PERSONS, PERSON_FORMS } from './personWords';
export type { Person, PersonForm } from './personWords';
export { readNumber } from './readNumber';
export { ownWordsOf, numberLanguage } from './ownWords';
export type { OwnWords } from './ownWords';
export { inOrder } from './inOrder';
