import { describe, expect, test } from '@jest/globals';
import { checkEntry, newEntry, newField, optionKeys, proposeTitle, readCompact } from './index';

test.each([
  ['{name} was weighed at {w} on {d} and took fluids well.', 'Weighed, took fluids well'],
  ['Dear {customer},\n\nThank you for looking out for the owlet.', 'Thank you for looking out for the owlet'],
  ['**Plan:** {plan}.', 'Plan'],
  ['Gave 1.5 ml at 10.30 by mouth. It slept.', 'Gave 1.5 ml at 10.30 by mouth'],
  ['{a} {b}.', ''],
  [
    'Handling is kept to a minimum: cover the pen, speak quietly, and wait.',
    'Handling is kept to a minimum: cover the pen',
  ],
])('the title proposed for %j', (wording, expected) => {
  expect(proposeTitle(readCompact(wording))).toBe(expected);
});

test('each option gets a letter of its own while there are any', () => {
  expect(optionKeys(['ticks', 'two wounds', 'fleas', 'out in daylight', 'tt'])).toEqual([
    't',
    'w',
    'f',
    'o',
    null,
  ]);
});

describe('what is wrong with an entry', () => {
  const sound = { ...newEntry('A', 'en-GB', readCompact('{a} ate.')), fields: [newField('text', 'a', 'A')] };
  test.each([
    ['nothing', sound, []],
    ['no words', newEntry('A', 'en-GB'), ['wording-empty']],
    ['a blank without its field', { ...sound, fields: [] }, ['field-unknown']],
    [
      'one name twice',
      { ...sound, fields: [...sound.fields, newField('text', 'b', 'a')] },
      ['field-name-twice'],
    ],
    ['one cue twice', { ...sound, cues: [{ text: 'x' }, { text: 'x' }] }, ['cue-twice']],
  ])('%s', (_what, content, codes) => {
    expect(checkEntry(content).map(({ code }) => code)).toEqual(codes);
  });
});
