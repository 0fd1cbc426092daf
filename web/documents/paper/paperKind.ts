import { decodedText } from '../decodedText';
import { documentKind } from '../documentKind';
import { isMail } from '../mails';
import { isPdf } from '../pdf/isPdf';
import { pictureKind } from '../pictureKind';

/** What a file is to who looks at it before naming it. */
export type PaperKind = 'pdf' | 'picture' | 'tiff' | 'mail' | 'docx' | 'odt' | 'text' | 'other';

/** What a file is, by what is in it before what it is called. Broken archives are of another sort. */
export async function paperKind(bytes: Uint8Array, called: string): Promise<PaperKind> {
  if (isPdf(bytes)) return 'pdf';
  const picture = pictureKind(bytes);
  if (picture) return picture;
  const document = await documentKind(bytes, called).catch(() => null);
  if (document) return document;
  if (bytes.length === 0 || decodedText(bytes.subarray(0, 4096)) === null) return 'other';
  return isMail(bytes, called) ? 'mail' : 'text';
}
