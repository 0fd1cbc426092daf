/** `npm run demo` and `npm start`: install, build, start, each only if need be. */
import { spawn } from 'node:child_process';
import path from 'node:path';
import { build, fingerprint, install, onceFor, root } from './steps.mjs';

/** Beside the demo stand pages of others, made up, to try the companion on: on a port of their own, and so another origin. */
async function showElsewhere() {
  const { buildElsewhere, serveElsewhere } = await import('./elsewhere.mjs');
  const port = Number(process.env.PORT || 4780) + 1;
  await onceFor(
    'elsewhere',
    fingerprint(['demo/elsewhere', 'package-lock.json', 'scripts']),
    'dist/elsewhere/mail.js',
    buildElsewhere,
  );
  try {
    await serveElsewhere(port);
    process.stdout.write(`  Pages to try the companion on: http://localhost:${port}\n`);
  } catch (error) {
    process.stdout.write(`  The pages to try the companion on were not started: ${error.message}\n`);
  }
}

const demo = process.argv.includes('--demo');
install(demo ? 'to show' : 'to run');
build();
if (demo) await showElsewhere();
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
