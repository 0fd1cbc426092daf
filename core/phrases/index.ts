export { repeatedPhrases } from './repeatedPhrases';
export type { RepeatedPhrase } from './repeatedPhrases';
export type { Text } from './wordStream';
export { byHand } from './byHand';
export { worthBanking } from './worthBanking';
export { entryOfPhrase } from './entryOfPhrase';
export { Banked } from './banked';
