import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { slips } from '#core/difference';
import { Finder, nearest, nearWords, slackOf, type Findable } from './index';

const entry = (id: string, title: string, wording: string, cue: string, purpose = ''): Findable => ({
  id,
  title,
  purpose,
  wording,
  cues: [cue],
  tags: [],
});

const all = [
  entry('wt', 'Weight today', 'It weighed more than on admission.', 'wt', 'After each weighing'),
  entry('adm', 'Hedgehog admission', 'It was admitted weighing little.', 'adm'),
  entry('fl', 'Fluids given', 'Warmed fluids were given by mouth.', 'fl', 'Under the skin or by mouth'),
  entry('cafe', 'Opening hours', 'The café is open until dusk.', 'hrs'),
];
const finder = new Finder(all);

// What people see, in order: a change of ranking shows here as a readable difference.
test.each([
  ['weight', ['wt']],
  ['weigh', ['wt', 'adm']],
  ['wieght', ['wt']],
  ['fluds', ['fl']],
  ['admission', ['adm', 'wt']],
  ['adm', ['adm', 'wt']],
  ['mouth fluids', ['fl']],
  ['cafe', ['cafe']],
  ['hrs', ['cafe']],
  ['skin', ['fl']],
  ['otter', []],
  ['', ['wt', 'adm', 'fl', 'cafe']],
])('%j finds %j', (query, expected) => {
  expect(finder.find(query)).toEqual(expected);
});

// What people see, in order, and the words it is told by.
test.each([
  ['The hedgehog we admitted was weighing very little', [['adm', 'admitted hedgehog little was weighing']]],
  ['Is your CAFE open? It was shut at dusk.', [['cafe', 'cafe dusk open']]],
  ['mouth', [['fl', 'mouth']]],
  ['An owl on the motorway', []],
  ['', []],
])('nearest to %j', (text, expected) => {
  const found = nearest(text, all, 2).map(({ id, words }) => [id, [...words].sort().join(' ')]);
  expect(found.slice(0, Math.max(1, expected.length))).toEqual(expected);
});

test('words that a misspelt one may have been meant for: all within its slack, and no others', () => {
  const word = fc.string({ unit: fc.constantFrom(...'abcdé'), minLength: 1, maxLength: 10 });
  fc.assert(
    fc.property(word, fc.array(word), (typed, among) => {
      const near = among.filter((one) => one !== typed && slips(typed, one) <= slackOf(typed));
      expect([...nearWords(typed, among)].sort()).toEqual(near.sort());
    }),
  );
});
