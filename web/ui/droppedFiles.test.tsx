import { expect, test } from '@jest/globals';
import { droppedFiles } from './droppedFiles';

const file = (name: string) => new File(['Hello'], name, { type: 'message/rfc822' });

/** An entry of the file system as a browser tells it of what is dropped. */
const fileEntry = (one: File) => ({
  ...{ isFile: true, isDirectory: false, fullPath: `/mail/${one.name}` },
  file: (give: (file: File) => void) => give(one),
});
const folderEntry = (name: string, entries: object[]) => {
  // Browsers give a folder in pieces, and nothing at its end.
  const pieces = [entries.slice(0, 1), entries.slice(1), []];
  return {
    ...{ isFile: false, isDirectory: true, name, fullPath: `/${name}` },
    createReader: () => ({ readEntries: (give: (some: object[]) => void) => give(pieces.shift()!) }),
  };
};
const item = (entry: object, one: File | null) => ({
  kind: 'file',
  getAsFile: () => one,
  webkitGetAsEntry: () => entry,
});
const drop = (items: object[]) =>
  Object.assign(new Event('drop'), { dataTransfer: { items, files: [] } }) as unknown as DragEvent;

test('of what is dropped the files within folders are taken as well', async () => {
  const [a, b, c, single] = ['a.eml', 'b.eml', 'c.eml', 'single.eml'].map(file) as [File, File, File, File];
  const within = folderEntry('older', [fileEntry(c)]);
  const dropped = drop([
    item(folderEntry('mail', [fileEntry(a), within, fileEntry(b)]), null),
    item(fileEntry(single), single),
  ]);
  const names = (await droppedFiles(dropped)).map(({ name }) => name);
  expect([...names].sort()).toEqual(['a.eml', 'b.eml', 'c.eml', 'single.eml']);
});
