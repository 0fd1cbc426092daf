import { expect, test } from '@jest/globals';
import { entriesInOrder } from './entriesInOrder';
import { DraftDocumentSchema } from './draft';

const placed = (entry: string) => ({
  ...{ entry, revision: 1, title: entry, cue: null, wording: 'main' },
  ...{ language: 'en-GB', fields: [], answers: {} },
});
const words = (text: string, placement?: string) => ({
  ...{ type: 'text', text },
  ...(placement && { marks: [{ type: 'placed', attrs: { placement } }] }),
});
const draft = (content: unknown[], placements: Record<string, unknown>) =>
  DraftDocumentSchema.parse({ type: 'doc', attrs: { placements }, content });

test('entries come as a reader meets them, in lists and boxes too; what is gone from the text is left out', () => {
  const document = draft(
    [
      {
        type: 'box',
        attrs: { name: 'Subject' },
        content: [{ type: 'paragraph', content: [words('A', 'c')] }],
      },
      {
        type: 'paragraph',
        content: [words('By hand. '), words('One', 'a'), words(' and '), words('on', 'a')],
      },
      {
        type: 'bulletList',
        content: [
          {
            type: 'listItem',
            content: [{ type: 'paragraph', content: [words('Two', 'b'), words('one', 'd')] }],
          },
        ],
      },
    ],
    { a: placed('first'), b: placed('second'), c: placed('subject'), d: placed('first'), e: placed('gone') },
  );
  expect(entriesInOrder(document)).toEqual(['subject', 'first', 'second', 'first']);
});
