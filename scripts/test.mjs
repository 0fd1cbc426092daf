/** `npm test`: every check, on a machine that may have nothing but Node. */
import { spawnSync } from 'node:child_process';
import fs from 'node:fs';
import { build, install, run, tool } from './steps.mjs';
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
  run('Format', tool('prettier'), ['--check', '--log-level', 'warn', '.']);
  run('Types', tool('tsc'), ['--noEmit']);
  run('Boundaries', tool('depcruise'), [
    'core',
    'contracts',
    'client',
    'server',
    'web',
    'demo',
    'bench',
    'soak',
    'e2e',
  ]);
  run('Rooms', process.execPath, ['scripts/rooms.mjs']);
  run('Unused code', tool('knip'), ['--no-progress']);
  run('Lint', tool('eslint'), ['.']);
}

const jestEnv = { NODE_OPTIONS: '--experimental-vm-modules --no-warnings' };
if (wants('unit')) {
  run('Unit and HTTP tests', tool('jest'), [], { env: jestEnv });
  const hasPostgres = debian(['postgresql'], '/usr/lib/postgresql');
  if (hasPostgres) {
    withPostgres((url) =>
      // What any store answers alike, route by route, was run above (passwords are hashed for minutes there); here what stores do their own way.
      run(
        'HTTP tests on PostgreSQL',
        tool('jest'),
        ['server', '--testPathIgnorePatterns', 'rights|leaks|upkeep|people/people'],
        {
          env: { ...jestEnv, TEST_DATABASE_URL: url },
        },
      ),
    );
  } else process.stdout.write('• HTTP tests on PostgreSQL: left out, no PostgreSQL can be installed here\n');
}

if (wants('browser')) {
  build();
  if (!debian(['chromium'], CHROMIUM)) process.exit(1);
  // A reader of docx that is not ours, to hold what goes out against.
  if (!debian(['pandoc'], '/usr/bin/pandoc')) process.exit(1);
  const shell = spawnSync(CHROMIUM, ['--version'], { encoding: 'utf8' });
  process.stdout.write(`  ${shell.stdout}`);
  run('Browser tests', tool('playwright'), ['test']);
}
