import { unzip, zip, type AsyncZippable, type Unzipped } from 'fflate';
import { UnreadableFile } from '#client/api';

/** What a file may unpack to at the most, and into how many: a small file can be made to unpack to a thousand times its size. */
export const ARCHIVE_LIMITS = { bytes: 100_000_000, files: 5000 } as const;

/** A file within an archive, as the archive says before anything is unpacked. */
export interface Packed {
  name: string;
  /** Unpacked, in bytes. */
  size: number;
}

const SIGNATURE = [0x50, 0x4b, 0x03, 0x04];

/** Whether bytes are a zip archive, which a docx is too. */
export const isArchive = (bytes: Uint8Array): boolean => SIGNATURE.every((byte, at) => bytes[at] === byte);

const unpacked = (bytes: Uint8Array, filter: (file: Packed) => boolean): Promise<Unzipped> =>
  new Promise((resolve, reject) => {
    unzip(
      bytes,
      { filter: ({ name, originalSize }) => filter({ name, size: originalSize }) },
      (error, files) => (error ? reject(error) : resolve(files)),
    );
  });

/** What an archive says that it holds. Nothing is unpacked. Throws an UnreadableFile where it is broken. */
export async function listArchive(bytes: Uint8Array, called: string): Promise<Packed[]> {
  const found: Packed[] = [];
  try {
    await unpacked(bytes, (file) => {
      found.push(file);
      return false;
    });
  } catch {
    throw new UnreadableFile(`${called} is broken and cannot be unpacked. Nothing was made of it.`);
  }
  return found;
}

/**
 * The files of an archive that are wanted, packed again without compression: what reads them then meets no more than what was
 * measured here. Throws an UnreadableFile where it holds too much, or more than it says.
 */
export async function repacked(
  bytes: Uint8Array,
  called: string,
  wanted: (name: string) => boolean,
): Promise<Uint8Array> {
  const listed = (await listArchive(bytes, called)).filter(({ name }) => wanted(name));
  const size = listed.reduce((sum, file) => sum + file.size, 0);
  if (listed.length > ARCHIVE_LIMITS.files || size > ARCHIVE_LIMITS.bytes)
    throw new UnreadableFile(
      `${called} would unpack to more than ${ARCHIVE_LIMITS.bytes / 1_000_000} MB or ${ARCHIVE_LIMITS.files.toLocaleString()} files. Nothing was made of it.`,
    );
  try {
    const files = await unpacked(bytes, ({ name }) => wanted(name));
    const plain: AsyncZippable = Object.fromEntries(
      Object.entries(files).map(([name, content]) => [name, [content, { level: 0 }]]),
    );
    return await new Promise((resolve, reject) => {
      zip(plain, (error, made) => (error ? reject(error) : resolve(made)));
    });
  } catch {
    throw new UnreadableFile(`${called} is broken and cannot be unpacked. Nothing was made of it.`);
  }
}
