import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { slips } from '#core/difference';
import { Finder, nearest, nearWords, plainWord, slackOf, stemOf, type Findable } from './index';

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
  ['weighs', ['wt', 'adm']],
  ['opened', ['cafe']],
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
  ['The hedgehog we admitted was weighing very little', [['adm', 'admit hedgehog littl was weigh']]],
  ['Is your CAFE open? It was shut at dusk.', [['cafe', 'caf dusk open']]],
  ['mouth', [['fl', 'mouth']]],
  ['An owl on the motorway', []],
  ['', []],
])('nearest to %j', (text, expected) => {
  const found = nearest(text, all, 2).map(({ id, words }) => [id, [...words].sort().join(' ')]);
  expect(found.slice(0, Math.max(1, expected.length))).toEqual(expected);
});

test.each([
  ['volunteering', 'volunteers', 'volunteer'],
  ['bathe', 'bathing', 'bathed', 'baths'],
  ['running', 'runs', 'run'],
  ['worries', 'worried', 'worry', 'worrying'],
  ['wormed', 'worming', 'worm'],
  ['weighs', 'weighing', 'weigh'],
  ['Opening', 'opened', 'opens'],
])('%s, %s … have one stem', (...forms) => {
  expect(new Set(forms.map(stemOf)).size).toBe(1);
});

test.each([
  ['wing', 'wings'],
  ['red', 'reds'],
  ['bed', 'beds'],
])('%s is no form of another word, and has one stem with %s', (one, many) => {
  expect(stemOf(one)).toBe(one);
  expect(stemOf(many)).toBe(one);
});

test('a stem begins every word it is of, whatever the word', () => {
  fc.assert(
    fc.property(
      fc.string({ unit: fc.constantFrom(...'abdegilnrsyéŴ'), minLength: 1, maxLength: 12 }),
      (word) => {
        expect(plainWord(word).startsWith(stemOf(word))).toBe(true);
        expect(stemOf(word)).not.toBe('');
      },
    ),
  );
});

test('one word in common is enough where few entries are about it', () => {
  const about = (id: string, title: string, wording: string): Findable => ({
    ...{ id, title, wording, purpose: '', cues: [], tags: [] },
  });
  const bank = [
    about('vol', 'Thanks for offering to volunteer', 'We are glad of help at weekends.'),
    ...['Opening hours', 'Visits', 'Owlets', 'Gifts', 'Hedgehogs', 'Swans', 'Seals', 'Bats'].map(
      (title, at) => about(`e${at}`, title, 'We look after it and call on Saturday.'),
    ),
  ];
  expect(nearest('wants to volunteer on Saturdays', bank, 3)[0]).toMatchObject({ id: 'vol' });
  expect(nearest('a bus came on Saturday', bank, 3)).toEqual([]);
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

test('other forms are found too, after the word itself: also those that say it anew', () => {
  const bank = [
    entry('a', 'Dewormed', 'Given against worms by mouth.', 'dw'),
    entry('b', 'Worming, second round', 'Once more.', 'w2'),
    entry('c', 'Reward', 'Thank you for looking after the ward.', 'rw'),
    entry('d', 'Rehydrated', 'Salts by tube.', 'rh'),
  ];
  const among = new Finder(bank);
  expect(among.find('worming')).toEqual(['b', 'a']);
  expect(among.find('hydrating')).toEqual(['d']);
  // The stem of what has no ending is the word: nothing is read into it.
  expect(among.find('ward')).toEqual(['c']);
  expect(among.readAs('hydrating')).toEqual([]);
});

test.each([
  ['wieght', [{ typed: 'wieght', as: 'weight' }]],
  ['fluds mouth', [{ typed: 'fluds', as: 'fluids' }]],
  ['weigh', []],
  ['weight', []],
  ['Cafe', []],
  ['zzzzzz', []],
  ['', []],
])('“%s” tells which of its words was read as another', (query, told) => {
  expect(finder.readAs(query)).toEqual(told);
});
