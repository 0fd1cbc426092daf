/** Pages of others, made up: where the companion is tried. They come with the demo, on a port of their own, and so from another origin. */
import fs from 'node:fs';
import http from 'node:http';
import path from 'node:path';
import { root } from './steps.mjs';

const FOLDER = path.join(root, 'dist/elsewhere');
const TYPES = { '.html': 'text/html', '.js': 'text/javascript', '.css': 'text/css' };
/** As strict as such pages are at the strictest: scripts of their own alone, and no connection to anywhere. */
const POLICY =
  "default-src 'none'; script-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; font-src 'self'; connect-src 'none'; frame-src 'self'; form-action 'none'; base-uri 'none'";

/** One page compiles its own templates, as its library does where nobody built it before. */
const policyOf = (name) =>
  name === 'order.html' ? POLICY.replace("script-src 'self'", "script-src 'self' 'unsafe-eval'") : POLICY;

/** Bundles the scripts of the pages into a folder, which is emptied first. */
export async function buildElsewhere(folder = FOLDER) {
  const { build } = await import('esbuild');
  const source = path.join(root, 'demo/elsewhere');
  fs.rmSync(folder, { recursive: true, force: true });
  await build({
    entryPoints: ['mail.ts', 'board.tsx', 'chat.tsx', 'order.ts', 'records.ts'].map((name) =>
      path.join(source, name),
    ),
    outdir: folder,
    bundle: true,
    minify: true,
    format: 'esm',
    jsx: 'automatic',
    define: { 'process.env.NODE_ENV': '"production"', global: 'globalThis' },
    logLevel: 'error',
    legalComments: 'none',
  });
  fs.cpSync(path.join(source, 'pages'), folder, { recursive: true });
  fs.mkdirSync(path.join(folder, 'tinymce'), { recursive: true });
  fs.copyFileSync(
    path.join(root, 'node_modules/tinymce/skins/ui/oxide/skin.min.css'),
    path.join(folder, 'tinymce/skin.css'),
  );
}

/** Serves the pages that were built into a folder. Gives the server once it listens. */
export function serveElsewhere(port, folder = FOLDER) {
  const server = http.createServer((request, response) => {
    const { pathname } = new URL(request.url ?? '/', 'http://elsewhere.example');
    const name = pathname === '/' ? 'mail.html' : pathname.slice(1);
    const file = path.join(folder, name);
    const type = TYPES[path.extname(file)];
    if (!type || !file.startsWith(folder) || !fs.existsSync(file)) {
      response.writeHead(404).end();
      return;
    }
    response.writeHead(200, { 'Content-Type': type, 'Content-Security-Policy': policyOf(name) });
    fs.createReadStream(file).pipe(response);
  });
  return new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, '127.0.0.1', () => resolve(server));
  });
}
