/** `npm run demo` and `npm start`: install, build, start, each only if need be. */
import { spawn } from 'node:child_process';
import path from 'node:path';
import { build, install, root } from './steps.mjs';

install();
build();
const demo = process.argv.includes('--demo');
const server = spawn(process.execPath, [path.join(root, 'dist/server/main.js')], {
  cwd: root,
  stdio: 'inherit',
  env: {
    NODE_ENV: 'production',
    ...process.env,
    ELDERLEAF_DEMO: demo ? process.env.ELDERLEAF_DEMO || 'lived' : '',
    // The demo lets anyone in as anyone: it never goes into a team's database.
    ...(demo && { DATABASE_URL: '' }),
  },
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code, signal) => process.exit(code ?? (signal ? 1 : 0)));
