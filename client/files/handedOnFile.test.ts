import { createHash } from 'node:crypto';
import { File } from 'node:buffer';
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import type { CollectionFile } from '#contracts';
import { newEntry, type EntryFile } from '#core/entry';
import { Unreachable } from '#client/api';
import { MOST_ALONG_BYTES, sendFilesAlong, withFilesAlong } from './handedOnFile';

const hashOf = (bytes: Uint8Array) => createHash('sha256').update(bytes).digest('hex');
const bytesOf = (words: string) => Uint8Array.from(new TextEncoder().encode(words));

/** What the server has of files, by their hashes; what was asked of it; and what it was sent. */
const stored = new Map<string, Uint8Array<ArrayBuffer>>();
let asked: string[] = [];
let arrived: { name: string; words: string }[] = [];

/** What a browser has for reading and sending files, as far as it is used here. */
class Reader {
  result: string | null = null;
  onload: () => void = () => undefined;
  readAsDataURL(blob: Blob) {
    void blob.arrayBuffer().then((bytes) => {
      this.result = `data:application/octet-stream;base64,${Buffer.from(bytes).toString('base64')}`;
      this.onload();
    });
  }
}
class Request {
  status = 0;
  response: unknown = null;
  upload = {};
  onload: () => void = () => undefined;
  private name = '';
  open() {}
  setRequestHeader(header: string, value: string) {
    if (header === 'Elderleaf-Name') this.name = decodeURIComponent(value);
  }
  send(file: File) {
    void file.arrayBuffer().then((buffer) => {
      const bytes = new Uint8Array(buffer);
      arrived.push({ name: this.name, words: new TextDecoder().decode(bytes) });
      [this.status, this.response] = [201, { hash: hashOf(bytes), name: this.name }];
      this.onload();
    });
  }
}

const real = { fetch: globalThis.fetch, navigator: Object.getOwnPropertyDescriptor(globalThis, 'navigator') };
beforeEach(() => {
  stored.clear();
  asked = [];
  arrived = [];
  Object.assign(globalThis, { FileReader: Reader, XMLHttpRequest: Request, File });
  Object.defineProperty(globalThis, 'navigator', { value: { language: 'en-GB' }, configurable: true });
  globalThis.fetch = ((path: string) => {
    asked.push(path);
    const bytes = stored.get(path.split('/').at(-1)!);
    return bytes ? Promise.resolve(new Response(bytes)) : Promise.reject(new TypeError('away'));
  }) as typeof fetch;
});
afterEach(() => {
  globalThis.fetch = real.fetch;
  for (const name of ['FileReader', 'XMLHttpRequest', 'navigator']) Reflect.deleteProperty(globalThis, name);
  if (real.navigator) Object.defineProperty(globalThis, 'navigator', real.navigator);
});

/** A file that the server has, as an entry holds it. */
function kept(name: string, words: string, over: Partial<EntryFile> = {}): EntryFile {
  const bytes = bytesOf(words);
  stored.set(hashOf(bytes), bytes);
  return { hash: hashOf(bytes), name, media: 'text/plain', bytes: bytes.length, ...over };
}

/** A collection in which each entry has those files with it. */
const holding = (...files: EntryFile[][]): CollectionFile => ({
  format: 'elderleaf-collection',
  version: 1,
  collections: [],
  entries: files.map((own, at) => ({
    id: `e${at}`,
    collection: 'c',
    content: { ...newEntry(`Entry ${at}`, 'en-GB'), files: own },
  })),
});
const coming = ({ entries }: CollectionFile) => ({
  entries: entries.map((one) => ({ ...one, replaces: null })),
});

test('what goes along with entries is in what is handed on, each file once, and arrives byte for byte', async () => {
  const [plan, list] = [kept('plan.txt', 'Pläne, 鳥, \0 and more'), kept('list.txt', '')];
  const handed = await withFilesAlong(holding([plan], [plan, list], []));
  expect(asked).toEqual([`/api/entries/e0/files/${plan.hash}`, `/api/entries/e1/files/${list.hash}`]);
  expect(handed.files!.map(({ hash }) => hash)).toEqual([plan.hash, list.hash]);
  await sendFilesAlong(JSON.parse(JSON.stringify(handed)) as CollectionFile, coming(handed));
  expect(arrived).toEqual([
    { name: 'plan.txt', words: 'Pläne, 鳥, \0 and more' },
    { name: 'list.txt', words: '' },
  ]);
});

test('where nothing goes along the file says nothing of files', async () => {
  const handed = holding([], []);
  expect(await withFilesAlong(handed)).toEqual(handed);
  expect(asked).toEqual([]);
});

test('too much for one file is told before any of it is fetched', async () => {
  const large = kept('film.mp4', 'x', { bytes: MOST_ALONG_BYTES + 1 });
  await expect(withFilesAlong(holding([large]))).rejects.toThrow(/100 MB is the most\. Nothing was made/);
  expect(asked).toEqual([]);
});

test('a file that the server does not give now makes no file with a hole in it', async () => {
  const here = kept('here.txt', 'here');
  const away = { ...kept('away.txt', 'away'), hash: 'f'.repeat(64) };
  await expect(withFilesAlong(holding([here, away]))).rejects.toBeInstanceOf(Unreachable);
});

test('of a file only what entries that come hold is sent; what it does not bring is left to what is here', async () => {
  const [wanted, other, missing] = [kept('a.txt', 'a'), kept('b.txt', 'b'), kept('c.txt', 'c')];
  const handed = await withFilesAlong(holding([wanted], [other], [missing]));
  const files = handed.files!.filter(({ hash }) => hash !== missing.hash);
  const { entries } = coming(handed);
  await sendFilesAlong({ files }, { entries: [entries[0]!, entries[2]!] });
  expect(arrived.map(({ name }) => name)).toEqual(['a.txt']);
});

test.each([
  ['is no Base64', () => '***'],
  ['is of another file', () => Buffer.from('other').toString('base64')],
])('a file that %s is told by its name', async (_what, data) => {
  const plan = kept('plan.txt', 'plan');
  const handed = holding([plan]);
  const files = [{ hash: plan.hash, data: data() }];
  await expect(sendFilesAlong({ files }, coming(handed))).rejects.toThrow(
    'plan.txt is damaged in this file. Nothing was brought in.',
  );
});
