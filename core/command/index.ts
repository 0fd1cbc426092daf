export { commandInWords, readCommand } from './command';
export type { TextCommand, Verb } from './command';
export { pairIn, touched, wordStarts } from './touched';
export type { TextPlace } from './touched';
