import { plainText } from '#core/passage';
import { readable, safeCell, TABLE_HEADS, type BankRow } from './bankRows';
import { escapeHtml, toHtml } from './toHtml';

/** One entry as a row of a table, by the name of the collection that it is in. */
export type SheetTableRow = Omit<BankRow, 'path'> & { collection: string };

/** A cell of tab-separated values: quoted where a tab, a line's end or a quote stands in it (RFC 4180, with tabs). */
const cell = (text: string) => (/[\t\n\r"]/.test(text) ? `"${text.replace(/"/g, '""')}"` : text);

/**
 * Entries as a table for the clipboard: `html` for word processors and mail, with the formatting of the wordings; `text` as
 * tab-separated values for spreadsheets. A cell that begins with a sign of a formula gets an apostrophe before it, so that no
 * spreadsheet computes with wording.
 */
export function sheetTable(rows: readonly SheetTableRow[]): { html: string; text: string } {
  const body = rows.map(({ collection, cue, title, purpose, tags, ...wording }) => {
    const passage = readable(wording.passage, wording.nameOf);
    const cells = [collection, cue, title, plainText(passage), purpose, tags.join(', ')];
    return { passage, cells };
  });
  const html = body
    .map(({ passage, cells }) => {
      const inHtml = cells.map((text, at) => (at === 3 ? toHtml(passage) : escapeHtml(text)));
      return `<tr>${inHtml.map((one) => `<td>${one}</td>`).join('')}</tr>`;
    })
    .join('');
  return {
    html: `<table><thead><tr>${TABLE_HEADS.map((one) => `<th>${one}</th>`).join('')}</tr></thead><tbody>${html}</tbody></table>`,
    text: [TABLE_HEADS, ...body.map(({ cells }) => cells)]
      .map((cells) => cells.map(safeCell).map(cell).join('\t'))
      .join('\n'),
  };
}
