import { describe, expect, test } from '@jest/globals';
import { strToU8, zipSync } from 'fflate';
import { tableOfFile, tableOfText } from './tables';

const bytes = (text: string) => new TextEncoder().encode(text);

interface Sheet {
  name: string;
  rows: string;
}
/** A workbook as programs write one; `from1904` counts its days as some of them do. */
function workbook(sheets: Sheet[], from1904 = false): Uint8Array {
  const each = (write: (sheet: Sheet, at: number) => string) =>
    sheets.map((one, at) => write(one, at + 1)).join('');
  const main = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';
  const office = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
  const packages = 'http://schemas.openxmlformats.org/package/2006/relationships';
  const parts: Record<string, string> = {
    '[Content_Types].xml': '<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"/>',
    'xl/workbook.xml': `<workbook xmlns="${main}" xmlns:r="${office}"><workbookPr${from1904 ? ' date1904="1"' : ''}/><sheets>${each(
      ({ name }, at) => `<sheet name="${name}" sheetId="${at}" r:id="rId${at}"/>`,
    )}</sheets></workbook>`,
    'xl/_rels/workbook.xml.rels': `<Relationships xmlns="${packages}">${each(
      (_, at) =>
        `<Relationship Id="rId${at}" Type="${office}/worksheet" Target="worksheets/sheet${at}.xml"/>`,
    )}<Relationship Id="rId90" Type="${office}/styles" Target="styles.xml"/></Relationships>`,
    'xl/styles.xml': `<styleSheet xmlns="${main}"><cellXfs count="2"><xf numFmtId="0"/><xf numFmtId="14" applyNumberFormat="1"/></cellXfs></styleSheet>`,
  };
  sheets.forEach(({ rows }, at) => {
    parts[`xl/worksheets/sheet${at + 1}.xml`] =
      `<worksheet xmlns="${main}"><sheetData>${rows}</sheetData></worksheet>`;
  });
  return zipSync(Object.fromEntries(Object.entries(parts).map(([name, text]) => [name, strToU8(text)])));
}
const words = (at: string, text: string) => `<c r="${at}" t="inlineStr"><is><t>${text}</t></is></c>`;
const HEADS = `<row r="1">${words('A1', 'Name')}${words('B1', 'Begins')}${words('C1', 'Days')}</row>`;

describe('text', () => {
  test.each([
    ['commas', 'Name,Role\n"Marl, Owen","says ""hi"""\n'],
    ['semicolons', 'Name;Role\n"Marl, Owen";"says ""hi"""\r\n'],
    ['tabs, as copied from a table', 'Name\tRole\n"Marl, Owen"\t"says ""hi"""'],
    ['bars', 'Name|Role\nMarl, Owen|"says ""hi"""'],
  ])('with %s', (_, text) => {
    expect(tableOfText(text)).toMatchObject({ heads: ['Name', 'Role'], rows: [['Marl, Owen', 'says "hi"']] });
  });

  test('in the encodings that tables come in', async () => {
    const latin = Uint8Array.from(
      [...'Name;Ort\nBj'].map((sign) => sign.charCodeAt(0)).concat(0xf6, 0x72, 0x6e, 59, 120),
    );
    expect((await tableOfFile(latin, 'a.csv')).rows).toEqual([['Björn', 'x']]);
    expect((await tableOfFile(bytes('\uFEFFName,Ort\nBjörn,x'), 'a.csv')).heads).toEqual(['Name', 'Ort']);
  });

  test('that holds line ends within a cell keeps the cell whole', () => {
    expect(tableOfText('Name,Address\nPetra,"3 Reed Lane\nHollin"').rows).toEqual([
      ['Petra', '3 Reed Lane\nHollin'],
    ]);
  });
});

describe('a workbook', () => {
  const row = `<row r="2">${words('A2', 'Petra')}<c r="B2" s="1"><v>46085</v></c><c r="C2"><f>1+2</f><v>3</v></c></row>`;
  test('is read by its cells: a day as a day, a formula as what it came to', async () => {
    const table = await tableOfFile(workbook([{ name: 'People', rows: HEADS + row }]), 'people.xlsx');
    expect(table).toEqual({
      heads: ['Name', 'Begins', 'Days'],
      rows: [['Petra', '2026-03-04', '3']],
      remarks: [],
    });
  });

  test('that counts its days from 1904 has the same days', async () => {
    const shifted = row.replace('46085', String(46085 - 1462));
    const table = await tableOfFile(
      workbook([{ name: 'People', rows: HEADS + shifted }], true),
      'people.xlsx',
    );
    expect(table.rows[0]![1]).toBe('2026-03-04');
  });

  test('of several sheets: the first with words in it is read, and the others are told', async () => {
    const sheets = [
      { name: 'Empty', rows: '' },
      { name: 'People', rows: HEADS + row },
      { name: 'Old', rows: HEADS + row },
    ];
    const table = await tableOfFile(workbook(sheets), 'people.xlsx');
    expect([table.rows.length, table.remarks]).toEqual([1, ['“People” was read; “Old” was not.']]);
  });

  test('that is broken, or no table at all, is told in words', async () => {
    const broken = workbook([{ name: 'People', rows: '<row' }]);
    await expect(tableOfFile(broken, 'people.xlsx')).rejects.toThrow(/people\.xlsx/);
    await expect(tableOfFile(new Uint8Array([0, 1, 2, 3]), 'x.bin')).rejects.toThrow(/is not a table/);
    await expect(tableOfFile(bytes('\n\n'), 'x.csv')).rejects.toThrow('x.csv: There is no row in it.');
  });
});
