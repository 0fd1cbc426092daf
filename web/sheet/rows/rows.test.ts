import { beforeEach, expect, test } from '@jest/globals';
import { keptHere } from '../../../client/testing/keptHere';
import { emptyRow, keepSitting, readSitting, rowsPasted, type Row } from './rows';

let computer: ReturnType<typeof keptHere>;
beforeEach(() => {
  computer = keptHere();
});

const row = (over: Partial<Row>): Row => ({ ...emptyRow(), title: 'Fed', ...over });

test('what the server has, and what is empty, is not kept; all else is, and what was on its way is to be sent again by its key', () => {
  const rows = [
    row({ key: 'a', state: 'writing' }),
    row({ key: 'b', state: 'sending' }),
    row({ key: 'c', state: 'refused', why: 'Its cue is taken.', proposed: 'fd2' }),
    row({ key: 'd', state: 'kept', entry: 'e1' }),
    row({ key: 'e', title: ' ' }),
  ];
  keepSitting('imke', { collection: 'ward', rows });
  const again = readSitting('imke')!;
  expect(again.collection).toBe('ward');
  expect(again.rows.map(({ key, state }) => [key, state])).toEqual([
    ['a', 'writing'],
    ['b', 'writing'],
    ['c', 'refused'],
  ]);
  expect(again.rows[2]).toMatchObject({ why: 'Its cue is taken.', proposed: 'fd2' });
  // Another member at the same computer sees none of it.
  expect(readSitting('odile')).toBeNull();
});

test('once all is sent, nothing is left behind on this computer', () => {
  keepSitting('imke', { collection: 'ward', rows: [row({})] });
  keepSitting('imke', { collection: 'ward', rows: [row({ state: 'kept', entry: 'e1' }), emptyRow()] });
  expect([...computer.kept]).toEqual([]);
});

test('a computer without room, or with something else in its place, is no error', () => {
  computer.isFull = true;
  keepSitting('imke', { collection: 'ward', rows: [row({})] });
  expect(readSitting('imke')).toBeNull();
  computer.kept.set('elderleaf.rows.imke', '{broken');
  expect(readSitting('imke')).toBeNull();
});

test.each([
  ['one cell', 'Fed', null],
  ['one cell and a line end', 'Fed\n', null],
  [
    'title, cue, wording',
    'Fed\tfd\tFed at dawn.\nBathed\tbt\tBathed.\n',
    ['Fed|fd|Fed at dawn.', 'Bathed|bt|Bathed.'],
  ],
  ['title and wording', 'Fed\tFed at dawn.', ['Fed||Fed at dawn.']],
  ['wordings alone, an empty line between', 'Fed at dawn.\n\nBathed.', ['||Fed at dawn.', '||Bathed.']],
  [
    'a cell of several lines, in quotes',
    'Fed\tfd\t"One.\nTwo."\nBathed\t\tTwice.',
    ['Fed|fd|One.\nTwo.', 'Bathed||Twice.'],
  ],
])('what is pasted is rows where it is a table: %s', (_what, text, rows) => {
  const found = rowsPasted(text)?.map(({ title, cue, wording }) => `${title}|${cue}|${wording}`) ?? null;
  expect(found).toEqual(rows);
});

test('of a very long table the first rows come', () => {
  expect(rowsPasted(Array.from({ length: 2000 }, (_, at) => `T${at}\tW`).join('\n'))).toHaveLength(500);
});
