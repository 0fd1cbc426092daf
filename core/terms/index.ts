export { TermFinder, isOfLanguage, withItsSpace } from './findTerm';
export type { TermForm, TermPlace } from './findTerm';
export { termForms } from './termForms';
export { editTexts, entryTexts } from './entryTexts';
export type { TextAt } from './entryTexts';
export { HouseFinder } from './houseWords';
export type { HousePlace, HouseWord } from './houseWords';
