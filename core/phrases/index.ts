export { repeatedPhrases } from './repeatedPhrases';
export type { PhrasesWanted, RepeatedPhrase } from './repeatedPhrases';
export type { Text } from './wordStream';
