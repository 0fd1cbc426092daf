import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { entriesOfRows } from './entriesOfRows';
import { proposedColumns } from './columnRoles';
import { signsIn } from './signs';
import { withFieldsMarked } from './withFieldsMarked';

test.each([
  ['Dear name, see you on date.', ['name', 'date'], 'Dear [name], see you on [date].'],
  ['Dear {name}, see you on date.', ['name', 'date'], 'Dear {name}, see you on [date].'],
  ['Dear first name name', ['name', 'first name'], 'Dear [first name] [name]'],
  ['Dear <<name>>, your surname', ['<<name>>'], 'Dear <<name>>, your surname'],
  ['Weight (kg): weight (kg)', ['weight (kg)'], 'Weight (kg): [weight (kg)]'],
  ['Nothing', [], 'Nothing'],
])('“%s” with %j', (words, names, marked) => {
  expect(withFieldsMarked(words, names)).toBe(marked);
});

test('marked twice, nothing more is marked', () => {
  fc.assert(
    fc.property(
      fc.array(fc.constantFrom('name', 'date', 'the', '[name]', 'Dear', 'first name'), { maxLength: 8 }),
      fc.subarray(['name', 'date', 'first name']),
      (words, names) => {
        const once = withFieldsMarked(words.join(' '), names);
        expect(withFieldsMarked(once, names)).toBe(once);
      },
    ),
  );
});

test('a column of fields says which words of a wording are blanks', () => {
  const table = {
    ...{ name: '', remarks: [] },
    heads: ['Title', 'Text', 'Placeholders'],
    rows: [['Visit', 'Dear visitor, you come on day.', 'visitor; day']],
  };
  const columns = proposedColumns(table);
  expect(columns.map(({ role }) => role)).toEqual(['title', 'wording', 'fields']);
  const { entries } = entriesOfRows(table, columns, 'en-GB');
  expect(signsIn(entries.map(({ content }) => content)).map(({ name }) => name.toLowerCase())).toEqual([
    'visitor',
    'day',
  ]);
});
