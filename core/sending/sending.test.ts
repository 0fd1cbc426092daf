import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { afterEvent, SENDING_STATES, statesBefore, type SendingEvent } from '.';

describe('a letter on its way', () => {
  const EVENTS: SendingEvent[] = [
    'begun',
    'accepted',
    'refused',
    'lost',
    'given-up',
    'taken-back',
    'sent-again',
    'said-gone',
  ];

  test('goes to the mail server a second time only where a person says so', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...EVENTS), { maxLength: 60 }), (events) => {
        let state: (typeof SENDING_STATES)[number] = 'waiting';
        let [handedOver, askedFor] = [0, 1];
        for (const event of events) {
          const next = afterEvent(state, event);
          if (next === null) continue;
          if (event === 'begun') handedOver += 1;
          if (event === 'sent-again') askedFor += 1;
          state = next;
        }
        expect(handedOver).toBeLessThanOrEqual(askedFor);
        // None is forgotten: it waits, is with the server, or a person has it.
        expect(SENDING_STATES).toContain(state);
      }),
    );
  });

  test('can be decided about wherever it is not over', () => {
    for (const state of SENDING_STATES) {
      const next = EVENTS.filter((event) => afterEvent(state, event) !== null);
      expect([state, next.length > 0]).toEqual([state, state !== 'gone' && state !== 'taken-back']);
    }
    expect(statesBefore('taken-back')).toEqual(['waiting', 'perhaps-gone', 'refused']);
  });
});
