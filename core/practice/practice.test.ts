import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { asked, cardsFor, isCue, type Card, type CueKnowledge } from './index';

const TODAY = '2026-11-26';

test('what is known comes later each time, what is not known comes at once', () => {
  const days: string[] = [];
  let known: CueKnowledge | null = null;
  for (let time = 0; time < 9; time += 1) {
    known = asked(known, true, TODAY);
    days.push(known.due);
  }
  expect(days.slice(0, 4)).toEqual(['2026-11-27', '2026-11-28', '2026-11-30', '2026-12-04']);
  expect(days.at(-1)).toBe(days.at(-2));
  expect(asked(known, false, TODAY)).toEqual({ box: 0, due: TODAY });
});

const card = (entry: string, over: Partial<Card> = {}): Card => ({
  entry,
  times: 0,
  lookedUp: 0,
  known: null,
  ...over,
});

test('those due come first, the least known before the others; then what is looked up most', () => {
  const cards = [
    card('used', { times: 9 }),
    card('new'),
    card('looked up', { times: 3, lookedUp: 2 }),
    card('known', { known: { box: 3, due: '2026-12-01' } }),
    card('due, well known', { known: { box: 3, due: TODAY } }),
    card('due, hardly known', { known: { box: 0, due: '2026-11-20' } }),
  ];
  const order = ['due, hardly known', 'due, well known', 'looked up', 'used', 'new'];
  expect(cardsFor(cards, TODAY, 10).map(({ entry }) => entry)).toEqual(order);
  expect(cardsFor(cards, TODAY, 2)).toHaveLength(2);
});

test('whatever is answered, nothing that is due is left out before something that is not asked for', () => {
  fc.assert(
    fc.property(fc.array(fc.boolean(), { minLength: 1, maxLength: 30 }), (answers) => {
      const known = answers.reduce<CueKnowledge | null>((before, is) => asked(before, is, TODAY), null)!;
      const isLast = answers.at(-1)!;
      expect(known.due > TODAY).toBe(isLast);
      expect(cardsFor([card('a', { known })], TODAY, 5)).toHaveLength(isLast ? 0 : 1);
    }),
  );
});

test.each([
  [' ,REL ', ',rel', true],
  [',re', ',rel', false],
])('%j for %j: %j', (typed, cue, wanted) => {
  expect(isCue(typed, cue)).toBe(wanted);
});
