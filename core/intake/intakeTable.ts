import { plainText, type Passage } from '#core/passage';

/** A cell as it came in: its words, or a passage where it is known how they look. */
export type Cell = string | Passage;

/** A table that entries are made of: every row has as many cells as there are heads. */
export interface IntakeTable {
  /** What it is called where it came from: a sheet, a heading; '' for the only one. */
  name: string;
  heads: string[];
  rows: Cell[][];
  /** What was not as it should be, and what was made of it: a sentence each. */
  remarks: string[];
}

/** So many rows and columns are taken at once at the most. */
export const INTAKE_LIMITS = { rows: 20_000, columns: 60 } as const;

/** A column that is made of the lines between rows which have one cell alone: what comes beneath each belongs to it. */
export const SECTION_HEAD = 'Section';

/** The words of a cell. */
export const wordsOfCell = (cell: Cell | undefined): string =>
  cell === undefined ? '' : typeof cell === 'string' ? cell : plainText(cell);

/** Words without what nobody sees: byte order marks, other controls, spaces around them, several kinds of line end. */
const cleanWords = (words: string): string =>
  words
    .replace(/[\uFEFF\u200B\u0000-\u0008\u000B\u000C\u000E-\u001F]/g, '')
    .replace(/\r\n?|\u2028|\u2029/g, '\n')
    .replace(/^[\s\u00A0]+|[\s\u00A0]+$/g, '');

const cleanCell = (cell: Cell): Cell => (typeof cell === 'string' ? cleanWords(cell) : cell);

const isFilled = (cell: Cell | undefined): boolean => cleanWords(wordsOfCell(cell)) !== '';
const filledIn = (row: readonly Cell[]): number => row.filter(isFilled).length;

const LONGEST_HEAD = 60;
/** Rows above the heads: what a table is called, when it was made. */
const MOST_ABOVE = 8;

/** Whether words can be the head of a column: short, one line, no figures alone, no sentence. */
const canBeHead = (words: string): boolean =>
  words.length <= LONGEST_HEAD &&
  !/\n|@/.test(words) &&
  !/^[-+]?[\d.,/: -]+$/.test(words) &&
  // "No." and "Abbr." are names of columns, and no sentences.
  (!/[.!?…]$/.test(words) || /^\p{L}{1,6}\.$/u.test(words));

/** Which row gives the heads; -1 for none. `isKnown`: whether a head is one that tables of wordings have. */
function headRow(rows: readonly (readonly Cell[])[], isKnown: (head: string) => boolean): number {
  const first = rows.slice(0, MOST_ABOVE + 1);
  const known = first.map(
    (row) => row.filter((cell) => canBeHead(wordsOfCell(cell)) && isKnown(wordsOfCell(cell))).length,
  );
  const most = Math.max(...known);
  const most1 = known.indexOf(most);
  const fits = (at: number) =>
    rows.length > at + 1 && first[at]!.filter(isFilled).every((cell) => canBeHead(wordsOfCell(cell)));
  // Where two are known, one more may be called as no column should be.
  const odd = first[most1]!.filter((cell) => isFilled(cell) && !canBeHead(wordsOfCell(cell))).length;
  if (most >= 2 && rows.length > most1 + 1 && odd < most) return most1;
  const widest = Math.max(...rows.slice(0, 50).map(filledIn));
  const filled = first.findIndex((row) => filledIn(row) > 1 || widest === 1);
  if (most === 1 && most1 === filled && fits(most1)) return most1;
  if (filled < 0 || !fits(filled) || filledIn(rows[filled]!) < Math.min(widest, 2)) return -1;
  return reads(rows, filled) ? filled : -1;
}

const lengthsOf = (rows: readonly (readonly Cell[])[], column: number): number[] =>
  rows.flatMap((row) => (isFilled(row[column]) ? [wordsOfCell(row[column]).length] : []));

/** Whether a row differs from those beneath as heads do, of which nothing is known: words beneath are much longer, or figures. */
function reads(rows: readonly (readonly Cell[])[], at: number): boolean {
  const beneath = rows.slice(at + 1, at + 50);
  return rows[at]!.some((cell, column) => {
    const head = wordsOfCell(cell);
    const lengths = lengthsOf(beneath, column);
    if (head === '' || lengths.length === 0) return false;
    const usual = lengths.sort((a, b) => a - b)[Math.floor(lengths.length / 2)]!;
    return usual > 3 * head.length && usual > 30;
  });
}

/** Heads that are all there and all different. */
function distinctHeads(said: readonly string[], remarks: string[]): string[] {
  const taken = new Set<string>();
  return said.map((words, at) => {
    const name = words === '' ? `Column ${at + 1}` : words;
    let head = name;
    for (let count = 2; taken.has(head.toLocaleLowerCase()); count += 1) head = `${name} (${count})`;
    if (head !== name) remarks.push(`Two columns are called “${name}”: the second is “${head}” here.`);
    taken.add(head.toLocaleLowerCase());
    return head;
  });
}

/** Heads of two rows, where the upper names columns together: each head behind the name that is above it or to the left of that. */
function doubledHeads(above: readonly Cell[] | undefined, heads: readonly string[]): string[] {
  const named = above ? above.map((cell) => cleanWords(wordsOfCell(cell))) : [];
  const isGroup = filledIn(above ?? []) >= 2 && named.every((words) => words === '' || canBeHead(words));
  if (!isGroup) return [...heads];
  let group = '';
  return heads.map((head, at) => {
    group = named[at] || group;
    return [group, head].filter((words) => words !== '').join(': ');
  });
}

/** Rows with what stands between them in a line of its own put into a column: "Fluids" before all that are about fluids. */
function withSections(heads: string[], rows: readonly Cell[][]): { heads: string[]; rows: Cell[][] } {
  // One cell, in the first column, short, with a longer row right beneath it.
  const isSection = (row: readonly Cell[], at: number) =>
    filledIn(row) === 1 &&
    isFilled(row[0]) &&
    wordsOfCell(row[0]).length <= LONGEST_HEAD &&
    rows[at + 1] !== undefined &&
    filledIn(rows[at + 1]!) > 1;
  const usual = rows.filter((row) => filledIn(row) > 1).length;
  const found = rows.map(isSection);
  const count = found.filter(Boolean).length;
  if (heads.length < 2 || count === 0 || count > usual) return { heads, rows: [...rows] };
  let section: Cell = '';
  const kept: Cell[][] = [];
  for (const [at, row] of rows.entries()) {
    if (found[at]) section = wordsOfCell(row[0]);
    else kept.push([section, ...row]);
  }
  return { heads: [SECTION_HEAD, ...heads], rows: kept };
}

/**
 * A table of cells as they stand in a file: the heads are found, be they in the first row, beneath a title, or in two rows; empty rows
 * and columns are left out; lines between the rows become a column. Null where there is no row.
 * @param isKnown whether a head is one that tables of wordings have
 */
export function tableOfCells(
  cells: readonly (readonly Cell[])[],
  isKnown: (head: string) => boolean,
  name = '',
): IntakeTable | null {
  const all = cells.map((row) => row.map(cleanCell)).filter((row) => row.some(isFilled));
  if (all.length === 0) return null;
  const used = all.reduce<Set<number>>((columns, row) => {
    row.forEach((cell, at) => isFilled(cell) && columns.add(at));
    return columns;
  }, new Set());
  const columns = [...used].sort((a, b) => a - b);
  const remarks: string[] = [];
  if (columns.length > INTAKE_LIMITS.columns) {
    remarks.push(
      `It has ${columns.length} columns: the first ${INTAKE_LIMITS.columns} were read, the others were left out.`,
    );
    columns.length = INTAKE_LIMITS.columns;
  }
  const rows = all.map((row) => columns.map((at) => row[at] ?? ''));
  const at = headRow(rows, isKnown);
  const said = columns.map((_, column) =>
    at < 0 ? '' : cleanWords(wordsOfCell(rows[at]![column])).replace(/\s+/g, ' ').slice(0, 120),
  );
  const heads = distinctHeads(doubledHeads(at > 0 ? rows[at - 1] : undefined, said), remarks);
  const body = rows.slice(at + 1);
  if (body.length > INTAKE_LIMITS.rows) {
    remarks.push(
      `It has ${body.length.toLocaleString('en-GB')} rows: the first ${INTAKE_LIMITS.rows.toLocaleString('en-GB')} were read. Bring in the others from a file of their own.`,
    );
    body.length = INTAKE_LIMITS.rows;
  }
  return { name, ...withSections(heads, body), remarks };
}
