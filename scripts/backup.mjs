/** `npm run backup [-- FILE]` and `npm run restore -- FILE [--replace]`: install and build if need be, then what the server's own program does. */
import { spawnSync } from 'node:child_process';
import path from 'node:path';
import { build, install, root } from './steps.mjs';

install();
build();
const { status } = spawnSync(
  process.execPath,
  [path.join(root, 'dist/server/main.js'), ...process.argv.slice(2)],
  {
    cwd: root,
    stdio: 'inherit',
    env: { NODE_ENV: 'production', ...process.env },
  },
);
process.exit(status ?? 1);
