import { describe, expect, test } from '@jest/globals';
import { strToU8, unzipSync, zipSync } from 'fflate';
import { isArchive, listArchive, repacked } from './archive';
import { textOf } from './textOf';

const of = (name: string) => name.startsWith('word/');

describe('an archive', () => {
  const bytes = zipSync({
    'word/document.xml': strToU8('<w/>'),
    'word/media/seal.png': new Uint8Array(5000),
    'docProps/app.xml': strToU8('<p/>'),
  });

  test('is known by its first bytes, and tells what it holds', async () => {
    expect([
      isArchive(bytes),
      isArchive(strToU8('PK, as it is called')),
      isArchive(new Uint8Array()),
    ]).toEqual([true, false, false]);
    expect(await listArchive(bytes, 'a.docx')).toEqual([
      { name: 'word/document.xml', size: 4 },
      { name: 'word/media/seal.png', size: 5000 },
      { name: 'docProps/app.xml', size: 4 },
    ]);
  });

  test('gives what is wanted, as it was, and nothing else', async () => {
    const left = unzipSync(await repacked(bytes, 'a.docx', (name) => name.endsWith('.xml') && of(name)));
    expect(Object.keys(left)).toEqual(['word/document.xml']);
    expect(left['word/document.xml']).toEqual(strToU8('<w/>'));
  });

  test.each([
    ['that unpacks to a thousand times its size', { 'word/document.xml': new Uint8Array(100_000_001) }],
    [
      'of more files than anybody writes',
      Object.fromEntries(Array.from({ length: 5001 }, (_, at) => [`word/${at}.xml`, new Uint8Array()])),
    ],
  ])('one %s is not unpacked', async (_, files) => {
    const bomb = zipSync(files);
    expect(bomb.length).toBeLessThan(1_000_000);
    await expect(repacked(bomb, 'bomb.docx', of)).rejects.toThrow(/bomb\.docx would unpack to more than/);
  });

  test('one that says it is small and is not gives no more than it says', async () => {
    const lie = zipSync({ 'word/document.xml': new Uint8Array(200_000) });
    const view = new DataView(lie.buffer, lie.byteOffset);
    // The size unpacked, in the file's own head and in the list at the end (APPNOTE 4.3.7 and 4.3.12).
    view.setUint32(22, 10, true);
    const list = lie.findIndex(
      (_, at) => at > 4 && view.getUint32(Math.min(at, lie.length - 4), true) === 0x02014b50,
    );
    view.setUint32(list + 24, 10, true);
    const size = await repacked(lie, 'lie.docx', of).then(
      (made) => unzipSync(made)['word/document.xml']!.length,
      () => 0,
    );
    expect(size).toBeLessThanOrEqual(10);
  });

  test('a broken one says so', async () => {
    await expect(listArchive(bytes.subarray(0, 60), 'half.docx')).rejects.toThrow(/half\.docx is broken/);
  });
});

describe('text, in whatever it is written', () => {
  test.each([
    ['UTF-8', strToU8('Dŵr y môr'), 'Dŵr y môr'],
    ['UTF-8 with a mark', new Uint8Array([0xef, 0xbb, 0xbf, 0x61]), 'a'],
    ['an older encoding', new Uint8Array([0x43, 0x61, 0x66, 0xe9]), 'Café'],
    ['UTF-16', new Uint8Array([0xff, 0xfe, 0x61, 0, 0xe9, 0]), 'aé'],
    ['nothing', new Uint8Array(), ''],
  ])('%s', (_, bytes, words) => {
    expect(textOf(bytes)).toBe(words);
  });

  test('a picture or a program is none', () => {
    expect(textOf(new Uint8Array([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0, 0]))).toBeNull();
    expect(textOf(new Uint8Array([0x7f, 0x45, 0x4c, 0x46, 2, 1, 1, 0]))).toBeNull();
  });
});
