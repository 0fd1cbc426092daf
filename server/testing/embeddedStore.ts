import fs from 'node:fs';
import { openStore, type Store } from '../db';

/** Opens an empty embedded store in memory, from the image that is made once a run where there is one. */
export function embeddedStore(): Promise<Store> {
  const file = process.env.TEST_DATABASE_IMAGE;
  return openStore({ image: file ? new Blob([fs.readFileSync(file)]) : null });
}
