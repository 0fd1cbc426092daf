import { expect, test } from '@jest/globals';
import { isSame } from './isSame';

const run = (text: string, ...marks: string[]) => ({
  type: 'text',
  text,
  marks: marks.map((type) => ({ type })),
});
const passage = (...content: unknown[]) => ({ type: 'doc', content });
const line = (...content: unknown[]) => ({ type: 'paragraph', content });

test.each([
  ['keys in another order', { a: 1, b: { c: 2, d: 3 } }, { b: { d: 3, c: 2 }, a: 1 }, true],
  ['another value', { a: 1 }, { a: 2 }, false],
  ['lists in another order', [1, 2], [2, 1], false],
  ['nothing and nothing', undefined, undefined, true],
  [
    'drafts of the same words, sent to others',
    { ...passage(line(run('It ate.'))), attrs: { placements: {}, envelope: { to: 'a@marsh.example' } } },
    { ...passage(line(run('It ate.'))), attrs: { placements: {}, envelope: { to: 'b@marsh.example' } } },
    false,
  ],
  [
    'drafts of the same words, their attributes in another order',
    { ...passage(line(run('It ate.'))), attrs: { placements: {}, levels: { a: 'b' } } },
    { ...passage(line(run('It ate.'))), attrs: { levels: { a: 'b' }, placements: {} } },
    true,
  ],
  ['nothing and null', undefined, null, false],
  [
    'marks in another order',
    passage(line(run('It ate.', 'bold', 'italic'))),
    passage(line(run('It ate.', 'italic', 'bold'))),
    true,
  ],
  ['a mark more', passage(line(run('It ate.', 'bold'))), passage(line(run('It ate.'))), false],
  [
    'words in two runs of the same marks',
    passage(line(run('It ', 'bold'), run('ate.', 'bold'))),
    passage(line(run('It ate.', 'bold'))),
    true,
  ],
  ['an empty line, with and without its content', passage(line()), passage({ type: 'paragraph' }), true],
  [
    'a list that begins at one, said or not',
    { passage: passage({ type: 'orderedList', attrs: { start: 1, type: null }, content: [] }) },
    { passage: passage({ type: 'orderedList', content: [] }) },
    true,
  ],
  [
    'a list that begins at three',
    passage({ type: 'orderedList', attrs: { start: 3 }, content: [] }),
    passage({ type: 'orderedList', content: [] }),
    false,
  ],
  [
    'a cell over two columns',
    passage({ type: 'tableCell', attrs: { colspan: 2, rowspan: 1 }, content: [line()] }),
    passage({ type: 'tableCell', content: [line()] }),
    false,
  ],
])('%s: %#', (_, one, other, expected) => {
  expect(isSame(one, other)).toBe(expected);
  expect(isSame(other, one)).toBe(expected);
});
