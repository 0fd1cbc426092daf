import { expect, test } from '@jest/globals';
import type { Field } from '#core/entry';
import { Knowledge } from './knowledge';
import { emptyRecord } from '#core/record';
import { fillPlainly, plainBlank } from './plainLine';
import { plainRecord } from './plainRecord';

const field: Field = {
  id: 'f',
  name: 'f',
  question: '',
  hint: '',
  required: true,
  kind: 'text',
  starting: '',
};

/** A line of one blank, at a sentence's beginning or not, filled. */
const filled = (words: string, begins: boolean) =>
  fillPlainly(
    { between: ['It is ', ' now.'], blanks: [plainBlank(field, 'as-is', 0, begins)] },
    {
      know: new Knowledge({
        fields: [field],
        conditions: [],
        day: '2026-11-25',
        language: 'en-GB',
        answerTo: () => ({ kind: 'text', text: words }),
      }),
      record: plainRecord(emptyRecord(), 'en-GB'),
      given: [{ kind: 'text', text: words }],
    },
  );

test.each([
  ['calm', false],
  ['412 g', false],
  ['Calm', true],
  ['3 owls', true],
  ['e.g. thin', false],
])('“%s” is put between the words of its line', (words, begins) => {
  expect(filled(words, begins)).toBe(`It is ${words} now.`);
});

test.each([
  ['nothing', '', false],
  ['of two lines', 'calm\nand well', false],
  ['what ends in a mark', 'b.i.d.', false],
  ['what ends its sentence', 'really?', false],
  ['what ends in a closing quote', 'so “calm”', false],
  ['what begins with a bracket', '(calm) so', false],
  ['a letter that is not of English', 'éclair', false],
  ['a small letter that begins a sentence', 'calm', true],
])('%s is mended with its line, not by this', (_what, words, begins) => {
  expect(filled(words, begins)).toBeNull();
});
