/** `npm test`: every check, on a machine that may have nothing but Node. */
import { spawnSync } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { build, install, root, run, runTogether, tool } from './steps.mjs';
import { withPostgres } from './postgres.mjs';

const CHROMIUM = '/usr/bin/chromium';

/** What checks need besides Node: the package that brings it, a file by which it is known to be there, and what is left out without it. */
const PACKAGES = [
  // A mailbox to read, by a mail server that is not ours.
  { name: 'dovecot-imapd', file: '/usr/sbin/dovecot', leftOut: 'Tests of the mailbox' },
  // A reader of PDFs that is not ours and not pdf.js.
  { name: 'poppler-utils', file: '/usr/bin/pdftotext', leftOut: 'Marked pages read by poppler' },
  { name: 'postgresql', file: '/usr/lib/postgresql', leftOut: 'HTTP tests on PostgreSQL' },
  { name: 'chromium', file: CHROMIUM },
  // Readers of docx and of mail that are not ours, to hold what goes out against.
  { name: 'pandoc', file: '/usr/bin/pandoc' },
  { name: 'python3', file: '/usr/bin/python3' },
];

const isThere = (name) => fs.existsSync(PACKAGES.find((one) => one.name === name).file);

/** A command that installs what is missing of the packages, all at once; null where nothing is. */
function debian() {
  const missing = PACKAGES.filter(({ file }) => !fs.existsSync(file)).map(({ name }) => name);
  if (missing.length === 0) return null;
  const apt = `apt-get update -qq; DEBIAN_FRONTEND=noninteractive apt-get install -y -qq ${missing.join(' ')}`;
  // The lists of packages may be out of reach, and each of them be there: what is missing after it is told below.
  const one = missing
    .map((name) => `DEBIAN_FRONTEND=noninteractive apt-get install -y -qq ${name}`)
    .join('; ');
  return {
    title: `Installing ${missing.join(', ')}`,
    command: 'sh',
    args: ['-c', `(${apt} || (${one}); true) >/dev/null 2>&1`],
  };
}

const only = process.argv[2];
const wants = (part) => !only || only === part;

// It waits for the network and the disk, while what follows keeps the processors busy.
const packages = wants('unit') || wants('browser') ? debian() : null;
const installing = packages && runTogether([packages]);
install('whole');

const images = fs.mkdtempSync(path.join(os.tmpdir(), 'elderleaf-images-'));
process.on('exit', () => fs.rmSync(images, { recursive: true, force: true }));
const jestEnv = {
  NODE_OPTIONS: '--experimental-vm-modules --no-warnings',
  TEST_DATABASE_IMAGES: images,
};

/** The compiler by its place: the checks of imports need one written in JavaScript, whose command has the same name. */
const TSC = path.join(root, 'node_modules/typescript-native/bin/tsc');
const STATIC = [
  { title: 'Lint', command: tool('oxlint'), args: ['--type-aware', '--deny-warnings'] },
  { title: 'Types', command: process.execPath, args: [TSC, '--noEmit'] },
  { title: 'Format', command: tool('oxfmt'), args: ['--check'] },
  {
    title: 'Boundaries',
    command: tool('depcruise'),
    args: ['core', 'contracts', 'client', 'companion', 'server', 'web', 'demo', 'bench', 'soak', 'e2e'],
  },
  { title: 'Rooms', command: process.execPath, args: ['scripts/rooms.mjs'] },
  { title: 'Unused code', command: tool('knip'), args: ['--no-progress'] },
];
const IMAGES = {
  title: 'Images of databases',
  command: process.execPath,
  args: ['--import', 'tsx', 'server/testing/makeImages.ts', images],
};

await runTogether([...(wants('unit') ? [IMAGES] : []), ...(wants('static') ? STATIC : [])]);

/**
 * Tests of the server in which it makes a difference what the store is: several at once and in turns, large acts in pieces, what processes tell
 * each other, files, searching, a whole store in a backup. What goes by plain statements alone is the same PostgreSQL either way.
 */
const STORE_OWN = [
  ...[
    'server/api',
    'server/sequences',
    'server/db/',
    'server/backup/backup',
    'server/steps/',
    'server/streams/',
  ],
  ...[
    'server/jobs/',
    'server/files/',
    'server/fileStore/',
    'server/imports/',
    'server/termLists/',
    'server/post/',
  ],
  ...['server/bank/(together|manyEntries|largeBank|sentAgain|includes)', 'server/wastebasket/wastebasket'],
  ...[
    'server/cases/(leaves|changeCase|findCases)',
    'server/usage/',
    'server/sendings/',
    'server/dictionaries/',
  ],
  ...['server/work/batch/rows', 'server/work/reply/', 'server/work/admission/', 'server/glossaries/'],
];
const STORE_ALIKE = 'upkeep|earlierSchemas|keptStatements';

await installing;
for (const { name, leftOut } of PACKAGES)
  if (leftOut && wants('unit') && !isThere(name))
    process.stdout.write(`• ${leftOut}: left out, ${name} cannot be installed here\n`);

if (wants('unit')) {
  run('Unit tests, and HTTP tests', tool('jest'), [], { env: jestEnv });
  if (isThere('postgresql'))
    withPostgres((url) =>
      run('HTTP tests on PostgreSQL', tool('jest'), [...STORE_OWN, '--testPathIgnorePatterns', STORE_ALIKE], {
        env: { ...jestEnv, TEST_DATABASE_URL: url },
      }),
    );
}

if (wants('browser')) {
  build();
  for (const name of ['chromium', 'pandoc', 'python3'])
    if (!isThere(name)) {
      process.stderr.write(`The browser tests need ${name}, which cannot be installed here.\n`);
      process.exit(1);
    }
  const shell = spawnSync(CHROMIUM, ['--version'], { encoding: 'utf8' });
  process.stdout.write(`  ${shell.stdout}`);
  run('Browser tests', tool('playwright'), ['test']);
}
