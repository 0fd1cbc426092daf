import { safeCell } from './bankRows';

const csvCell = (text: string) => (/[",\r\n]/.test(text) ? `"${text.replace(/"/g, '""')}"` : text);

/** Rows of cells as comma-separated values (RFC 4180), marked as UTF-8, with no cell that a spreadsheet would compute with. */
export const csvOf = (rows: readonly (readonly string[])[]): string =>
  `\uFEFF${rows.map((cells) => cells.map(safeCell).map(csvCell).join(',')).join('\r\n')}\r\n`;
