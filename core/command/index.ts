export { commandInWords, readCommand, UNITS, VERBS, WAYS } from './command';
export type { TextCommand, Unit, Verb, Way } from './command';
export { pairIn, touched, wordStarts } from './touched';
export type { Place, Stretch } from './touched';
