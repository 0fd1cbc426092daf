import { expect, test } from '@jest/globals';
import type { Way, WayCount } from './ways';
import { keysEach, waysInWords } from './waysInWords';

const NAMED: Record<Way, string> = {
  ...{ cue: 'by its cue', keys: 'by its keys', offer: 'from the offers', 'look-up': 'from the look-up' },
  click: 'by a click',
};
const ways = (...all: [Way, number, number][]): WayCount[] =>
  all.map(([way, times, keys]) => ({ way, times, keys }));

test.each<[string, WayCount[], string | null]>([
  ['nothing brought', [], null],
  ['too little to say anything', ways(['cue', 4, 12]), null],
  ['one way', ways(['cue', 40, 128]), 'You bring wording by its cue most: 3.2 keys each time.'],
  [
    'the one used most takes more keys than another',
    ways(['look-up', 20, 180], ['cue', 10, 35]),
    'You bring wording from the look-up most: 9 keys each time. Brought by its cue it takes you 3.5.',
  ],
  [
    'another was used too rarely to be compared',
    ways(['look-up', 20, 180], ['click', 2, 2]),
    'You bring wording from the look-up most: 9 keys each time.',
  ],
  [
    'both take the same',
    ways(['cue', 10, 30], ['keys', 9, 27]),
    'You bring wording by its cue most: 3 keys each time.',
  ],
])('%s', (_, told, expected) => expect(waysInWords(told, NAMED, 'en-GB')).toBe(expected));

test('keys each time are a mean to one decimal, and none where nothing was brought', () => {
  expect(keysEach({ way: 'cue', times: 3, keys: 10 })).toBe(3.3);
  expect(keysEach({ way: 'cue', times: 0, keys: 0 })).toBeNull();
});
