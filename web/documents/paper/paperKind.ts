import { decodedText } from '../decodedText';
import { documentKind } from '../documentKind';
import { isMail } from '../mails';
import { isPdf } from '../pdf/isPdf';

/** What a file is to who looks at it before naming it. */
export type PaperKind = 'pdf' | 'picture' | 'tiff' | 'mail' | 'docx' | 'odt' | 'text' | 'other';

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

/** What a file is, by what is in it before what it is called. Broken archives are of another sort. */
export async function paperKind(bytes: Uint8Array, called: string): Promise<PaperKind> {
  if (isPdf(bytes)) return 'pdf';
  if (begins(bytes, PICTURES) || isWebp(bytes)) return 'picture';
  if (begins(bytes, TIFFS)) return 'tiff';
  const document = await documentKind(bytes, called).catch(() => null);
  if (document) return document;
  if (bytes.length === 0 || decodedText(bytes.subarray(0, 4096)) === null) return 'other';
  return isMail(bytes, called) ? 'mail' : 'text';
}
