import { fileTypeFromBuffer } from 'file-type';
import { fileFormat, type FormatName } from '#core/exchange';

const decoder = () => new TextDecoder('utf-8', { fatal: true });
/** A sign of UTF-8 may be cut at the end of what is looked at: it has four bytes at the most. */
const CUT = 3;

/** Whether bytes are text: UTF-8 without signs that no text has. */
function isText(head: Uint8Array): boolean {
  // Control signs, but for tabs, ends of lines and pages, and the beginning of escapes.
  if (head.some((byte) => byte < 9 || (byte > 13 && byte < 27) || (byte > 27 && byte < 32))) return false;
  for (let less = 0; less <= CUT && less <= head.length; less += 1) {
    try {
      decoder().decode(head.subarray(0, head.length - less));
      return true;
    } catch {
      // Cut within a sign, or no text at all: what is left is tried.
    }
  }
  return false;
}

function mediaByEnding(...names: FormatName[]): Record<string, string> {
  return Object.fromEntries(names.map(fileFormat).map(({ ending, media }) => [ending, media]));
}

/** Kinds of text that are told apart by how a file is called: none of them is ever run by a page. */
const TEXTS = mediaByEnding('csv', 'markdown', 'eml', 'json', 'vtt');

/** Documents that are archives, where too little of one is looked at to tell which. */
const ARCHIVES = mediaByEnding('docx', 'xlsx');

const isArchive = ([p, k, three, four]: Uint8Array) => p === 0x50 && k === 0x4b && three === 3 && four === 4;

/** Scanners write what is in a TIFF at its end, which is not looked at: it is known by its first bytes alone then. */
const isTiff = (head: Uint8Array) =>
  ['49492a00', '4d4d002a'].includes(Buffer.from(head.subarray(0, 4)).toString('hex'));

/**
 * What a file is, as a media type: told by how it begins, and by its name only where it is text. A page of HTML or a picture
 * made of script is plain text, whatever it is called.
 */
export async function mediaOf(head: Uint8Array, name: string): Promise<string> {
  // Thrown where what is looked at ends in the middle of something; then nothing can be told.
  const found = await fileTypeFromBuffer(head).catch(() => undefined);
  const ending = name.toLowerCase().match(/\.([a-z0-9]+)$/)?.[1] ?? '';
  if (isArchive(head) && (!found || found.mime === 'application/zip'))
    return ARCHIVES[ending] ?? 'application/zip';
  if (found && !/[/+]xml|html|svg|javascript/.test(found.mime)) return found.mime;
  if (isTiff(head)) return 'image/tiff';
  if (!isText(head)) return 'application/octet-stream';
  return TEXTS[ending] ?? 'text/plain';
}
