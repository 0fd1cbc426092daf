/** `npm test`: every check, on a machine that may have nothing but Node. */
import { spawnSync } from 'node:child_process';
import fs from 'node:fs';
import { build, install, run, runTogether, tool } from './steps.mjs';
import { withPostgres } from './postgres.mjs';

const CHROMIUM = '/usr/bin/chromium';

/** Installs Debian packages when a file they bring is missing. */
function debian(packages, file) {
  if (fs.existsSync(file)) return true;
  const env = { DEBIAN_FRONTEND: 'noninteractive' };
  return (
    run('Reading the package lists', 'apt-get', ['update', '-qq'], { quiet: true, may_fail: true }) &&
    run(`Installing ${packages.join(', ')}`, 'apt-get', ['install', '-y', '-qq', ...packages], {
      quiet: true,
      env,
      may_fail: true,
    })
  );
}

install({ forChecks: true });
const only = process.argv[2];
const wants = (part) => !only || only === part;

if (wants('static')) {
  const roots = ['core', 'contracts', 'client', 'companion', 'server', 'web', 'demo', 'bench', 'soak', 'e2e'];
  // The longest first: each takes one processor, most of the time.
  await runTogether([
    { title: 'Lint', command: tool('eslint'), args: ['.'] },
    { title: 'Types', command: tool('tsc'), args: ['--noEmit'] },
    { title: 'Format', command: tool('prettier'), args: ['--check', '--log-level', 'warn', '.'] },
    { title: 'Boundaries', command: tool('depcruise'), args: roots },
    { title: 'Rooms', command: process.execPath, args: ['scripts/rooms.mjs'] },
    { title: 'Unused code', command: tool('knip'), args: ['--no-progress'] },
  ]);
}

/** Tests of the server in which it makes no difference what the store is. */
const STORE_ALIKE =
  'rights|leaks|upkeep|earlierSchemas|people/people|ownerSees|access|http/|context/|doubles/|phrases/|reviews/';

const jestEnv = { NODE_OPTIONS: '--experimental-vm-modules --no-warnings' };
if (wants('unit')) {
  // A mailbox to read, by a mail server that is not ours.
  if (!debian(['dovecot-imapd'], '/usr/sbin/dovecot'))
    process.stdout.write('• Tests of the mailbox: left out, no Dovecot can be installed here\n');
  run('Unit and HTTP tests', tool('jest'), [], { env: jestEnv });
  const hasPostgres = debian(['postgresql'], '/usr/lib/postgresql');
  if (hasPostgres) {
    withPostgres((url) =>
      // What any store answers alike was run above: rights route by route, passwords, what is computed of what is read. Here what stores do their own way.
      run('HTTP tests on PostgreSQL', tool('jest'), ['server', '--testPathIgnorePatterns', STORE_ALIKE], {
        env: { ...jestEnv, TEST_DATABASE_URL: url },
      }),
    );
  } else process.stdout.write('• HTTP tests on PostgreSQL: left out, no PostgreSQL can be installed here\n');
}

if (wants('browser')) {
  build();
  if (!debian(['chromium'], CHROMIUM)) process.exit(1);
  // A reader of docx that is not ours, to hold what goes out against.
  if (!debian(['pandoc'], '/usr/bin/pandoc')) process.exit(1);
  // And one of mail.
  if (!debian(['python3'], '/usr/bin/python3')) process.exit(1);
  const shell = spawnSync(CHROMIUM, ['--version'], { encoding: 'utf8' });
  process.stdout.write(`  ${shell.stdout}`);
  run('Browser tests', tool('playwright'), ['test']);
}
