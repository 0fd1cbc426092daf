/** `npm run bench`, or one section: `npm run bench -- cues`. Bundled first, so that what is timed is what ships. `typing` needs Chromium. */
import { spawnSync } from 'node:child_process';
import fs from 'node:fs';
import path from 'node:path';
import { build, install, root, run, tool } from './steps.mjs';

install('whole');
// What is typed on is the built application.
build();
// As deep as the sources are: the scripts that they call stay where they are.
const bundle = 'dist/bench.js';
run('Building the benchmarks', tool('esbuild'), [
  'bench/main.ts',
  '--bundle',
  '--platform=node',
  '--format=esm',
  '--target=node20',
  '--packages=external',
  '--external:../scripts/*',
  `--outfile=${bundle}`,
  '--log-level=warning',
]);
// A large bank is written straight into the store.
fs.cpSync(path.join(root, 'server/db/migrations'), path.join(root, 'dist/migrations'), {
  recursive: true,
});
const result = spawnSync(
  process.execPath,
  ['--expose-gc', '--max-old-space-size=12000', path.join(root, bundle), ...process.argv.slice(2)],
  {
    cwd: root,
    stdio: 'inherit',
  },
);
process.exit(result.status ?? 1);
