import { createHash } from 'node:crypto';
import fs from 'node:fs';
import path from 'node:path';

import { build } from 'esbuild';

import { root } from './steps.mjs';

const NAME = 'service-worker.js';

/** Files that pages ask for; those compressed beside them are sent in their place by the server. */
function filesIn(folder, at = '') {
  return fs.readdirSync(path.join(folder, at), { withFileTypes: true }).flatMap((entry) => {
    const name = `${at}/${entry.name}`;
    if (entry.isDirectory()) return filesIn(folder, name);
    return /\.(gz|br|map)$/.test(name) || name === `/${NAME}` ? [] : [name];
  });
}

const contentOf = (file) => createHash('sha256').update(fs.readFileSync(file)).digest('hex').slice(0, 16);

/**
 * Builds the service worker of the pages in a folder, with the list of all its files: from then on they open without the server. The
 * names of files in `assets` tell their content apart; others carry a hash of it.
 */
async function buildServiceWorker(folder) {
  const files = filesIn(folder)
    .sort()
    .map((url) => ({ url, revision: url.startsWith('/assets/') ? null : contentOf(path.join(folder, url)) }));
  await build({
    absWorkingDir: root,
    entryPoints: ['web/serviceWorker/serviceWorker.ts'],
    outfile: path.join(folder, NAME),
    bundle: true,
    minify: true,
    format: 'iife',
    target: 'es2022',
    define: { FILES_OF_THE_PAGES: JSON.stringify(files), 'process.env.NODE_ENV': '"production"' },
    logLevel: 'warning',
  });
}

await buildServiceWorker(path.join(root, 'dist/web'));
