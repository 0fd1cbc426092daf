import { describe, expect, test } from '@jest/globals';
import type { Passage } from '#core/passage';
import {
  checkEntry,
  conditionInWords,
  fieldUses,
  newEntry,
  newField,
  optionKeys,
  proposeTitle,
  renameField,
  withoutUnusedConditions,
  type Condition,
  type Field,
} from './index';
import { passageFrom } from '#core/notation';

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
  expect(proposeTitle(passageFrom(wording))).toBe(expected);
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

const worked = (id: string, formula: string): Field => ({
  ...(newField('computed', id, id) as Extract<Field, { kind: 'computed' }>),
  calculation: { by: 'formula', formula },
});
const whenPassage: Passage = {
  type: 'doc',
  content: [
    {
      type: 'paragraph',
      content: [
        {
          type: 'text',
          text: 'It ate.',
          marks: [{ type: 'when', attrs: { condition: 'gone', placement: null } }],
        },
      ],
    },
  ],
};

test.each([
  ['Weight', 'First weight', "'First weight' * 2 + MAX('First weight'; 3)", 'at {First weight|words}'],
  ['weight', 'w', 'w * 2 + MAX(w; 3)', 'at {w|words}'],
])('a field renamed from %s to %s is followed by formulas and words', (from, to, formula, words) => {
  const fields = [
    newField('number', 'a', from),
    worked('b', 'Weight * 2 + MAX(Weight; 3)'),
    {
      ...newField('choice', 'c', 'C'),
      options: [{ id: 'x', label: 'x', words: 'at {Weight|words}' }],
    } as Field,
  ];
  const [, b, c] = renameField(fields, 'a', to);
  expect(b).toMatchObject({ calculation: { formula } });
  expect(c).toMatchObject({ options: [{ words }] });
});

test('a condition that no passage stands under is no use of its field, and is not kept', () => {
  const fields = [newField('text', 'a', 'A')];
  const conditions = [{ id: 'gone', when: { test: 'answered' as const, field: 'a' } }];
  const inUse = { ...newEntry('A', 'en-GB', whenPassage), fields, conditions };
  const unused = { ...newEntry('A', 'en-GB'), fields, conditions };
  const uses = [inUse, unused].map((content) => fieldUses(content).get('a')?.elsewhere);
  expect(uses).toEqual([1, 0]);
  expect(withoutUnusedConditions(inUse)).toBe(inUse);
  expect(withoutUnusedConditions(unused).conditions).toBeUndefined();
});

test('a condition in words', () => {
  const fields: Field[] = [newField('choice', 'a', 'Appetite'), newField('number', 'd', 'Days')];
  const condition: Condition = {
    test: 'all',
    of: [
      { test: 'is-not', field: 'a', value: 'a' },
      {
        test: 'any',
        of: [
          { test: 'over', field: 'd', value: 14 },
          { test: 'unanswered', field: 'd' },
        ],
      },
    ],
  };
  expect(conditionInWords(condition, fields)).toBe(
    'Appetite is not Appetite and (Days is over 14 or Days is not answered)',
  );
});

describe('what is wrong with an entry', () => {
  const sound = { ...newEntry('A', 'en-GB', passageFrom('{a} ate.')), fields: [newField('text', 'a', 'A')] };
  test.each([
    ['nothing', sound, []],
    ['no words', newEntry('A', 'en-GB'), ['wording-empty']],
    ['a blank without its field', { ...sound, fields: [] }, ['field-unknown']],
    [
      'one name twice',
      { ...sound, fields: [...sound.fields, newField('text', 'b', 'a')] },
      ['field-name-twice'],
    ],
    [
      'a condition on a deleted field',
      { ...sound, conditions: [{ id: 'c', when: { test: 'answered' as const, field: 'z' } }] },
      ['field-unknown'],
    ],
    [
      'an optional passage without its condition',
      { ...sound, wordings: newEntry('A', 'en-GB', whenPassage).wordings },
      ['condition-unknown'],
    ],
    [
      'a formula with a slip',
      { ...sound, fields: [...sound.fields, worked('b', 'ROUNDD(A; 1)')] },
      ['formula'],
    ],
    ['a formula of no field', { ...sound, fields: [...sound.fields, worked('b', 'Z + 1')] }, ['formula']],
    [
      'a ring of fields',
      { ...sound, fields: [...sound.fields, worked('b', 'c + 1'), worked('c', 'b + 1')] },
      ['ring'],
    ],
    ['one cue twice', { ...sound, cues: [{ text: 'x' }, { text: 'x' }] }, ['cue-twice']],
  ])('%s', (_what, content, codes) => {
    expect(checkEntry(content).map(({ code }) => code)).toEqual(codes);
  });
});
