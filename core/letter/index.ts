/** Letters as they go out: what is in them, and what is doubtful about them. */
export { headInText, headOf, letterOf, messageOf, usualHead } from './letterOf';
export type { Head, HeadLine, OutgoingLetter } from './letterOf';
export { doubtInWords, doubtsOf } from './doubts';
export type { Doubt } from './doubts';
