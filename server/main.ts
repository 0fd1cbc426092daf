import fs from 'node:fs';
import path from 'node:path';
import { FolderInUse, openStore } from './db';
import { readSettings, type Settings } from './context';

function whyNot(error: unknown, settings: Settings): string {
  if (error instanceof FolderInUse) return error.message;
  if ((error as NodeJS.ErrnoException).code === 'EADDRINUSE') {
    return `Port ${settings.port} is in use by another program. Set PORT to a free one.`;
  }
  return `Elderleaf could not start: ${error instanceof Error ? error.message : String(error)}`;
}

/** Opens the store while the rest of the server is still being read: each takes the better part of a second. */
async function start(settings: Settings): Promise<void> {
  const place = settings.databaseUrl ? { url: settings.databaseUrl } : { folder: settings.dataFolder };
  const lost = () =>
    fail('Another Elderleaf has taken the data folder over. This one stops, so that nothing is spoilt.');
  const [store, { serve }] = await Promise.all([openStore(place, lost), import('./serve')]);
  await serve(store, settings);
}

function fail(words: string): never {
  process.stderr.write(`${words}\n`);
  process.exit(1);
}

function settingsOrFail(): Settings {
  const webFolder = path.join(process.cwd(), 'dist', 'web');
  try {
    return readSettings(process.env, fs.existsSync(webFolder) ? webFolder : null);
  } catch (error) {
    return fail((error as Error).message);
  }
}

// What is written here is nobody else's to read.
process.umask(0o077);
const settings = settingsOrFail();
start(settings).catch((error: unknown) => fail(whyNot(error, settings)));
