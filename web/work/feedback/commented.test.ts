import { expect, test } from '@jest/globals';
import type { CaseSubmission, OthersComments } from '#contracts';
import { DraftDocumentSchema } from '#core/draft';
import { plainPassage, plainText } from '#core/passage';
import { commentedOf, commentedText, commentsToPaste } from './commented';

const on = (block: number, from: number, to: number) => ({
  from: { block, at: from },
  to: { block, at: to },
});
const handed: CaseSubmission = {
  ...{ name: 'Report.docx', file: null, version: 1, takenAt: '2026-11-20T08:00:00Z', assignment: null },
  submission: {
    version: 1,
    blocks: ['We counted waders.', 'The tide was low.'].map((text) => ({
      kind: 'paragraph',
      spans: [{ text }],
    })),
    comments: [{ author: 'Ingrid Vale', at: '', text: 'How many?', on: on(0, 3, 10) }],
  },
};
const colleague: OthersComments = {
  ...{ author: 'imke', authorName: 'Imke Tarrow', savedAt: '2026-11-20T09:00:00Z', finished: true },
  comments: [
    {
      id: 'c1',
      on: on(1, 0, 8),
      words: 'The tide',
      before: '',
      passage: plainPassage('At what hour?'),
      secondLook: true,
    },
  ],
};
const document = DraftDocumentSchema.parse({
  type: 'doc',
  attrs: { placements: {} },
  content: [
    {
      type: 'box',
      attrs: { name: 'Comment', comment: { id: 'own', on: on(0, 0, 2), words: 'We' } },
      content: [{ type: 'paragraph', content: [{ type: 'text', text: 'Who?' }] }],
    },
    { type: 'paragraph', content: [{ type: 'text', text: 'Well counted.' }] },
  ],
});
const own = { document, savedAt: '2026-11-20T10:00:00Z' };
const commented = commentedOf({ id: 'case', title: 'Report' }, handed, own, { name: 'Desta Wynne' }, [
  colleague,
]);

test('in Markdown all comments are there, those that came in the file too, each by its author; a second look is told', () => {
  const text = commentedText(commented, 'markdown', 'en-GB');
  for (const said of [
    'Who?',
    'How many?',
    'At what hour?',
    'Well counted.',
    'Ingrid Vale',
    'Imke Tarrow (second look)',
  ])
    expect(text).toContain(said);
});

test('what is pasted elsewhere is what tutors say, and not what came in the file', () => {
  const text = plainText(commentsToPaste(commented));
  expect(text).toContain('At what hour?');
  expect(text).not.toContain('How many?');
});
