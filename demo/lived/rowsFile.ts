import fs from 'node:fs';
import type { EntryContent } from '#core/entry';
import { notationErrorInWords, readEntry } from '#core/notation';

/**
 * Entries in rows: a table parted by tabs, its columns cue, title, purpose, tags, fields, wording, and for comments
 * comment and short. Fields are parted by " | ", the lines of each by "; "; " ¶ " begins a paragraph; lines of a comment by " | ". What a row says is put into the compact notation and read as such.
 */

/** Cells of a table parted by tabs, by the names in its first line. */
export function tableIn(file: string): Record<string, string>[] {
  const [head, ...lines] = fs.readFileSync(file, 'utf8').replace(/\n+$/, '').split('\n');
  const names = head!.split('\t');
  return lines.map((line) => {
    const cells = line.split('\t');
    if (cells.length !== names.length) throw new Error(`${file}: ${cells.length} cells in “${line}”`);
    return Object.fromEntries(names.map((name, at) => [name, cells[at]!]));
  });
}

const parted = (cell: string, by: string) => (cell === '' ? [] : cell.split(by).map((one) => one.trim()));

function fieldNotation(field: string): string {
  const [head, ...lines] = parted(field, '; ');
  return [`field ${head}`, ...lines.map((line) => `  ${line}`), ''].join('\n');
}

/** The entries of a file in the compact notation, a line of ==== between two; the id of each is `collection` with its cue. Throws where one cannot be read. */
export function entriesInNotation(file: string, collection: string): { id: string; content: EntryContent }[] {
  return fs
    .readFileSync(file, 'utf8')
    .split('\n====\n')
    .map((notation) => {
      const read = readEntry(notation.trim());
      if (!read.ok) throw new Error(`${file}: ${notationErrorInWords(read.error)}`);
      return { id: `${collection}-${read.value.cues[0]!.text}`, content: read.value };
    });
}

/** The entries of a table in rows; the id of each is `collection` with its cue. Throws where one cannot be read. */
export function entriesInRows(file: string, collection: string): { id: string; content: EntryContent }[] {
  return tableIn(file).map(({ cue, title, purpose, tags, fields, wording, comment = '', short = '' }) => {
    const notation = [
      `title: ${title}`,
      `purpose: ${purpose}`,
      ...parted(tags!, ',').map((tag) => `tag: ${tag}`),
      `cue: ${cue}`,
      ...parted(comment, ' | '),
      '',
      ...parted(fields!, ' | ').map(fieldNotation),
      '== wording Main: en-GB',
      '',
      parted(wording!, ' ¶ ').join('\n\n'),
      '',
      ...(short === '' ? [] : ['== wording Short: en-GB short', '', short, '']),
    ].join('\n');
    const read = readEntry(notation);
    if (!read.ok) throw new Error(`${file}, ${title}: ${notationErrorInWords(read.error)}`);
    return { id: `${collection}-${cue}`, content: read.value };
  });
}
