import fs from 'node:fs';
import path from 'node:path';
import {
  backupBeforeUpgrade,
  backupCommand,
  NotBackup,
  restoreCommand,
  settleRestored,
  showCommand,
} from './backup';
import { FolderInUse, NewerStore, openStore, type Database } from './db';
import { readSettings, type Settings } from './context';

const say = (words: string) => void process.stdout.write(`${words}\n`);
const counted = (rows: number, files: number) =>
  `${rows.toLocaleString('en-GB')} rows and ${files.toLocaleString('en-GB')} files`;

const { version } = JSON.parse(fs.readFileSync(path.join(process.cwd(), 'package.json'), 'utf8')) as {
  version: string;
};

function whyNot(error: unknown, settings: Settings): string {
  if (error instanceof FolderInUse || error instanceof NewerStore || error instanceof NotBackup)
    return error.message;
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
  const beforeUpgrade = async (db: Database, schema: number) => {
    const file = await backupBeforeUpgrade(db, schema, settings, version);
    if (file) say(`The data are of an earlier Elderleaf: they were backed up to ${file} first.`);
  };
  const [store, { serve }] = await Promise.all([
    openStore(place, lost, { beforeUpgrade }),
    import('./serve'),
  ]);
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

/** `backup [FILE]`: all of the store in one file. */
async function backup(settings: Settings, file: string | undefined): Promise<void> {
  const made = await backupCommand(settings, version, file);
  say(`Backed up ${counted(made.rows, made.files)} to ${made.file}.`);
}

const inColumns = (words: readonly (string | number)[]) =>
  words
    .map((word, at) => (at === 0 ? String(word).padEnd(14) : word.toLocaleString('en-GB').padStart(10)))
    .join('');

/** `restore FILE --show`: what a restore in place of what is there would change. */
async function show(settings: Settings, file: string): Promise<void> {
  const all = await showCommand(settings, file);
  say('A restore in place of what is there would change:');
  say(inColumns(['', 'back', 'changed', 'gone']));
  for (const { what, back, changed, gone } of all) say(inColumns([what, back, changed, gone]));
  say('Nothing was changed.');
}

/** `restore FILE [--replace]`: a backup into an empty place, or in place of what is there. */
async function restore(settings: Settings, args: readonly string[]): Promise<void> {
  const [file] = args.filter((arg) => !arg.startsWith('--'));
  if (!file) fail('Name the backup: npm run restore -- FILE');
  if (args.includes('--show')) return show(settings, file);
  const restored = await restoreCommand(settings, version, file, args.includes('--replace'));
  say(`Restored ${counted(restored.rows, restored.files)}, as they were on ${restored.madeAt}.`);
  if (restored.before) say(`What was there before is in ${restored.before}.`);
}

// What is written here is nobody else's to read.
process.umask(0o077);
const settings = settingsOrFail();
const [command, ...args] = process.argv.slice(2);
if (!settings.databaseUrl) settleRestored(settings.dataFolder);
const running =
  command === 'backup'
    ? backup(settings, args[0])
    : command === 'restore'
      ? restore(settings, args)
      : start(settings);
running.catch((error: unknown) => fail(whyNot(error, settings)));
