import { describe, expect, test } from '@jest/globals';
import Papa from 'papaparse';
import type { BatchRow } from '#contracts';
import { emptySetup, type LetterState } from '#core/batch';
import { fittedTable } from './addTable';
import type { Letter } from './letterMaker';
import { wentWhere } from './out/wentWhere';
import { sampleOf } from './sampleOf';
import { shownOf } from './ShownLetters';

const row = (id: string, position: number, over: Partial<BatchRow> = {}): BatchRow => ({
  ...{
    id,
    position,
    version: 1,
    cells: [],
    enquiry: null,
    file: null,
    entry: null,
    isHeld: false,
    checked: null,
  },
  ...{ byHand: null, gone: null, goneAt: null, sending: null },
  ...over,
});
const letter = (id: string, state: LetterState, over: Partial<Letter> = {}): Letter => ({
  ...{ row: row(id, Number(id)), name: `Person ${id}`, state, entry: 'yes', title: 'Accepted', fresh: null },
  ...{ document: null, head: null, gaps: [], faults: [], seal: 'a', hasChanged: false, hasMovedOn: false },
  ...over,
});

describe('what went where', () => {
  const rows = (letters: Letter[]) => Papa.parse<string[]>(wentWhere(letters)).data;

  test('says of each row who, what, how and when, and why not', () => {
    const at = '2026-11-29T10:00:00.000Z';
    const sending = { id: 's', state: 'gone' as const, reason: '', at };
    const refused = { id: 't', state: 'refused' as const, reason: '550 no such mailbox', at };
    const head = { to: 'Petra <petra@marsh.example>', cc: '', subject: 'x' };
    const [, first, second, third] = rows([
      letter('0', 'gone', { row: row('0', 0, { sending }), head }),
      letter('1', 'refused', { row: row('1', 1, { sending: refused }) }),
      letter('2', 'gone', { row: row('2', 2, { gone: 'print', goneAt: at }) }),
    ]);
    expect(first).toEqual(['1', 'Person 0', head.to, 'Accepted', '', 'gone out', 'mail', at, '']);
    expect(second!.slice(5)).toEqual(['refused', 'mail', '', '550 no such mailbox']);
    expect(third!.slice(5, 8)).toEqual(['gone out', 'on paper', at]);
  });

  test.each(['=1+1', '+44 123', '-x', '@SUM(A1)', '\t=1'])(
    'writes %j as words, never as a formula',
    (name) => {
      const [, cells] = rows([letter('0', 'to-check', { name })]);
      expect(cells![1]).toBe(`'${name}`);
    },
  );
});

describe('a sample', () => {
  const letters = ['0', '1', '2', '3', '4', '5'].map((id) =>
    letter(id, id === '5' ? 'held' : 'to-check', { entry: id === '3' ? 'no' : 'yes' }),
  );
  test('has a letter of each entry, of those still to check, and none twice', () => {
    for (const draw of [() => 0, () => 0.99, Math.random]) {
      const found = sampleOf(letters, 2, draw);
      expect(new Set(found).size).toBe(2);
      expect(found).toContain('3');
      expect(found).not.toContain('5');
    }
    expect(sampleOf(letters, 50, Math.random)).toHaveLength(5);
  });
});

test('a list of one state keeps the letter that is on the leaf, whatever has become of it', () => {
  const letters = [letter('0', 'checked'), letter('1', 'to-check'), letter('2', 'to-check')];
  const ids = (here: string | null) => shownOf(letters, 'to-check', null, here).map((one) => one.row.id);
  expect(ids(null)).toEqual(['1', '2']);
  expect(ids('0')).toEqual(['0', '1', '2']);
  expect(shownOf(letters, 'sample', ['2'], null).map((one) => one.row.id)).toEqual(['2']);
});

describe('a table that is added to a batch', () => {
  const table = (heads: string[], ...rows: string[][]) => ({ heads, rows, remarks: [] });
  const { columns } = fittedTable(
    emptySetup('2026-11-24'),
    [],
    table(['Name', 'Email'], ['Petra', 'p@x.example']),
  );
  const setup = { ...emptySetup('2026-11-24'), columns };

  test('is put into the columns of the same heads, in whatever order it has them; what is there already is not added', () => {
    const before = [['Petra', 'p@x.example']];
    const fitted = fittedTable(
      setup,
      before,
      table(['EMAIL', 'Name'], ['p@x.example', 'Petra'], ['o@x.example', 'Owen']),
    );
    expect(fitted).toMatchObject({ rows: [['Owen', 'o@x.example']], known: 1 });
    expect(fitted.columns).toEqual(columns);
  });

  test('brings columns of its own, which come behind and fill nothing that is filled', () => {
    const fitted = fittedTable(setup, [], table(['Enw', 'Town'], ['Elin', 'Hollin']));
    expect(fitted.columns.map(({ id, head, fills }) => [id, head, fills])).toEqual([
      ['c1', 'Name', 'customer'],
      ['c2', 'Email', 'email'],
      ['c3', 'Enw', null],
      ['c4', 'Town', null],
    ]);
    expect(fitted.rows).toEqual([['', '', 'Elin', 'Hollin']]);
  });
});
