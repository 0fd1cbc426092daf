import { expect, test } from '@jest/globals';
import { DraftDocumentSchema, earlierUses, emptyDraft, languageOf, lastAnswers } from '.';
import type { Answer, DraftDocument, EarlierUse, Placement } from '.';

const said = (text: string): Answer => ({ kind: 'text', text });

const placed = (entry: string, answers: Placement['answers']): Placement => ({
  entry,
  revision: 1,
  title: entry,
  cue: null,
  wording: 'w',
  language: 'en-GB',
  fields: [
    { id: 'pen', name: 'pen', kind: 'text', question: '', offerLast: true },
    { id: 'mood', name: 'mood', kind: 'text', question: '' },
  ] as Placement['fields'],
  answers,
});

/** A draft in which these placements were made, and of which words of some still stand. */
const draft = (placements: Record<string, Placement>, standing: readonly string[]): DraftDocument => ({
  type: 'doc',
  attrs: { placements },
  content: standing.map((placement) => ({
    type: 'paragraph',
    content: [{ type: 'text', text: 'Words.', marks: [{ type: 'placed', attrs: { placement } }] }],
  })),
});

test('only answers that are to be offered again are left, of placements of which something stands', () => {
  const written = draft(
    {
      a: placed('ward-round', { pen: said('Pen 4'), mood: said('calm') }),
      b: placed('ward-round', { pen: said('Pen 9') }),
      c: placed('feeding', { mood: said('lively') }),
    },
    ['a', 'c'],
  );
  expect(earlierUses(written)).toEqual([{ entry: 'ward-round', answers: { pen: said('Pen 4') } }]);
});

test('the last answer to each field counts, and another entry’s never does', () => {
  const uses: EarlierUse[] = [
    { entry: 'ward-round', answers: { pen: said('Pen 4'), by: said('Odile') } },
    { entry: 'feeding', answers: { pen: said('Pen 1') } },
    { entry: 'ward-round', answers: { pen: said('Pen 6') } },
  ];
  expect(lastAnswers(uses, 'ward-round')).toEqual({ pen: said('Pen 6'), by: said('Odile') });
  expect(lastAnswers(uses, 'release')).toEqual({});
});

test('a draft is checked as a whole: its words and its placements, and what is wrong is told where', () => {
  expect(DraftDocumentSchema.parse(emptyDraft())).toEqual(emptyDraft());
  const bad = DraftDocumentSchema.safeParse({
    type: 'doc',
    content: [{ type: 'script' }],
    attrs: { placements: { a: { ...placed('x', {}), revision: 0 } } },
  });
  const paths = bad.error?.issues.map(({ path }) => path.join('.')) ?? [];
  expect(paths.some((path) => path.startsWith('content'))).toBe(true);
  expect(paths).toContain('attrs.placements.a.revision');
});

test('a draft is in the language that most of its placed words are in, whatever was placed and is gone', () => {
  const [welsh, english] = [{ ...placed('reply', {}), language: 'cy' }, placed('reply', {})];
  expect(languageOf(draft({ a: english, b: welsh }, ['a', 'b', 'b']))).toBe('cy');
  expect(languageOf(draft({ a: english, b: welsh }, ['a']))).toBe('en-GB');
  expect(languageOf(draft({ b: welsh }, []))).toBeNull();
  expect(languageOf(draft({ a: english, b: welsh }, ['a', 'b', 'gone']))).toBe('en-GB');
});
