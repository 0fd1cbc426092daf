import { expect, test } from '@jest/globals';
import { workbook } from './workbook';
import { xmlParts } from './archive';
import { workbookSheets } from './tables';

/** The browser of the tests has no `Blob.arrayBuffer`. */
const bytesOf = (blob: Blob): Promise<Uint8Array> =>
  new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(new Uint8Array(reader.result as ArrayBuffer));
    reader.onerror = () => reject(new Error('The file cannot be read.'));
    reader.readAsArrayBuffer(blob);
  });

const read = async (rows: string[][]) => {
  const blob = await workbook(rows);
  const sheets = await workbookSheets(await bytesOf(blob), 'made.xlsx');
  return sheets.map(({ cells }) => cells);
};

test('cells come back as the words they were, whatever they begin with', async () => {
  const rows = [
    ['Title', 'Wording'],
    ['=1+1', '@SUM(A1)'],
    ['-5', '+44'],
    ['Two\nlines', 'a\ttab, "quotes" & <signs>'],
    ['ä 中 😀', ''],
  ];
  const [table] = await read(rows);
  expect(table).toEqual(rows);
});

test('no cell is a formula, in the file itself', async () => {
  const blob = await workbook([['Title'], ['=HYPERLINK("x")']]);
  const parts = await xmlParts(await bytesOf(blob), 'x');
  const sheet = [...parts].find(([name]) => name.endsWith('sheet1.xml'))![1];
  expect(sheet).not.toContain('<f>');
});

test('what no cell has room for is cut with an ellipsis', async () => {
  const [table] = await read([['Wording'], ['x'.repeat(40_000)]]);
  expect(table![1]![0]).toHaveLength(32_767);
  expect(table![1]![0]!.endsWith('…')).toBe(true);
});
