/** A cell of an xlsx file has room for no more (ISO/IEC 29500, as spreadsheets take it). */
const MOST_CELL = 32_767;
const WIDTH_MIN = 10;
const WIDTH_MAX = 60;

/** How wide a column is best, in characters: as its longest line, within bounds. */
const widthOf = (rows: readonly (readonly string[])[], at: number): number =>
  rows.reduce(
    (width, cells) =>
      Math.min(WIDTH_MAX, Math.max(width, ...(cells[at] ?? '').split('\n').map((line) => line.length))),
    WIDTH_MIN,
  );

/**
 * Rows of cells as an xlsx file, the first of them its heads. Every cell is text: none is ever computed with. Words beyond what a cell holds
 * are cut, with an ellipsis.
 */
export async function workbook(rows: readonly (readonly string[])[]): Promise<Blob> {
  const { default: writeXlsxFile } = await import('write-excel-file/browser');
  const cell = (text: string) => (text.length > MOST_CELL ? `${text.slice(0, MOST_CELL - 1)}…` : text);
  const data = rows.map((cells, at) =>
    cells.map((text) => ({
      value: cell(text),
      type: String,
      wrap: true,
      alignVertical: 'top' as const,
      ...(at === 0 && { fontWeight: 'bold' as const }),
    })),
  );
  const columns = (rows[0] ?? []).map((_, at) => ({ width: widthOf(rows, at) }));
  return writeXlsxFile(data, { columns, stickyRowsCount: 1 }).toBlob();
}
