import { plainText, type Passage } from '#core/passage';
import { readable, safeCell } from './bankRows';
import { escapeHtml, toHtml } from './toHtml';

/** One entry as a row of a table. */
export interface SheetTableRow {
  collection: string;
  cue: string;
  title: string;
  purpose: string;
  tags: readonly string[];
  /** Its wording, and the name of a field for its blanks. */
  passage: Passage;
  nameOf: (field: string) => string;
}

const HEAD = ['Collection', 'Cue', 'Title', 'Wording', 'When to use it', 'Tags'];

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
    html: `<table><thead><tr>${HEAD.map((one) => `<th>${one}</th>`).join('')}</tr></thead><tbody>${html}</tbody></table>`,
    text: [HEAD, ...body.map(({ cells }) => cells)]
      .map((cells) => cells.map(safeCell).map(cell).join('\t'))
      .join('\n'),
  };
}
