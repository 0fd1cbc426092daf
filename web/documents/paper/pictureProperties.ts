import exifr from 'exifr';

/** What the properties of a picture say (EXIF): when it was taken and what it shows. */
export interface PictureProperties {
  taken: Date | null;
  says: string;
}

/** The part of a WebP that holds such properties, as a TIFF (RIFF container: a chunk called EXIF); null where it has none. */
function exifOfWebp(bytes: Uint8Array): Uint8Array | null {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const nameAt = (at: number) => String.fromCharCode(...bytes.subarray(at, at + 4));
  if (bytes.length < 12 || nameAt(0) !== 'RIFF' || nameAt(8) !== 'WEBP') return null;
  for (let at = 12; at + 8 <= bytes.length;) {
    const size = view.getUint32(at + 4, true);
    // Some programs begin it as in a JPEG.
    if (nameAt(at) === 'EXIF') {
      const head = at + 8 + (nameAt(at + 8) === 'Exif' ? 6 : 0);
      return bytes.slice(head, at + 8 + size);
    }
    at += 8 + size + (size % 2);
  }
  return null;
}

const ASKED = ['DateTimeOriginal', 'CreateDate', 'ImageDescription'];

/** Reads the properties of a picture (JPEG, TIFF, PNG, WebP); empty where it has none, or none that can be read. */
export async function pictureProperties(bytes: Uint8Array): Promise<PictureProperties> {
  // A WebP is no file that the library knows, but the part with its properties is.
  const isWebp = String.fromCharCode(...bytes.subarray(8, 12)) === 'WEBP';
  const from = isWebp ? exifOfWebp(bytes) : bytes;
  const found = (from && (await exifr.parse(from, ASKED).catch(() => null))) as Record<
    string,
    unknown
  > | null;
  const taken = found?.DateTimeOriginal ?? found?.CreateDate;
  return {
    taken: taken instanceof Date && !Number.isNaN(taken.getTime()) ? taken : null,
    says: typeof found?.ImageDescription === 'string' ? found.ImageDescription.trim() : '',
  };
}
