import Papa from 'papaparse';
import { UnreadableFile } from '#client/api';
import { NotTable, tableFrom, type Table } from '#core/batch';
import { repacked, xmlParts } from './archive';
import { decodedText } from './decodedText';
import { isWorkbook } from './isWorkbook';

const SEPARATORS = ['\t', ';', ',', '|'];

/** What parts the cells of text: the sign that stands most often in its first line, outside quotation marks. */
function separatorOf(text: string): string {
  const first = text
    .trimStart()
    .replace(/"(?:[^"]|"")*"/g, '')
    .split(/[\r\n]/, 1)[0]!;
  const counts = SEPARATORS.map((sign) => first.split(sign).length);
  return SEPARATORS[counts.indexOf(Math.max(...counts))]!;
}

/** The cells of text whose columns are parted by tabs, commas, semicolons or bars, quoted as RFC 4180 says. */
export function cellsOfText(text: string): string[][] {
  const plain = text.replace(/^\uFEFF/, '');
  return Papa.parse<string[]>(plain, { delimiter: separatorOf(plain), skipEmptyLines: 'greedy' }).data;
}

const two = (value: number) => String(value).padStart(2, '0');

/** A moment of a cell as it is read: a day, or a time alone, which workbooks count from the day before their first. */
function dateWords(date: Date): string {
  const time = `${two(date.getUTCHours())}:${two(date.getUTCMinutes())}`;
  const day = `${date.getUTCFullYear()}-${two(date.getUTCMonth() + 1)}-${two(date.getUTCDate())}`;
  if (date.getUTCFullYear() < 1900 || day === '1904-01-01') return time;
  return time === '00:00' ? day : `${day} ${time}`;
}

/** A value of a cell in words that are read again as what it was. What a formula came to when the workbook was saved stands for it. */
function cellWords(value: unknown): string {
  if (value === null || value === undefined) return '';
  if (value instanceof Date) return Number.isNaN(value.getTime()) ? '' : dateWords(value);
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  // Fractions of binary numbers are no part of what somebody wrote.
  if (typeof value === 'number') return String(Number(value.toPrecision(12)));
  return typeof value === 'string' ? value : '';
}

/** A sheet of a workbook. */
export interface SheetCells {
  name: string;
  cells: string[][];
}

/** Which sheets somebody hid, in the order of the workbook, as its own part says it. */
async function hiddenSheets(bytes: Uint8Array, called: string): Promise<boolean[]> {
  const part =
    [...(await xmlParts(bytes, called))].find(([name]) => /^xl\/workbook\.xml$/i.test(name))?.[1] ?? '';
  return (part.match(/<(?:\w+:)?sheet\s[^>]*>/g) ?? []).map((sheet) =>
    /\sstate\s*=\s*["'](?:veryH|h)idden["']/.test(sheet),
  );
}

/** The sheets of a workbook that have something in them and are not hidden. Throws an UnreadableFile. */
export async function workbookSheets(bytes: Uint8Array, called: string): Promise<SheetCells[]> {
  // Measured, and packed without compression: its reader then needs no worker, which the page's policy forbids.
  const plain = await repacked(bytes, called, (name) => /\.(xml|rels)$/i.test(name));
  const { default: readWorkbook } = await import('read-excel-file/universal');
  const sheets = await readWorkbook(plain.slice().buffer).catch(() => {
    throw new UnreadableFile(`${called} is broken and cannot be read as a workbook. Nothing was made of it.`);
  });
  const hidden = await hiddenSheets(bytes, called);
  const filled = sheets
    .map((sheet, at) => ({ ...sheet, isHidden: hidden[at] === true }))
    .filter(({ data }) => data.some((row) => row.some((cell) => cell !== null)));
  const shown = filled.filter(({ isHidden }) => !isHidden);
  return (shown.length > 0 ? shown : filled).map(({ sheet, data }) => ({
    name: sheet,
    cells: data.map((row) => row.map(cellWords)),
  }));
}

async function workbookCells(
  bytes: Uint8Array,
  called: string,
): Promise<{ cells: string[][]; remark: string }> {
  const [first, ...rest] = await workbookSheets(bytes, called);
  const others = rest.map(({ name }) => `“${name}”`);
  return {
    cells: first?.cells ?? [],
    remark:
      others.length > 0
        ? `“${first!.name}” was read; ${others.join(', ')} ${others.length === 1 ? 'was' : 'were'} not.`
        : '',
  };
}

/** The table of cells. Throws an UnreadableFile where they are none. */
function tableOf(cells: readonly (readonly string[])[], called: string, remark = ''): Table {
  try {
    const table = tableFrom(cells);
    return { ...table, remarks: remark === '' ? table.remarks : [remark, ...table.remarks] };
  } catch (error) {
    if (error instanceof NotTable) throw new UnreadableFile(`${called}: ${error.message}`);
    throw error;
  }
}

/** A table that was pasted. Throws an UnreadableFile where there is none in it. */
export const tableOfText = (text: string): Table => tableOf(cellsOfText(text), 'What was pasted');

/** The table of a file: a workbook (xlsx), or text whose cells are parted by a sign. Throws an UnreadableFile where it is none. */
export async function tableOfFile(bytes: Uint8Array, called: string): Promise<Table> {
  if (await isWorkbook(bytes, called)) {
    const { cells, remark } = await workbookCells(bytes, called);
    return tableOf(cells, called, remark);
  }
  const text = decodedText(bytes);
  if (text === null)
    throw new UnreadableFile(
      `${called} is not a table: give it as a workbook (xlsx), or as text with commas, semicolons or tabs between its cells (CSV). Nothing was made of it.`,
    );
  return tableOf(cellsOfText(text), called);
}
