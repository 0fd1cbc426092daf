import fs from 'node:fs';
import path from 'node:path';
import type { PGlite } from '@electric-sql/pglite';

/**
 * An image of an embedded store that nobody has used yet, with every change of the schema made. The build makes it: to begin from it
 * takes a third of the time that making the database and each change anew takes.
 */
let image = path.join(import.meta.dirname, 'empty-store.tar');

/** Begins new stores from an image in another place: for tests, which run without a build. */
export function beginFrom(file: string): void {
  image = file;
}

/** The image new stores begin from; null where none was made. */
export async function emptyStore(): Promise<Blob | null> {
  return fs.existsSync(image) ? new Blob([await fs.promises.readFile(image)]) : null;
}

/** Writes the image of a store that is open. */
export async function writeImage(client: PGlite, file: string): Promise<void> {
  const made = await client.dumpDataDir('none');
  fs.writeFileSync(file, Buffer.from(await made.arrayBuffer()));
}

/** Makes the folder of a new database from an image: whole, or not at all, whenever the process ends. */
export async function makeFolder(Embedded: typeof PGlite, folder: string, from: Blob): Promise<void> {
  const making = `${folder}.making`;
  fs.rmSync(making, { recursive: true, force: true });
  const made = await Embedded.create({ dataDir: making, loadDataDir: from });
  await made.close();
  fs.renameSync(making, folder);
}
