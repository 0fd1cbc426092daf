export { numbersOf, numbered, countedOf, LOST } from './numbered';
export type { Counted } from './numbered';
export { numberInForm } from './numberInForm';
