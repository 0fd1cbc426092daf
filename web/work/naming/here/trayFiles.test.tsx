import { File as ReadableFile } from 'node:buffer';
import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import type { FileInTray, LineChange, TrayLine } from '#contracts';
import { closeStore, forgetAnswers } from '#client/atHand';
import { handOnFiles, TrayFiles } from './trayFiles';

// That of jsdom cannot be read.
globalThis.File = ReadableFile as typeof File;
// What a browser keeps of a handle is the handle itself.
globalThis.structuredClone = (value: unknown) => value;

/** A folder as browsers give hold of one, in memory. Its handles outlive the window, as theirs do. */
const fileHandle = (name: string, content: string) => ({
  ...{ kind: 'file', name },
  getFile: () => Promise.resolve(new File([content], name, { lastModified: 1000 })),
});
type Held = ReturnType<typeof fileHandle> | FolderHandle;
class FolderHandle {
  readonly kind = 'directory';
  permission: PermissionState = 'granted';

  constructor(
    readonly name: string,
    readonly held: Held[],
  ) {}

  async *values() {
    yield* await Promise.resolve(this.held);
  }
  queryPermission = () => Promise.resolve(this.permission);
  requestPermission = () => Promise.resolve((this.permission = 'granted'));

  get handle() {
    return this as unknown as FileSystemDirectoryHandle;
  }
}

const realFetch = globalThis.fetch;
let lines: TrayLine[];
/** What went to the server, as text. */
let sent: string[];

beforeEach(async () => {
  await closeStore();
  globalThis.indexedDB = new IDBFactory();
  await forgetAnswers();
  [lines, sent] = [[], []];
  // The server as far as a tray needs it: what is added becomes a line.
  globalThis.fetch = (_input, init) => {
    const body = init!.body as string;
    sent.push(body);
    const { files = [], changes = [] } = JSON.parse(body) as { files?: FileInTray[]; changes?: LineChange[] };
    for (const { line, renamed } of changes)
      lines = lines.map((one) => (one.id === line ? { ...one, renamed: renamed ?? null } : one));
    const added = files.map((file, at): TrayLine => ({
      ...file,
      ...{ file: null, position: lines.length + at, version: 1, document: null, words: '' },
      ...{ newName: null, namedAt: null, renamed: null, renamedAt: null },
    }));
    lines.push(...added);
    return Promise.resolve({
      ok: true,
      status: 200,
      json: () => Promise.resolve({ lines: added }),
    } as Response);
  };
});
afterEach(() => {
  globalThis.fetch = realFetch;
});

const tray = () => new TrayFiles('tray', () => lines);
const names = () => lines.map(({ folder, name }) => `${folder}/${name}`);
const idOf = (name: string) => lines.find((line) => line.name === name)!.id;
const contentOf = async (files: TrayFiles, name: string) =>
  (await files.file(lines.find((line) => line.name === name)!))?.text() ?? null;
const chosen = (...files: File[]) => files.map((file) => ({ file, folder: '', handle: null }));

test('of a folder its files are lines, those below too; what systems put beside them is none; scans that come later are found', async () => {
  const below = new FolderHandle('2026', [fileHandle('b.pdf', 'bill')]);
  const folder = new FolderHandle('Post', [
    ...[fileHandle('Scan10.pdf', 'ten'), fileHandle('Scan2.pdf', 'two'), below],
    ...[fileHandle('.hidden', ''), fileHandle('Thumbs.db', ''), fileHandle('~$open.docx', '')],
  ]);
  const files = tray();
  expect(await files.openFolder(folder.handle)).toBe(3);
  expect(names()).toEqual(['/Scan2.pdf', '/Scan10.pdf', '2026/b.pdf']);
  expect(await contentOf(files, 'b.pdf')).toBe('bill');
  // Names, sizes and days went to the server, and nothing of what is in them.
  expect(sent.join()).not.toMatch(/ten|two|bill/);
  expect(await files.look()).toBe(0);
  folder.held.push(fileHandle('Scan11.pdf', 'late'));
  expect(await files.look()).toBe(1);
  expect(names().at(-1)).toBe('/Scan11.pdf');
  expect(files.within(lines[0]!)).toBe(folder.handle);
});

test('a file that was renamed in its folder is known by its new name', async () => {
  const folder = new FolderHandle('Post', [fileHandle('Scan1.pdf', 'one')]);
  const files = tray();
  await files.openFolder(folder.handle);
  lines[0] = { ...lines[0]!, newName: 'Harbour bill.pdf', renamed: 'here' };
  folder.held[0] = fileHandle('Harbour bill.pdf', 'one');
  expect(await files.look()).toBe(0);
  expect(files.snapshot().open).toEqual(new Set([lines[0].id]));
});

test.each(['here', 'script'] as const)(
  'a file that has its new name though the tray was not told so, or was told of a %s, is its line’s, and no other file',
  async (way) => {
    const folder = new FolderHandle('Post', [fileHandle('Scan1.pdf', 'one'), fileHandle('Scan2.pdf', 'two')]);
    const files = tray();
    await files.openFolder(folder.handle);
    const newName = 'Harbour bill.pdf';
    lines[0] = { ...lines[0]!, newName, renamed: way === 'here' ? null : way };
    folder.held[0] = fileHandle(newName, 'one');
    expect(await files.look()).toBe(0);
    expect(lines.map(({ renamed }) => renamed)).toEqual([way, null]);
    expect(files.snapshot().open.size).toBe(2);
    expect(await files.file(lines[0]).then((file) => file?.name)).toBe(newName);
    if (way !== 'here') return;
    // Given back its old name, and that was never told either.
    folder.held[0] = fileHandle('Scan1.pdf', 'one');
    expect([await files.look(), lines[0].renamed]).toEqual([0, null]);
  },
);

test('a file of another size that has the new name of a line is a file of its own', async () => {
  const folder = new FolderHandle('Post', [fileHandle('Scan1.pdf', 'one')]);
  const files = tray();
  await files.openFolder(folder.handle);
  lines[0] = { ...lines[0]!, newName: 'Harbour bill.pdf' };
  folder.held[0] = fileHandle('Harbour bill.pdf', 'another');
  expect([await files.look(), names()]).toEqual([1, ['/Scan1.pdf', '/Harbour bill.pdf']]);
  expect(lines[0].renamed).toBeNull();
});

test('a folder is open again after the window was closed; where the browser must ask, that is told, and done by a key', async () => {
  const folder = new FolderHandle('Post', [fileHandle('Scan1.pdf', 'one')]);
  await tray().openFolder(folder.handle);
  folder.permission = 'prompt';
  const later = tray();
  let told = 0;
  later.subscribe(() => (told += 1));
  await later.again();
  expect(later.snapshot()).toMatchObject({ mustAsk: true, open: new Set() });
  await later.ask();
  expect(later.snapshot()).toMatchObject({ mustAsk: false, open: new Set([idOf('Scan1.pdf')]) });
  expect(told).toBeGreaterThan(1);
});

test('files that were chosen are lines once, however often they are chosen; those handed on are there when the tray opens', async () => {
  const files = tray();
  const [one, two] = [new File(['one'], 'Scan1.pdf'), new File(['two!'], 'Scan2.pdf')];
  expect(await files.take(chosen(one, two))).toBe(2);
  // Of another window: its files are known again, by name and size.
  const other = tray();
  expect(await contentOf(other, 'Scan1.pdf')).toBeNull();
  expect(await other.take(chosen(one))).toBe(0);
  expect(await contentOf(other, 'Scan1.pdf')).toBe('one');
  expect(await other.take(chosen(new File(['another'], 'Scan1.pdf')))).toBe(1);
  handOnFiles('tray', [new File(['three'], 'Scan3.pdf')]);
  await other.again();
  expect(await contentOf(other, 'Scan3.pdf')).toBe('three');
  expect(lines).toHaveLength(4);
});

test('files that were chosen are there when one comes back to the tray, and gone once somebody signs out', async () => {
  const files = tray();
  await files.take(chosen(new File(['ferry'], 'ticket.txt'), new File(['two'], 'Scan2.pdf')));
  const back = tray();
  await back.again();
  expect(back.snapshot().open).toEqual(new Set([idOf('ticket.txt'), idOf('Scan2.pdf')]));
  expect(await contentOf(back, 'ticket.txt')).toBe('ferry');
  await forgetAnswers();
  const after = tray();
  await after.again();
  expect([after.snapshot().open.size, await contentOf(after, 'ticket.txt')]).toEqual([0, null]);
});

test('a name that is too long is told, and nothing is added', async () => {
  const long = `${'long'.repeat(80)}.pdf`;
  await expect(tray().take(chosen(new File(['x'], 'a.pdf'), new File(['x'], long)))).rejects.toThrow(
    /has too long a name\. Nothing was added/,
  );
  expect([lines, sent]).toEqual([[], []]);
});
