/** What `npm run demo`, `npm start`, `npm test` and `npm run bench` share: plain Node, since nothing may be installed yet. */
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import fs from 'node:fs';
import path from 'node:path';

import { compressAssets } from './compressAssets.mjs';
import { writeEnglish } from './english.mjs';

export const root = path.dirname(path.dirname(new URL(import.meta.url).pathname));
/** Where the list of general English is written; the pages take it from there. */
const ENGLISH = 'web/generated';
const stampFolder = path.join(root, '.cache');

/** Runs a command in the project's folder, its output shown; ends this process when it fails. */
export function run(title, command, args, { quiet = false, env = {}, may_fail = false } = {}) {
  const started = Date.now();
  process.stdout.write(`• ${title}${quiet ? ' … ' : '\n'}`);
  const result = spawnSync(command, args, {
    cwd: root,
    stdio: quiet ? ['ignore', 'pipe', 'pipe'] : ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, ...env },
  });
  const seconds = ((Date.now() - started) / 1000).toFixed(1);
  if (result.status === 0) {
    process.stdout.write(quiet ? `done in ${seconds} s\n` : `  ${title}: done in ${seconds} s\n`);
    return true;
  }
  if (quiet) process.stdout.write(`failed\n${result.stdout ?? ''}${result.stderr ?? ''}\n`);
  if (may_fail) return false;
  process.stderr.write(`\n${title} failed after ${seconds} s. Nothing was started.\n`);
  process.exit(1);
}

/** Runs commands that have nothing to do with each other, two at a time, and tells each once it is done; ends with the first that fails. */
export async function runTogether(checks) {
  const waiting = [...checks];
  const runNext = async () => {
    for (let next = waiting.shift(); next; next = waiting.shift()) {
      const { title, command, args, env } = next;
      const started = Date.now();
      const { status, said } = await new Promise((resolve) => {
        const child = spawn(command, args, { cwd: root, env: { ...process.env, ...env } });
        let all = '';
        for (const stream of [child.stdout, child.stderr]) stream.on('data', (words) => (all += words));
        child.on('close', (code) => resolve({ status: code, said: all }));
      });
      const seconds = ((Date.now() - started) / 1000).toFixed(1);
      process.stdout.write(`${said}• ${title}: ${status === 0 ? 'done' : 'failed'} in ${seconds} s\n`);
      if (status !== 0) process.exit(1);
    }
  };
  await Promise.all([runNext(), runNext()]);
}

/** Path of an installed command-line tool. */
export const tool = (name) => path.join(root, 'node_modules', '.bin', name);

function filesIn(folder) {
  return fs.readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const full = path.join(folder, entry.name);
    return entry.isDirectory() ? filesIn(full) : [full];
  });
}

/** A hash over files and folders, to see whether anything changed since a step was last done. */
export function fingerprint(places) {
  const hash = createHash('sha256');
  for (const place of places) {
    const full = path.join(root, place);
    if (!fs.existsSync(full)) continue;
    const files = fs.statSync(full).isDirectory() ? filesIn(full).sort() : [full];
    for (const file of files) hash.update(path.relative(root, file)).update(fs.readFileSync(file));
  }
  return hash.digest('hex');
}

const stampOf = (name) => path.join(stampFolder, name);
const wasDone = (name, print) =>
  fs.existsSync(stampOf(name)) && fs.readFileSync(stampOf(name), 'utf8') === print;

/** Does a step unless it was done for the same fingerprint and its result still stands. */
export function onceFor(name, print, result, step) {
  if (wasDone(name, print) && fs.existsSync(path.join(root, result))) return undefined;
  const stamp = () => {
    fs.mkdirSync(stampFolder, { recursive: true });
    fs.writeFileSync(stampOf(name), print);
  };
  const done = step();
  return done instanceof Promise ? done.then(stamp) : stamp();
}

/** What is installed for what, the lesser before the greater: the later has all that the one before has. */
const INSTALLED = {
  // What the application is built of and with.
  'to run': ['--omit=dev', '--workspaces=false'],
  // And what the pages of others are made of that come with the demo.
  'to show': ['--omit=dev', '--workspace=demo/elsewhere', '--include-workspace-root'],
  // And what checks and benchmarks need.
  whole: ['--include=dev'],
};

/** Checks Node's version and installs the packages of the lock file that are not there yet, those that are wanted for something (see `INSTALLED`). */
export function install(wanted = 'to run') {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19)) {
    process.stderr.write(`Elderleaf needs Node 20.19 or newer; this is ${process.versions.node}.\n`);
    process.exit(1);
  }
  const print = fingerprint(['package-lock.json']);
  const kinds = Object.keys(INSTALLED);
  // What is there beyond what is wanted stays.
  const kind = kinds
    .slice(kinds.indexOf(wanted))
    .find((one) => wasDone('installed', `${print} ${one}`) && fs.existsSync(path.join(root, 'node_modules')));
  void onceFor('installed', `${print} ${kind ?? wanted}`, 'node_modules', () => {
    run('Installing packages (one to three minutes the first time)', 'npm', ['ci', ...INSTALLED[wanted]]);
  });
  void onceFor(
    'english',
    fingerprint(['package-lock.json', 'scripts/english.mjs']),
    `${ENGLISH}/en-GB.dic`,
    () => {
      writeEnglish(path.join(root, ENGLISH));
    },
  );
}

/** Builds the web pages and the server when their sources changed. */
export function build() {
  const sources = [
    'core',
    'contracts',
    'client',
    'server',
    'web',
    'demo',
    'vite.config.ts',
    // What is bundled of a room is what is used of it: it says which files do something by being there.
    'package.json',
    'package-lock.json',
    'scripts',
  ];
  void onceFor('built', fingerprint(sources), 'dist/server/main.js', () => {
    run('Building the pages', tool('vite'), ['build', '--logLevel', 'warn'], {
      env: { NODE_ENV: 'production' },
    });
    compressAssets(path.join(root, 'dist/web/assets'));
    run('Building what opens the pages offline', process.execPath, ['scripts/serviceWorker.mjs'], {
      quiet: true,
    });
    fs.rmSync(path.join(root, 'dist/server'), { recursive: true, force: true });
    run('Building the server', tool('esbuild'), [
      'server/main.ts',
      'server/makeEmptyStore.ts',
      '--bundle',
      '--platform=node',
      '--format=esm',
      '--target=node20',
      '--splitting',
      '--outdir=dist/server',
      // Libraries go into the bundle, since reading their hundreds of files takes a third of a second at each
      // start; those with binaries of their own stay where they are.
      ...['@electric-sql/pglite', '@node-rs/argon2', 'pg'].map((name) => `--external:${name}`),
      // What some of them ask for in the old way must be found from within a module.
      "--banner:js=import { createRequire as requireFrom } from 'node:module'; const require = requireFrom(import.meta.url);",
      '--log-level=warning',
    ]);
    fs.cpSync(path.join(root, 'server/db/migrations'), path.join(root, 'dist/server/migrations'), {
      recursive: true,
    });
    const image = path.join(root, 'dist/server/empty-store.tar');
    run('Making what a new store begins from', process.execPath, [
      path.join(root, 'dist/server/makeEmptyStore.js'),
      image,
    ]);
  });
}
