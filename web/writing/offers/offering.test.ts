import { expect, test } from '@jest/globals';
import type { Offer } from '#core/glossary';
import { bareView, leafOf } from '../../testing/leafState';
import { keptOf, offering, offerKeys, stillFits, type OfferHost, type Offered } from './offering';

const offer = (text: string): Offer => ({
  ...{ kind: 'term', text, list: 'medicines', by: 'beginning', from: 5, times: 0, readBack: null },
});
const before: Offered = {
  offers: [offer('ketamine 50 mg/ml'), offer('ketamine 100 mg/ml')],
  lookedAt: 'Gave keta',
  lineStart: 1,
  isWord: false,
  walking: 1,
  readingBack: 0,
};
const question = { line: 'Gave keta', lineStart: 1 };

test('told anew of the same words, one stays on the offer that waits to be confirmed, wherever it is now', () => {
  const more = [offer('ketoprofen'), ...before.offers];
  expect(keptOf(before, question, more)).toEqual({ walking: 2, readingBack: 1 });
  expect(keptOf(before, question, [offer('ketoprofen')])).toEqual({ walking: null, readingBack: null });
});

test('of other words nothing is confirmed', () => {
  const none = { walking: null, readingBack: null };
  expect(keptOf(before, { ...question, line: 'Gave ketam' }, before.offers)).toEqual(none);
  expect(keptOf(before, { ...question, lineStart: 40 }, before.offers)).toEqual(none);
  expect(keptOf(null, question, before.offers)).toEqual(none);
});

test.each<[string, Partial<Offer>, string, boolean]>([
  ['nothing more was typed', {}, 'Gave keta', true],
  ['more of it was typed', {}, 'Gave ketamine', true],
  ['something else was typed', {}, 'Gave ketop', false],
  ['some of it was taken back', {}, 'Gave ket', false],
  ['it does not begin with what was typed', { by: 'initials' }, 'Gave ketam', false],
  ['it is no term', { kind: 'date' }, 'Gave ketam', false],
])('a key that comes before the answer: where %s', (_when, more, line, isSo) => {
  expect(stillFits({ ...offer('ketamine 50 mg/ml'), ...more }, 'Gave keta', line)).toBe(isSo);
});

test('Escape pressed before the answer has come calls it off, and is still the key of whatever is beneath', () => {
  const host = { liked: () => ({ on: true, bySpace: true }) } as unknown as OfferHost;
  const plugin = offering(host);
  const { state, type, press } = bareView(leafOf(['|'], [offerKeys(host), plugin]));
  type('the');
  expect(plugin.getState(state())?.wanted).toBe('typed');
  expect(press('Escape')).toBe(false);
  expect(plugin.getState(state())?.wanted).toBeNull();
});
