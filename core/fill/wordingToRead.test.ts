import { expect, test } from '@jest/globals';
import { newEntry, type EntryContent, type Field } from '#core/entry';
import { plainText, type Inline } from '#core/passage';
import { wordingToRead } from './wordingToRead';

const include = (entry: string): Inline => ({ type: 'include', attrs: { entry } });
const text = (words: string): Inline => ({ type: 'text', text: words });
const blank = (field: string) => ({ type: 'blank', attrs: { field, placement: null } }) as Inline;
const entryOf = (content: Inline[], fields: { id: string; name: string }[] = []): EntryContent => ({
  ...newEntry('x', 'en-GB', { type: 'doc', content: [{ type: 'paragraph', content }] }),
  fields: fields as Field[],
});
const opening = entryOf([text('Dear '), blank('to'), text(',')], [{ id: 'to', name: 'Addressee' }]);
const letter = entryOf([include('opening'), text(' we are open.')]);

test('an entry is read with the words of those it holds, their blanks by their own names', () => {
  const { passage, nameOf } = wordingToRead(letter, (id) => (id === 'opening' ? opening : undefined));
  expect(plainText(passage, '…')).toBe('Dear , we are open.');
  const [line] = passage.content as { content: Inline[] }[];
  const [held] = line!.content.filter(({ type }) => type === 'blank') as { attrs: { field: string } }[];
  expect(nameOf(held!.attrs.field)).toBe('Addressee');
});

test('where one that it holds is not at hand, each stands as another entry still', () => {
  const both = entryOf([include('opening'), include('away')]);
  const { passage } = wordingToRead(both, (id) => (id === 'opening' ? opening : undefined));
  expect(passage).toBe(both.wordings[0]!.parts[0]!.passage);
});
