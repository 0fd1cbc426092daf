import { describe, expect, test } from '@jest/globals';
import { strToU8, unzipSync, zipSync } from 'fflate';
import { filesPacked, isArchive, listArchive, repacked } from './archive';
import { decodedText } from './decodedText';

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

describe('a dropped archive', () => {
  const packed = (files: Parameters<typeof zipSync>[0], name = 'week.zip') =>
    new File([zipSync(files)], name);

  test('gives the files that were packed, by the last part of their paths, and not what programs put beside them', async () => {
    const files = await filesPacked(
      packed({
        'week/Bramble.md': strToU8('# Bramble'),
        '../../etc/Keel.txt': strToU8('Keel'),
        'a\\b\\Tarn.txt': strToU8('Tarn'),
        '__MACOSX/week/._Bramble.md': strToU8('x'),
        'week/.DS_Store': strToU8('x'),
        'week/': new Uint8Array(),
      }),
    );
    expect(await Promise.all(files!.map(async (file) => [file.name, await file.text()]))).toEqual([
      ['Bramble.md', '# Bramble'],
      ['Keel.txt', 'Keel'],
      ['Tarn.txt', 'Tarn'],
    ]);
  });

  test('a document that is an archive within, or no archive at all, is left as it is', async () => {
    const docx = { '[Content_Types].xml': strToU8('<t/>'), 'word/document.xml': strToU8('<w/>') };
    expect(await filesPacked(packed(docx, 'a.docx'))).toBeNull();
    expect(await filesPacked(packed({ mimetype: strToU8('application/vnd') }, 'a.odt'))).toBeNull();
    expect(await filesPacked(new File(['PK, as it is called'], 'a.txt'))).toBeNull();
  });

  const many = Object.fromEntries(Array.from({ length: 10_000 }, (_, at) => [`${at}.txt`, strToU8('x')]));
  test.each([
    ['of ten thousand files', packed(many), /week\.zip holds 10,000 files, and 200 are the most at once/],
    [
      'that unpacks to a thousand times its size',
      packed({ a: new Uint8Array(100_000_001) }),
      /more than 100 MB/,
    ],
    [
      'that is broken',
      new File([zipSync({ a: strToU8('abc') }).slice(0, 20)], 'half.zip'),
      /half\.zip is broken/,
    ],
  ])('one %s says so', async (_what, file, said) => {
    await expect(filesPacked(file)).rejects.toThrow(said);
  });

  test('one that is locked says so', async () => {
    const bytes = zipSync({ 'a.txt': strToU8('secret') });
    bytes[6]! |= 1;
    const locked = new File([bytes], 'locked.zip');
    await expect(filesPacked(locked)).rejects.toThrow(/locked\.zip is locked with a password/);
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
    expect(decodedText(bytes)).toBe(words);
  });

  test('a picture or a program is none', () => {
    expect(decodedText(new Uint8Array([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0, 0]))).toBeNull();
    expect(decodedText(new Uint8Array([0x7f, 0x45, 0x4c, 0x46, 2, 1, 1, 0]))).toBeNull();
  });
});
