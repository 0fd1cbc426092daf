/** Where letters are on their way, and what may follow what. */
export { afterEvent, SENDING_STATES, SendingStateSchema, statesBefore } from './sending';
export type { SendingEvent, SendingState } from './sending';
