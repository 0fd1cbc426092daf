import type { EntryContent } from '#core/entry';
import { notationErrorInWords, readEntry, writeEntry } from '#core/notation';

/** An entry with the names of the collections around it, from the outermost in. */
export interface PlacedEntry {
  id: string;
  path: readonly string[];
  content: EntryContent;
}

/** Words as a name of a file or folder that every system takes. */
const asName = (words: string): string =>
  words
    .replace(/[\\/:*?"<>|\p{C}]+/gu, ' ')
    .replace(/\s+/g, ' ')
    .replace(/^[. ]+|[. ]+$/g, '')
    .slice(0, 80)
    .trim() || 'Untitled';

const ENDING = '.txt';

/**
 * Entries as files in the compact notation (docs/NOTATION.md), one each, in folders by their collections: by their paths, in one order, so
 * that a system for versions shows what changed. What is behind the dashes is by which entries name each other.
 */
export function entryFolder(entries: readonly PlacedEntry[]): [path: string, text: string][] {
  return entries
    .map(({ id, path, content }): [string, string] => [
      [...path.map(asName), `${asName(content.title)}--${id}${ENDING}`].join('/'),
      writeEntry(content),
    ])
    .sort(([a], [b]) => (a < b ? -1 : a > b ? 1 : 0));
}

/** A file of a folder of entries that cannot be read: which, and why in words. */
export class UnreadableEntry extends Error {}

/** The entries of a folder that `entryFolder` made, or somebody changed. Throws an UnreadableEntry. */
export function readEntryFolder(files: Iterable<readonly [path: string, text: string]>): PlacedEntry[] {
  return [...files].map(([path, text]) => {
    const names = path.split('/').filter((name) => name !== '' && name !== '.');
    const file = names.pop() ?? '';
    const read = readEntry(text.replace(/^\uFEFF/, '').replace(/\r\n?/g, '\n'));
    if (!read.ok)
      throw new UnreadableEntry(`${path}, line ${read.error.line}: ${notationErrorInWords(read.error)}`);
    const id = /^.*--([^/]{1,60})\.txt$/.exec(file)?.[1] ?? file.slice(0, 60);
    return { id, path: names, content: read.value };
  });
}
