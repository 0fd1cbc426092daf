import { expect, test } from '@jest/globals';
import { EntryContentSchema } from './entry';
import { newEntry, newField } from './newEntry';
import { plainPassage } from '#core/passage';

import { asKind, at, fieldFromWords, mainPassage, withPassage } from './fieldsOfContent';

test.each([
  ['two grams', 'Two grams'],
  ['  ', 'Blank'],
  ['', 'Blank'],
  ['élan', 'Élan'],
  ['a'.repeat(50), `A${'a'.repeat(39)}`],
])('the words %j make a field named %j', (words, name) => {
  expect(fieldFromWords(words, [])).toMatchObject({ kind: 'text', name, id: 'f1' });
});

test('no name and no id is given twice', () => {
  const fields = [newField('text', 'f2', 'Food'), newField('text', 'f1', 'food 2')];
  expect(fieldFromWords('food', fields)).toMatchObject({ name: 'Food 3', id: 'f3' });
});

test('a name is never cut within a sign, which no store would take', () => {
  const { name } = fieldFromWords(`${'a'.repeat(39)}🦔 and more`, []);
  expect(() => encodeURIComponent(name)).not.toThrow();
  const content = {
    ...newEntry('Fed', 'en-GB', plainPassage('It ate.')),
    fields: [fieldFromWords('🦔'.repeat(60), [])],
  };
  expect(EntryContentSchema.safeParse(content).success).toBe(true);
});

test('another kind keeps what both have: name, question, hint, whether it is required', () => {
  const field = {
    ...newField('text', 'f1', 'When'),
    question: 'Which day?',
    hint: 'the first',
    required: false,
  };
  const day = asKind(field, 'date');
  expect(day).toMatchObject({
    id: 'f1',
    name: 'When',
    question: 'Which day?',
    hint: 'the first',
    required: false,
  });
  expect(day.kind).toBe('date');
  expect(asKind(day, 'date')).toBe(day);
});

test('a passage is put where it belongs and nowhere else; of what is gone the first is meant', () => {
  const one = newEntry('Fed', 'en-GB', plainPassage('It ate.'));
  const [main] = one.wordings;
  const other = {
    ...main!,
    id: 'w2',
    parts: [
      { ...main!.parts[0]!, id: 'p1' },
      { ...main!.parts[0]!, id: 'p2' },
    ],
  };
  const content = { ...one, wordings: [main!, other] };
  const changed = withPassage(content, { wording: 'w2', part: 'p2' }, plainPassage('It slept.'));
  expect(changed.wordings[0]).toBe(main);
  expect(changed.wordings[1]!.parts.map(({ passage }) => JSON.stringify(passage).includes('slept'))).toEqual([
    false,
    true,
  ]);
  // What is read is the last part: those before it have boxes of their own.
  expect(mainPassage(changed, 'w2')).toEqual(plainPassage('It slept.'));
  expect(at(changed, { wording: 'gone', part: 'gone' }).wording).toBe(main);
});

test('the words a field was made of are what it puts down first, whole, as they stood', () => {
  const field = fieldFromWords('calm', []);
  expect(field.name).toBe('Calm');
  expect(asKind(field, 'choice', 'calm')).toMatchObject({ options: [{ label: 'calm', words: null }] });
  const long = 'it eats a little and has to be coaxed with warm food, twice a day';
  expect(asKind(fieldFromWords(long, []), 'choice', long)).toMatchObject({
    options: [{ label: long, words: null }],
  });
  expect(asKind(field, 'alternates', 'calm')).toMatchObject({ alternates: [{ words: 'calm' }] });
  expect(asKind(field, 'yes-no', 'calm')).toMatchObject({ yes: 'calm', no: '' });
  expect(asKind(field, 'choice')).toMatchObject({ options: [{ label: 'Calm' }] });
});
