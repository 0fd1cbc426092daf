import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { DraftDocumentSchema, type DraftDocument } from '#core/draft';
import { mostPoints, tallyOf } from './tally';

type Counts = { criterion: string; as: 'praise' | 'fault' | null } | null;

const placementOf = (title: string) => ({
  ...{ entry: `e-${title}`, revision: 1, title, cue: null, wording: 'main', language: 'en-GB' },
  ...{ fields: [], answers: {} },
});

/** A draft with a comment for each: what it counts as, of which entry it is, and what it points back to. */
function draft(
  comments: readonly { id: string; counts: Counts; entry?: string; again?: string }[],
  levels?: Record<string, string>,
): DraftDocument {
  const placed = comments.flatMap(({ id, entry }) =>
    entry ? [[`p-${id}`, placementOf(entry)] as const] : [],
  );
  return DraftDocumentSchema.parse({
    type: 'doc',
    attrs: { placements: Object.fromEntries(placed), ...(levels && { levels }) },
    content: [
      ...comments.map(({ id, counts, entry, again }) => ({
        type: 'box',
        attrs: {
          name: 'Comment',
          comment: {
            ...{ id, on: { from: { block: 0, at: 0 }, to: { block: 0, at: 1 } }, words: 'a', counts },
            ...(again && { again: { of: again, words: 'As above.', language: 'en-GB' } }),
          },
        },
        content: [
          {
            type: 'paragraph',
            content: [
              {
                ...{ type: 'text', text: 'Say so.' },
                ...(entry && { marks: [{ type: 'placed', attrs: { placement: `p-${id}` } }] }),
              },
            ],
          },
        ],
      })),
      { type: 'paragraph' },
    ],
  });
}

const level = (id: string, points: number | null = null) => ({ id, name: id, words: '', points });
const EVIDENCE = { id: 'c1', name: 'Evidence', levels: [level('full', 4), level('some', 2.5)] };
const STYLE = { id: 'c2', name: 'Style', levels: [] };
const fault = (criterion: string): Counts => ({ criterion, as: 'fault' });

describe('what comments come to', () => {
  test('by criterion, whatever the case of its name; what no assignment names, and what counts towards none, behind', () => {
    const { criteria, comments } = tallyOf(
      draft([
        { id: 'a', counts: fault('evidence ') },
        { id: 'b', counts: { criterion: 'Evidence', as: 'praise' } },
        { id: 'c', counts: fault('Order') },
        { id: 'd', counts: fault('') },
        { id: 'e', counts: { criterion: 'Evidence', as: null } },
        { id: 'f', counts: null },
      ]),
      [EVIDENCE, STYLE],
    );
    expect(comments).toBe(6);
    expect(criteria.map(({ name, praise, faults }) => [name, praise, faults])).toEqual([
      ['Evidence', 1, 1],
      ['Style', 0, 0],
      ['Order', 0, 1],
      ['', 0, 1],
    ]);
  });

  test('the points of levels that were given add up; a level that is there no more gives none', () => {
    const of = (levels: Record<string, string>) => tallyOf(draft([], levels), [EVIDENCE, STYLE]);
    expect(of({ c1: 'some' }).points).toEqual({ given: 2.5, most: 4 });
    expect(of({ c1: 'gone' })).toMatchObject({
      points: { given: 0, most: 4 },
      criteria: [{ level: null }, {}],
    });
    expect(mostPoints([STYLE])).toBeNull();
    expect(tallyOf(draft([]), [STYLE]).points).toBeNull();
    const tenths = { id: 'c3', name: 'Tenths', levels: [level('x', 0.1)] };
    const fifths = { id: 'c4', name: 'Fifths', levels: [level('y', 0.2)] };
    expect(tallyOf(draft([], { c3: 'x', c4: 'y' }), [tenths, fifths]).points?.given).toBe(0.3);
  });

  test('the commonest fault comes first; one that points back is the fault it points to', () => {
    const { faults, praised } = tallyOf(
      draft([
        { id: 'a', counts: fault(''), entry: 'Source' },
        { id: 'b', counts: fault(''), entry: 'Be exact' },
        { id: 'c', counts: fault(''), again: 'b' },
        { id: 'd', counts: { criterion: '', as: 'praise' }, entry: 'Well observed' },
        { id: 'e', counts: fault('') },
      ]),
      [],
    );
    expect(faults).toEqual([
      { title: 'Be exact', count: 2 },
      { title: 'Source', count: 1 },
    ]);
    expect(praised).toEqual([{ title: 'Well observed', count: 1 }]);
  });

  test('every comment that counts is counted once, whatever they are', () => {
    const counts = fc.option(
      fc.record({
        criterion: fc.constantFrom('', 'Evidence', 'style', 'Other'),
        as: fc.constantFrom<'praise' | 'fault' | null>('praise', 'fault', null),
      }),
    );
    fc.assert(
      fc.property(fc.array(counts, { maxLength: 12 }), (all) => {
        const tally = tallyOf(draft(all.map((one, at) => ({ id: `c${at}`, counts: one }))), [
          EVIDENCE,
          STYLE,
        ]);
        const sum = (part: 'praise' | 'faults') => tally.criteria.reduce((so, one) => so + one[part], 0);
        expect(sum('praise')).toBe(all.filter((one) => one?.as === 'praise').length);
        expect(sum('faults')).toBe(all.filter((one) => one?.as === 'fault').length);
      }),
    );
  });
});
