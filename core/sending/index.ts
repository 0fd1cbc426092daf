/** Letters on their way out: what goes, what is doubtful about it, and where it is. */
export { headInText, headOf, letterOf, messageOf, usualHead } from './letterOf';
export type { Head, HeadLine, OutgoingLetter } from './letterOf';
export { afterEvent, isUnderWay, SENDING_STATES, SendingStateSchema, statesBefore } from './sending';
export type { SendingEvent, SendingState } from './sending';
export { doubtInWords, doubtsOf } from './doubts';
export type { Doubt } from './doubts';
