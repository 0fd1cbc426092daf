/**
 * `npm run companion`: builds the browser extension into `dist/companion/<browser>` and a zip beside each. `--hosts a.example,b.example`
 * names pages that are granted at install, for an organisation that gives it out; else each page is asked for when it is wanted.
 */
import fs from 'node:fs';
import path from 'node:path';
import { manifestFor } from '../companion/manifest.mjs';
import { install, root } from './steps.mjs';

const FOLDER = 'dist/companion';

const patternOf = (host) => (host.includes('://') ? host : `https://${host}/*`);

/** Bundles the parts once, and lays them out for each browser with its manifest. Gives the folders. */
export async function buildCompanion({ hosts = [], folder = FOLDER } = {}) {
  const { build: esbuild } = await import('esbuild');
  const at = (...names) => path.join(root, folder, ...names);
  fs.rmSync(at(), { recursive: true, force: true });
  const bundle = async (entry, out, format) => {
    await esbuild({
      entryPoints: [path.join(root, 'companion', entry)],
      outfile: at('parts', out),
      bundle: true,
      minify: true,
      jsx: 'automatic',
      target: ['chrome120', 'firefox128'],
      format,
      define: { 'process.env.NODE_ENV': '"production"' },
      logLevel: 'warning',
      legalComments: 'none',
    });
  };
  await bundle('background/index.ts', 'background.js', 'esm');
  await bundle('page/index.ts', 'page.js', 'iife');
  await bundle('slip/index.tsx', 'slip.js', 'iife');
  await bundle('point/index.ts', 'point.js', 'iife');
  await bundle('popup/index.tsx', 'popup.js', 'esm');
  for (const [from, to] of [
    ['companion/popup/popup.html', 'popup.html'],
    ['companion/popup/popup.css', 'popup.css'],
    ['companion/managed.json', 'managed.json'],
    ['companion/icons', 'icons'],
  ])
    fs.cpSync(path.join(root, from), at('parts', to), { recursive: true });
  const { version } = JSON.parse(fs.readFileSync(path.join(root, 'package.json'), 'utf8'));
  for (const browser of ['chromium', 'firefox']) {
    fs.cpSync(at('parts'), at(browser), { recursive: true });
    const manifest = manifestFor(browser, { version, hosts: hosts.map(patternOf) });
    fs.writeFileSync(at(browser, 'manifest.json'), JSON.stringify(manifest, null, 2));
  }
  fs.rmSync(at('parts'), { recursive: true });
  return ['chromium', 'firefox'].map((browser) => at(browser));
}

async function zipped(folder) {
  const { zipSync } = await import('fflate');
  const files = {};
  for (const entry of fs.readdirSync(folder, { recursive: true, withFileTypes: true })) {
    if (!entry.isFile()) continue;
    const full = path.join(entry.parentPath, entry.name);
    files[path.relative(folder, full)] = fs.readFileSync(full);
  }
  fs.writeFileSync(`${folder}.zip`, zipSync(files, { mtime: '2026-01-01' }));
}

if (process.argv[1] === import.meta.filename) {
  install();
  const at = process.argv.indexOf('--hosts');
  const hosts = at < 0 ? [] : (process.argv[at + 1] ?? '').split(',').filter((host) => host !== '');
  const folders = await buildCompanion({ hosts });
  for (const folder of folders) {
    await zipped(folder);
    process.stdout.write(`  ${path.relative(root, folder)} and ${path.relative(root, folder)}.zip\n`);
  }
}
