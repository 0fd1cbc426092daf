import { z } from 'zod';

/**
 * Where a letter is on its way. It `waits` some seconds in which it can be taken back; `going` it is with the mail server; from there it has
 * `gone`, was `refused` and has not gone, or nobody knows (`perhaps-gone`), which a person decides.
 */
export const SENDING_STATES = ['waiting', 'going', 'gone', 'perhaps-gone', 'refused', 'taken-back'] as const;
export const SendingStateSchema = z.enum(SENDING_STATES);
export type SendingState = z.infer<typeof SendingStateSchema>;

/** What happens to a letter: the first five by the server, the others by its writer. */
export type SendingEvent =
  | 'begun'
  | 'accepted'
  | 'refused'
  | 'lost'
  | 'given-up'
  | 'taken-back'
  | 'sent-again'
  | 'said-gone';

const STEPS: Record<SendingState, Partial<Record<SendingEvent, SendingState>>> = {
  waiting: { begun: 'going', 'taken-back': 'taken-back' },
  going: { accepted: 'gone', refused: 'refused', lost: 'perhaps-gone', 'given-up': 'perhaps-gone' },
  gone: {},
  'perhaps-gone': { 'sent-again': 'waiting', 'said-gone': 'gone', 'taken-back': 'taken-back' },
  refused: { 'sent-again': 'waiting', 'taken-back': 'taken-back' },
  'taken-back': {},
};

/** Where an event brings a letter; null where it cannot happen there. */
export const afterEvent = (state: SendingState, event: SendingEvent): SendingState | null =>
  STEPS[state][event] ?? null;

/** From where an event brings a letter somewhere. */
export const statesBefore = (event: SendingEvent): SendingState[] =>
  SENDING_STATES.filter((state) => afterEvent(state, event) !== null);
