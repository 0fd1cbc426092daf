import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { pictureProperties } from './pictureProperties';

const ascii = (text: string) => Buffer.from(text, 'ascii');

/** Properties as cameras and scanners write them: a TIFF of two entries (Exif 2.32), when it was taken being one of the inner list. */
function exif(says: string, taken: string): Buffer {
  const [words, when] = [ascii(`${says}\0`), ascii(`${taken}\0`)];
  const head = 8 + 2 + 2 * 12 + 4;
  const inner = head + words.length + (words.length % 2);
  const bytes = Buffer.alloc(inner + 2 + 12 + 4 + when.length);
  bytes.write('II*\0', 0, 'latin1');
  bytes.writeUInt32LE(8, 4);
  const entry = (at: number, tag: number, type: number, count: number, value: number) => {
    bytes.writeUInt16LE(tag, at);
    bytes.writeUInt16LE(type, at + 2);
    bytes.writeUInt32LE(count, at + 4);
    bytes.writeUInt32LE(value, at + 8);
  };
  bytes.writeUInt16LE(2, 8);
  // Image description, then where the inner list is.
  entry(10, 0x010e, 2, words.length, head);
  entry(22, 0x8769, 4, 1, inner);
  words.copy(bytes, head);
  bytes.writeUInt16LE(1, inner);
  // Date and time original.
  entry(inner + 2, 0x9003, 2, when.length, inner + 18);
  when.copy(bytes, inner + 18);
  return bytes;
}

/** A WebP (RIFF): its parts, each padded to an even length. */
function webp(...parts: readonly [name: string, content: Buffer][]): Uint8Array {
  const all = parts.map(([name, content]) => {
    const size = Buffer.alloc(4);
    size.writeUInt32LE(content.length);
    return Buffer.concat([ascii(name), size, content, Buffer.alloc(content.length % 2)]);
  });
  const size = Buffer.alloc(4);
  size.writeUInt32LE(4 + all.reduce((sum, one) => sum + one.length, 0));
  return new Uint8Array(Buffer.concat([ascii('RIFF'), size, ascii('WEBP'), ...all]));
}

/** A JPEG that holds nothing but its properties. */
const jpeg = (held: Buffer) => {
  const size = Buffer.alloc(2);
  size.writeUInt16BE(held.length + 8);
  return new Uint8Array(
    Buffer.concat([
      Buffer.from('ffd8ffe1', 'hex'),
      size,
      ascii('Exif\0\0'),
      held,
      Buffer.from('ffd9', 'hex'),
    ]),
  );
};

const HELD = exif('Ringing sheet', '2026:11:21 09:30:00');
const PICTURE = Buffer.from('odd');

test.each([
  ['a JPEG', jpeg(HELD)],
  ['a TIFF', new Uint8Array(HELD)],
  ['a WebP', webp(['VP8X', Buffer.alloc(10)], ['VP8 ', PICTURE], ['EXIF', HELD])],
  [
    'a WebP of a program that begins it as in a JPEG',
    webp(['EXIF', Buffer.concat([ascii('Exif\0\0'), HELD])]),
  ],
])('%s says when it was taken and what it shows', async (_what, bytes) => {
  const { taken, says } = await pictureProperties(bytes);
  expect(says).toBe('Ringing sheet');
  expect([taken?.getFullYear(), taken?.getMonth(), taken?.getDate()]).toEqual([2026, 10, 21]);
});

test.each([
  ['a WebP without properties', webp(['VP8 ', PICTURE])],
  ['a WebP that is cut within them', webp(['EXIF', HELD]).subarray(0, 40)],
  ['a WebP whose part claims more than there is', webp(['VP8 ', PICTURE]).fill(255, 16, 20)],
  ['no picture', new Uint8Array(ascii('Dear all, the pond is frozen.'))],
  ['nothing', new Uint8Array()],
])('%s says nothing, and nothing is thrown', async (_what, bytes) => {
  expect(await pictureProperties(bytes)).toEqual({ taken: null, says: '' });
});

test('whatever bytes there are, it ends, and throws nothing', async () => {
  await fc.assert(
    fc.asyncProperty(fc.uint8Array({ maxLength: 60 }), async (bytes) => {
      const read = await pictureProperties(Buffer.concat([webp().subarray(0, 12), bytes]));
      expect(typeof read.says).toBe('string');
    }),
  );
});
