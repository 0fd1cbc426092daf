import { expect, test } from '@jest/globals';
import { initialOf, initialsOf } from './initials';

test.each([
  ['adder', 'A'],
  ['Éider', 'E'],
  ['’t veld', '#'],
  ['5-fluorouracil', '#'],
  ['Żuraw', 'Z'],
  ['журавель', 'Ж'],
])('%s is listed under %s', (word, letter) => expect(initialOf(word)).toBe(letter));

test('letters come once, in their order, what begins with none last', () => {
  expect(initialsOf(['teal', '2-ring', 'adder', 'alder', 'Éider', 'eel'])).toEqual(['A', 'E', 'T', '#']);
  expect(initialsOf([])).toEqual([]);
});
