const PICTURES: readonly (readonly number[])[] = [
  [0x89, 0x50, 0x4e, 0x47],
  [0xff, 0xd8, 0xff],
  [0x47, 0x49, 0x46, 0x38],
];
const TIFFS: readonly (readonly number[])[] = [
  [0x49, 0x49, 0x2a, 0x00],
  [0x4d, 0x4d, 0x00, 0x2a],
];
const begins = (bytes: Uint8Array, heads: readonly (readonly number[])[]) =>
  heads.some((head) => head.every((byte, at) => bytes[at] === byte));
const isWebp = (bytes: Uint8Array) =>
  String.fromCharCode(...bytes.subarray(0, 4)) === 'RIFF' &&
  String.fromCharCode(...bytes.subarray(8, 12)) === 'WEBP';

/** Which sort of picture a file is, by how it begins: one that browsers draw (PNG, JPEG, GIF, WebP), a TIFF, or none. */
export function pictureKind(bytes: Uint8Array): 'picture' | 'tiff' | null {
  if (begins(bytes, PICTURES) || isWebp(bytes)) return 'picture';
  return begins(bytes, TIFFS) ? 'tiff' : null;
}
