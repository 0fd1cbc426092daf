/** A PostgreSQL server of its own for the tests: made in a fresh folder, on loopback, ended afterwards. */
import { spawnSync } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';

const BINARIES = '/usr/lib/postgresql';
const PORT = 54_780;

function as(user, command, args) {
  const isRoot = process.getuid?.() === 0;
  const [program, rest] = isRoot ? ['runuser', ['-u', user, '--', command, ...args]] : [command, args];
  const result = spawnSync(program, rest, { encoding: 'utf8', cwd: os.tmpdir() });
  if (result.status !== 0) throw new Error(`${command} failed: ${result.stdout}${result.stderr}`);
}

/** Whether a PostgreSQL server can be started here. */
export const hasPostgres = () => fs.existsSync(BINARIES);

/** Starts a server; comes back with its URL and what ends it. PostgreSQL refuses to run as root. */
export function startPostgres(port = PORT) {
  const version = fs.readdirSync(BINARIES).sort((a, b) => Number(b) - Number(a))[0];
  const bin = (name) => path.join(BINARIES, version, 'bin', name);
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'elderleaf-postgres-'));
  const user = process.getuid?.() === 0 ? 'postgres' : os.userInfo().username;
  if (user === 'postgres') spawnSync('chown', ['postgres', folder]);
  const data = path.join(folder, 'data');
  as(user, bin('initdb'), ['-D', data, '-U', 'tests', '-A', 'trust', '-E', 'UTF8', '--no-sync']);
  const options = `-p ${port} -c listen_addresses=127.0.0.1 -c unix_socket_directories=${folder} -c fsync=off`;
  as(user, bin('pg_ctl'), ['-D', data, '-w', '-o', options, '-l', path.join(folder, 'log'), 'start']);
  const end = () => as(user, bin('pg_ctl'), ['-D', data, '-m', 'immediate', 'stop']);
  process.once('exit', end);
  const stop = () => {
    process.removeListener('exit', end);
    end();
    fs.rmSync(folder, { recursive: true, force: true });
  };
  return { url: `postgres://tests@127.0.0.1:${port}/postgres`, stop };
}

/** Starts a server, hands its URL to `work`, and ends it whatever happens. */
export function withPostgres(work) {
  const { url, stop } = startPostgres();
  try {
    work(url);
  } finally {
    stop();
  }
}
