import { strToU8, zipSync } from 'fflate';

/** A cell of a made workbook: words; `rich`: in pieces, as words that look different are kept; `formula`: with what it came to. */
type MadeCell = string | { rich: string[] } | { formula: string; value: string };

export interface MadeSheet {
  name: string;
  rows: MadeCell[][];
  hidden?: boolean;
  /** Cells that are one: "A1:C1". */
  merged?: string[];
}

const escaped = (words: string) => words.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;');
const columnName = (at: number) => String.fromCharCode(65 + at);

function cellXml(cell: MadeCell, at: string): string {
  if (cell === '') return '';
  if (typeof cell === 'string')
    return `<c r="${at}" t="inlineStr"><is><t xml:space="preserve">${escaped(cell)}</t></is></c>`;
  if ('rich' in cell)
    return `<c r="${at}" t="inlineStr"><is>${cell.rich.map((run, piece) => `<r>${piece % 2 ? '<rPr><b/></rPr>' : ''}<t xml:space="preserve">${escaped(run)}</t></r>`).join('')}</is></c>`;
  return `<c r="${at}" t="str"><f>${escaped(cell.formula)}</f><v>${escaped(cell.value)}</v></c>`;
}

/** A workbook of Office Open XML with these sheets, as other programs write one. */
export function workbookOf(sheets: readonly MadeSheet[]): Uint8Array {
  const main = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';
  const office = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
  const packages = 'http://schemas.openxmlformats.org/package/2006/relationships';
  const parts: Record<string, string> = {
    '[Content_Types].xml': '<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"/>',
    'xl/workbook.xml': `<workbook xmlns="${main}" xmlns:r="${office}"><sheets>${sheets
      .map(
        ({ name, hidden }, at) =>
          `<sheet name="${name}" sheetId="${at + 1}"${hidden ? ' state="hidden"' : ''} r:id="rId${at + 1}"/>`,
      )
      .join('')}</sheets></workbook>`,
    'xl/_rels/workbook.xml.rels': `<Relationships xmlns="${packages}">${sheets
      .map(
        (_, at) =>
          `<Relationship Id="rId${at + 1}" Type="${office}/worksheet" Target="worksheets/sheet${at + 1}.xml"/>`,
      )
      .join('')}<Relationship Id="rId90" Type="${office}/styles" Target="styles.xml"/></Relationships>`,
    'xl/styles.xml': `<styleSheet xmlns="${main}"><cellXfs count="1"><xf numFmtId="0"/></cellXfs></styleSheet>`,
  };
  sheets.forEach(({ rows, merged = [] }, at) => {
    const body = rows
      .map(
        (row, y) =>
          `<row r="${y + 1}">${row.map((cell, x) => cellXml(cell, `${columnName(x)}${y + 1}`)).join('')}</row>`,
      )
      .join('');
    const joined = merged.map((range) => `<mergeCell ref="${range}"/>`).join('');
    parts[`xl/worksheets/sheet${at + 1}.xml`] =
      `<worksheet xmlns="${main}"><sheetData>${body}</sheetData>${joined && `<mergeCells>${joined}</mergeCells>`}</worksheet>`;
  });
  return zipSync(Object.fromEntries(Object.entries(parts).map(([name, text]) => [name, strToU8(text)])));
}
