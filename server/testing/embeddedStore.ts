import fs from 'node:fs';
import path from 'node:path';
import { openStore, type Store } from '../db';

/** What an embedded store of a test has in it: nobody, or the demo's team on its first day. */
export type Beginning = 'empty' | 'first-day';

/** Opens an embedded store in memory, from the image of its beginning that was made for the run, else empty. */
export function embeddedStore(beginning: Beginning = 'empty'): Promise<Store> {
  const folder = process.env.TEST_DATABASE_IMAGES;
  if (!folder) return openStore({ image: null });
  return openStore({ image: new Blob([fs.readFileSync(path.join(folder, `${beginning}.tar`))]) });
}
