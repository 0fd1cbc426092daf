import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { DETAILS } from './details';
import { detailsInText } from './detailsInText';

const foundIn = (text: string) => Object.fromEntries(detailsInText(text).found);

test.each([
  [
    'labels and colons',
    'Name: Bramble\nDate of birth: 4 Mar 2026\nSex: female',
    { name: 'Bramble', born: '4 Mar 2026', sex: 'female' },
  ],
  ['a sex by its letter', 'Gender: F', { sex: 'female' }],
  [
    'what other programs call them',
    'PATIENT NAME : Bramble\r\nD.O.B.: 04/03/2026\r\nRef: HH-1186',
    { name: 'Bramble', born: '04/03/2026', number: 'HH-1186' },
  ],
  [
    'tabs',
    'Enquirer’s name\tNia Parry\nSubject\tA hedgehog: by day',
    { customer: 'Nia Parry', topic: 'A hedgehog: by day' },
  ],
  [
    'a row of a table under its heading',
    'Name\tSpecies\tWard\nBramble\thedgehog\tpen 6',
    { name: 'Bramble', species: 'hedgehog', ward: 'pen 6' },
  ],
  ['a cell left empty', 'Name\tSpecies\nBramble\t', { name: 'Bramble' }],
  ['the first of two', 'Name: Bramble\nName: Thistle', { name: 'Bramble' }],
  ['nothing behind the colon', 'Name:\nSex: male', { sex: 'male' }],
  ['a sentence with a colon', 'She said that it was found in the hedge by the gate: alive.', {}],
  ['a label that nobody knows', 'Favourite food: slugs', {}],
  ['nothing', '', {}],
])('%s', (_what, text, wanted) => {
  expect(foundIn(text)).toEqual(wanted);
});

test('what is not understood is told line by line', () => {
  expect(detailsInText('Name: Bramble\n\nSeen twice.\nFavourite food: slugs').others).toEqual([
    'Seen twice.',
    'Favourite food: slugs',
  ]);
});

test('every detail is known by its own label, whatever its capitals', () => {
  for (const { path, label } of DETAILS)
    expect(foundIn(`${label.toUpperCase()}: x`)).toEqual({ [path]: 'x' });
});

test('of any text every line with words is found or told, and none is made up', () => {
  fc.assert(
    fc.property(fc.array(fc.string({ maxLength: 60 }), { maxLength: 8 }), (lines) => {
      const text = lines.join('\n');
      const { found, others } = detailsInText(text);
      for (const [path, words] of found)
        if (path !== 'sex') expect(text.replace(/\t/g, ' ')).toContain(words);
      for (const line of others) expect(text.includes(line) || line.includes('\t')).toBe(true);
    }),
  );
});
