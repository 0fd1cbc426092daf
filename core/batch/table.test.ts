import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { columnsOf, NotTable, readingOf, TABLE_LIMITS, tableFrom } from '.';

const TODAY = '2026-11-24';

describe('a table', () => {
  test('has the heads that its first row gives, and a row for each of the others', () => {
    const table = tableFrom([
      ['Name', 'Email'],
      ['Petra', 'petra@marsh.example'],
      ['', ' '],
      ['Owen', 'owen@marsh.example'],
    ]);
    expect(table).toEqual({
      heads: ['Name', 'Email'],
      rows: [
        ['Petra', 'petra@marsh.example'],
        ['Owen', 'owen@marsh.example'],
      ],
      remarks: [],
    });
  });

  test.each([
    [
      'two heads alike',
      [
        ['Name', 'name'],
        ['a', 'b'],
      ],
      ['Name', 'name (2)'],
      /Two columns are called/,
    ],
    [
      'a head without words',
      [
        ['Name', ''],
        ['a', 'b'],
      ],
      ['Name', 'Column 2'],
      null,
    ],
    [
      'data in the first row',
      [
        ['Petra', 'p@marsh.example'],
        ['b', 'c'],
      ],
      ['Column 1', 'Column 2'],
      /numbered/,
    ],
    ['a short row', [['A', 'B'], ['a'], ['a', 'b']], ['A', 'B'], /Row 1 had fewer cells/],
    [
      'a long row',
      [
        ['A', 'B'],
        ['a', 'b', 'c'],
      ],
      ['A', 'B', 'Column 3'],
      /Row 1 had more cells/,
    ],
    [
      'a mark before the first word',
      [
        ['\uFEFFName', 'B'],
        ['a', 'b'],
      ],
      ['Name', 'B'],
      null,
    ],
  ])('%s', (_, cells, heads, remark) => {
    const table = tableFrom(cells);
    expect(table.heads).toEqual(heads);
    if (remark) expect(table.remarks.join(' ')).toMatch(remark);
    else expect(table.remarks).toEqual([]);
  });

  test('of more rows than a batch takes, and of none, is refused in words', () => {
    const many = [['Name'], ...Array.from({ length: 100_000 }, (_, at) => [`Person ${at}`])];
    expect(() => tableFrom(many)).toThrow(NotTable);
    expect(() => tableFrom(many)).toThrow(/100,000 rows, and 20,000 are the most/);
    expect(() => tableFrom([['', ''], []])).toThrow('There is no row in it.');
    const wide = Array.from({ length: TABLE_LIMITS.columns + 1 }, (_, at) => `x${at}`);
    expect(() => tableFrom([wide, wide])).toThrow(/101 columns/);
  });

  test('is always whole: a cell for each head, no two heads alike', () => {
    const cell = fc.oneof(
      fc.string({ maxLength: 12 }),
      fc.constantFrom('Name', 'name', '', '12', 'a@b.example'),
    );
    fc.assert(
      fc.property(fc.array(fc.array(cell, { maxLength: 6 }), { minLength: 1, maxLength: 8 }), (cells) => {
        let table;
        try {
          table = tableFrom(cells);
        } catch (error) {
          return expect(error).toBeInstanceOf(NotTable);
        }
        const { heads, rows } = table;
        expect(new Set(heads.map((head) => head.toLocaleLowerCase())).size).toBe(heads.length);
        for (const row of rows) expect(row).toHaveLength(heads.length);
      }),
    );
  });
});

describe('what a column holds', () => {
  test.each([
    [['4 March 2026', '12 April 2026'], 'date', false],
    [['04/03/2026', '25/12/2026'], 'date', false],
    [['03/04/2026', '12/25/2026'], 'date', true],
    [['2026-03-04', '2026-12-25T00:00:00'], 'date', false],
    [['4.3.2026', '5.3.26'], 'date', false],
    [['12', '3.5', '1,200'], 'number', false],
    [['0151 555', '0162 333'], 'text', false],
    [['07700900123', '07700900456'], 'text', false],
    [['SY23 1AA', '12'], 'text', false],
    [['may', 'june'], 'text', false],
    [['', ''], 'text', false],
  ])('%j is %s', (cells, kind, monthFirst) => {
    expect(readingOf(cells, TODAY, 'en-GB')).toMatchObject({ kind, monthFirst });
  });

  test('days in figures that either order can read are read in the order of who brings them', () => {
    expect(readingOf(['03/04/2026'], TODAY, 'en-GB').monthFirst).toBe(false);
    expect(readingOf(['03/04/2026'], TODAY, 'en-US').monthFirst).toBe(true);
  });

  test.each([
    [['1.234,50', '2,75'], true],
    [['1,234.50', '2.75'], false],
    [['1,234', '5,678'], false],
    [['1.234.567', '2'], true],
  ])('%j has a decimal comma: %s', (cells, decimalComma) => {
    expect(readingOf(cells, TODAY, 'en-GB')).toMatchObject({ kind: 'number', decimalComma });
  });

  test('is joined to the detail its head names in the languages of the house, or to a field; nothing twice', () => {
    const columns = columnsOf(
      { heads: ['Enw', 'E-Mail', 'email', 'Role', 'Remarks'], rows: [['a', 'b', 'c', 'd', 'e']] },
      { fields: ['role'], today: TODAY, language: 'en-GB' },
    );
    expect(columns.map(({ fills }) => fills)).toEqual(['customer', 'email', null, 'role', null]);
  });
});
