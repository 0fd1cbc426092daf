import { spawnSync } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';

/** Makes the images of databases that tests begin with, once a run, unless `npm test` has: opening one takes a fifth of migrating and loading the demo. */
export default function globalSetup(): void {
  if (process.env.TEST_DATABASE_URL || process.env.TEST_DATABASE_IMAGES) return;
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'elderleaf-images-'));
  process.on('exit', () => fs.rmSync(folder, { recursive: true, force: true }));
  const make = path.join(import.meta.dirname, 'makeImages.ts');
  const { status } = spawnSync(process.execPath, ['--import', 'tsx', make, folder], { stdio: 'inherit' });
  if (status !== 0) throw new Error('The images of databases for the tests cannot be made.');
  process.env.TEST_DATABASE_IMAGES = folder;
}
