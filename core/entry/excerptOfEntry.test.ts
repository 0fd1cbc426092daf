import { expect, test } from '@jest/globals';
import { readEntry } from '#core/notation';
import { excerptOfEntry } from './excerptOfEntry';

const entry = (wording: string) => {
  const read = readEntry(`title: Round\n\nfield Name: detail name\n\n== wording Main: en-GB\n\n${wording}\n`);
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return read.value;
};

test('an excerpt tells the fields of its blanks, and is cut between words', () => {
  expect(excerptOfEntry(entry('{Name} ate **well** today.'), 80)).toBe('‹Name› ate well today.');
  expect(excerptOfEntry(entry('{Name} ate well and slept.'), 14)).toMatch(/^‹Name› ate( well)?…$/);
});
