/** A table as it was taken in: every row has as many cells as there are heads. */
export interface Table {
  heads: string[];
  rows: string[][];
  /** What was not as it should be, and what was made of it: a sentence each. */
  remarks: string[];
}

/** So many rows are taken into one batch at the most, so many columns, so many characters in a cell. */
export const TABLE_LIMITS = { rows: 20_000, columns: 100, cell: 5000, head: 120 } as const;

/** Why a table cannot be taken: in words for people. */
export class NotTable extends Error {}

const clean = (cell: string) =>
  cell
    // What files carry that nobody sees: byte order marks, NULs and other controls but tabs and line ends.
    .replace(/[\uFEFF\u0000-\u0008\u000B\u000C\u000E-\u001F]/g, '')
    .replace(/\r\n?/g, '\n')
    .trim();

/** Whether cells can be heads of columns: words, hardly any figures, none twice as long as a name is. */
function areHeads(cells: readonly string[], next: readonly string[] | undefined): boolean {
  const said = cells.filter((cell) => cell !== '');
  if (said.length === 0 || next === undefined) return false;
  const isData = (cell: string) => /@|^[-+]?[\d.,/: -]+$|\n/.test(cell) || cell.length > TABLE_LIMITS.head;
  return !said.some(isData);
}

/** Heads that are all there and all different: an empty one is numbered, the second of two alike is told apart. */
function distinctHeads(cells: readonly string[], width: number, remarks: string[]): string[] {
  const taken = new Set<string>();
  return Array.from({ length: width }, (_, at) => {
    const said = (cells[at] ?? '').replace(/\s+/g, ' ').slice(0, TABLE_LIMITS.head);
    const name = said === '' ? `Column ${at + 1}` : said;
    let head = name;
    for (let count = 2; taken.has(head.toLocaleLowerCase()); count += 1) head = `${name} (${count})`;
    if (head !== name) remarks.push(`Two columns are called “${name}”: the second is “${head}” here.`);
    taken.add(head.toLocaleLowerCase());
    return head;
  });
}

const numbered = (all: readonly number[]) =>
  `${all.length === 1 ? 'Row' : 'Rows'} ${all.slice(0, 5).join(', ')}${all.length > 5 ? ` and ${(all.length - 5).toLocaleString('en-GB')} more` : ''}`;

/**
 * A table from cells as they stand in a file or on the clipboard: its first row gives the heads where it reads like heads. Empty rows are
 * left out, short ones filled up, and that is told.
 * @throws NotTable where there is no row, or more rows or columns than a batch takes
 */
export function tableFrom(cells: readonly (readonly string[])[]): Table {
  const all = cells.map((row) => row.map(clean)).filter((row) => row.some((cell) => cell !== ''));
  if (all.length === 0) throw new NotTable('There is no row in it.');
  const hasHeads = areHeads(all[0]!, all[1]);
  const body = hasHeads ? all.slice(1) : all;
  if (body.length > TABLE_LIMITS.rows)
    throw new NotTable(
      `It has ${body.length.toLocaleString('en-GB')} rows, and ${TABLE_LIMITS.rows.toLocaleString('en-GB')} are the most in one batch. Nothing was taken; bring it in parts.`,
    );
  const width = all.reduce((most, row) => Math.max(most, row.findLastIndex((cell) => cell !== '') + 1), 0);
  if (width > TABLE_LIMITS.columns)
    throw new NotTable(
      `It has ${width} columns, and ${TABLE_LIMITS.columns} are the most. Nothing was taken; leave out those you do not need.`,
    );
  const remarks: string[] = [];
  const heads = distinctHeads(hasHeads ? all[0]! : [], width, remarks);
  if (!hasHeads) remarks.push('No row gives the columns their names: they are numbered.');
  const usual = hasHeads ? all[0]!.length : width;
  const [short, long, cut]: [number[], number[], number[]] = [[], [], []];
  const rows = body.map((row, index) => {
    if (row.length < usual) short.push(index + 1);
    if (hasHeads && row.slice(usual).some((cell) => cell !== '')) long.push(index + 1);
    if (row.some((cell) => cell.length > TABLE_LIMITS.cell)) cut.push(index + 1);
    return heads.map((_, at) => (row[at] ?? '').slice(0, TABLE_LIMITS.cell));
  });
  if (short.length > 0)
    remarks.push(`${numbered(short)} had fewer cells than the others: the missing ones are empty.`);
  if (long.length > 0)
    remarks.push(`${numbered(long)} had more cells than there are names: they are in columns of their own.`);
  if (cut.length > 0)
    remarks.push(
      `${numbered(cut)} had a cell of more than ${TABLE_LIMITS.cell.toLocaleString('en-GB')} characters: the rest was left out.`,
    );
  return { heads, rows, remarks };
}
