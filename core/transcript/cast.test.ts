import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { clashesIn, withSpeaker, type Speaker } from '.';

const castOf = (...names: string[]) =>
  names.reduce<Speaker[]>((cast, name, at) => withSpeaker(cast, `s${at}`, name), []);
const told = (cast: readonly Speaker[]) => cast.map(({ initials, key }) => `${initials} ${key}`);

test.each([
  [['Wilf Ambry'], ['WA w']],
  [
    ['Wilf Ambry', 'Wynn Arkell'],
    ['WA w', 'WAr a'],
  ],
  [
    ['Speaker 1', 'Speaker 2'],
    ['S1 s', 'S2 2'],
  ],
  [
    ['Siân', 'Siôn', 'Siân'],
    ['S s', 'Si i', 'Siâ â'],
  ],
  [
    ['?', '!'],
    ['S2 1', 'S3 2'],
  ],
])('initials and keys of %j', (names, expected) => {
  expect(told(castOf(...names))).toEqual(expected);
});

test('however many speak, whatever they are called, no two have the same initials or key', () => {
  fc.assert(
    fc.property(
      fc.array(fc.string({ unit: 'grapheme', minLength: 1, maxLength: 30 }), { maxLength: 30 }),
      (names) => {
        expect(clashesIn(castOf(...names))).toEqual([]);
      },
    ),
  );
});

test('what was made the same by hand is told, with what is free', () => {
  const [wilf, wynn] = castOf('Wilf Ambry', 'Wynn Arkell') as [Speaker, Speaker];
  const cast = [wilf, { ...wynn, key: 'W', initials: 'wa' }];
  expect(clashesIn(cast)).toMatchObject([
    { other: wilf, of: 'initials', free: 'WAr' },
    { other: wilf, of: 'key', free: 'a' },
  ]);
  expect(
    clashesIn([
      { ...wilf, key: '' },
      { ...wynn, key: '' },
    ]),
  ).toEqual([]);
});
