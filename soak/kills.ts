import { spawn } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { sql } from 'drizzle-orm';
import { openBackup } from '../server/backup';
import { openStore, schemaKnown } from '../server/db';
import { RunningServer } from '../e2e/runningServer';

/** What is done while the process that does it is killed. */
const ACTS = ['import', 'backup', 'restore', 'replace', 'upgrade'] as const;
type Act = (typeof ACTS)[number];

const MAIN = path.join(process.cwd(), 'dist/server/main.js');
const MANY = 1200;

const say = (line: string) => process.stdout.write(`${line}\n`);

interface Ran {
  code: number | null;
  said: string;
}

/** Runs the built program; killed after so many milliseconds where that is given. */
function program(args: readonly string[], dataFolder: string, killAfter?: number): Promise<Ran> {
  const child = spawn(process.execPath, [MAIN, ...args], {
    env: { ...process.env, NODE_ENV: 'production', ELDERLEAF_DATA: dataFolder, DATABASE_URL: '' },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let said = '';
  const hear = (data: Buffer) => (said += data.toString());
  child.stdout.on('data', hear);
  child.stderr.on('data', hear);
  const timer = killAfter === undefined ? undefined : setTimeout(() => child.kill('SIGKILL'), killAfter);
  return new Promise((resolve) =>
    child.once('exit', (code) => {
      clearTimeout(timer);
      resolve({ code, said });
    }),
  );
}

/** What a data folder holds, table by table, as its backup says; throws where it cannot be backed up. */
async function contentsOf(dataFolder: string, scratch: string): Promise<string> {
  const file = path.join(scratch, 'contents.zip');
  fs.rmSync(file, { force: true });
  const { code, said } = await program(['backup', file], dataFolder);
  if (code !== 0) throw new Error(`${dataFolder} could not be read: ${said}`);
  const { manifest, close } = await openBackup(file, null);
  close();
  const parts = manifest.parts.map(({ name, sha256 }) => `${name} ${sha256}`).sort();
  return parts.join('\n');
}

/** How long an act takes when nobody ends it, in milliseconds. */
async function timed(work: () => Promise<unknown>): Promise<number> {
  const begun = Date.now();
  await work();
  return Date.now() - begun;
}

interface World {
  scratch: string;
  /** A data folder with the demo's team, and a backup of it; another one with more in it. */
  team: string;
  backup: string;
  other: string;
  /** A data folder as an earlier Elderleaf left it, with somebody in its team. */
  earlier: string;
}

const SETTINGS = {
  ...{
    id: 'c',
    parent: null,
    name: 'Killed',
    leadIn: ';',
    kindsOfWork: [],
    language: 'en-GB',
    cuesBy: 'initials',
  },
  cueRules: {
    before: 'boundary',
    fires: 'closing',
    closers: ['space'],
    keepCloser: false,
    letters: 'ignored',
  },
};

const contentOf = (at: number) => ({
  ...{
    version: 1,
    title: `Killed ${at}`,
    purpose: '',
    note: '',
    tags: [],
    fields: [],
    cues: [{ text: `k${at}` }],
  },
  wordings: [
    {
      ...{ id: 'main', name: 'Main', language: 'en-GB' },
      parts: [
        {
          ...{ id: 'text', name: 'Text' },
          passage: {
            type: 'doc',
            content: [{ type: 'paragraph', content: [{ type: 'text', text: `Words ${at}.` }] }],
          },
        },
      ],
    },
  ],
});

/** Who asks a server as a member of the demo. */
class Asking {
  private constructor(
    private readonly url: string,
    private readonly cookie: string,
  ) {}

  static async signedIn(url: string): Promise<Asking> {
    const answer = await new Asking(url, '').ask('POST', '/api/session/demo', { member: 'imke' });
    return new Asking(url, (answer.headers.get('set-cookie') ?? '').split(';')[0]!);
  }

  async ask(method: string, at: string, body?: unknown): Promise<Response> {
    return fetch(`${this.url}${at}`, {
      method,
      headers: { 'Content-Type': 'application/json', Origin: this.url, Cookie: this.cookie },
      ...(body !== undefined && { body: JSON.stringify(body) }),
    });
  }

  /** How many of the entries of the import are in the bank. */
  async count(): Promise<number> {
    const bank = (await (await this.ask('GET', '/api/bank')).json()) as {
      entries: { content: { title: string } }[];
    };
    return bank.entries.filter(({ content }) => content.title.startsWith('Killed ')).length;
  }

  async bringIn(): Promise<void> {
    const body = { name: 'x', collections: [SETTINGS], places: {} };
    const { id } = (await (await this.ask('POST', '/api/imports', body)).json()) as { id: string };
    for (let at = 0; at < MANY; at += 200) {
      const entries = Array.from({ length: 200 }, (_, one) => ({
        ...{ id: `e${at + one}`, collection: 'c', content: contentOf(at + one), replaces: null },
      }));
      await this.ask('POST', `/api/imports/${id}/pieces`, { entries, known: {}, coming: [] });
    }
    await this.ask('POST', `/api/imports/${id}/finish`);
  }
}

/** Brings in many entries, the server being killed meanwhile where that is wanted. Gives how many are there once it runs again. */
async function importing(folder: string, killAfter: number | null): Promise<{ count: number; took: number }> {
  const server = await RunningServer.start(folder);
  const asking = await Asking.signedIn(server.url);
  const begun = Date.now();
  const killing =
    killAfter === null
      ? null
      : new Promise((resolve) => setTimeout(resolve, killAfter)).then(() => server.kill());
  // What is ended answers nothing.
  await asking.bringIn().catch(() => undefined);
  const took = Date.now() - begun;
  await killing;
  if (killing) await server.again();
  const count = await (await Asking.signedIn(server.url)).count();
  await server.kill();
  return { count, took };
}

/** So many changes of the schema ago. */
const AGO = 6;

async function makeEarlier(folder: string): Promise<void> {
  const store = await openStore({ folder }, undefined, { upTo: schemaKnown() - AGO });
  await store.db.execute(
    sql`insert into members (id, name, email, role, created_at) values ('one', 'Petra Lindow', 'petra@hollin.example', 'owner', now())`,
  );
  await store.close();
}

async function oneRound(act: Act, world: World, share: number, whole: number): Promise<string | null> {
  const { scratch, team, backup, other } = world;
  const folder = path.join(scratch, 'round');
  for (const rest of ['', '.restoring', '.restored'])
    fs.rmSync(`${folder}${rest}`, { recursive: true, force: true });
  const killAfter = Math.floor(share * whole);
  if (act === 'import') {
    fs.cpSync(team, folder, { recursive: true });
    const { count } = await importing(folder, killAfter);
    return count === 0 || count === MANY ? null : `${count} of ${MANY} entries are there`;
  }
  if (act === 'backup') {
    fs.cpSync(team, folder, { recursive: true });
    const before = await contentsOf(folder, scratch);
    const file = path.join(scratch, 'killed.zip');
    fs.rmSync(file, { force: true });
    await program(['backup', file], folder, killAfter);
    if (fs.existsSync(file)) (await openBackup(file, null)).close();
    return (await contentsOf(folder, scratch)) === before ? null : 'what was backed up is other than it was';
  }
  if (act === 'upgrade') {
    fs.cpSync(world.earlier, folder, { recursive: true });
    const before = await contentsOf(folder, scratch);
    fs.rmSync(folder, { recursive: true });
    fs.cpSync(world.earlier, folder, { recursive: true });
    await program([], folder, killAfter);
    fs.rmSync(`${folder}-backups`, { recursive: true, force: true });
    return (await contentsOf(folder, scratch)) === before ? null : 'an upgrade that was ended changed it';
  }
  if (act === 'replace') fs.cpSync(other, folder, { recursive: true });
  const before = act === 'replace' ? await contentsOf(folder, scratch) : null;
  await program(['restore', backup, ...(act === 'replace' ? ['--replace'] : [])], folder, killAfter);
  const now = await contentsOf(folder, scratch);
  const wanted = await contentsOf(team, scratch);
  const isEmpty = !now.includes('files/');
  if (now === wanted || (act === 'replace' ? now === before : isEmpty)) return null;
  return 'it is neither what it was nor what was restored';
}

/**
 * Kills what brings in, backs up, restores and starts, at moments spread over all of it; each time what is there is as before or as after.
 * Gives how many rounds were otherwise.
 */
async function kills(rounds: number): Promise<number> {
  const scratch = fs.mkdtempSync(path.join(os.tmpdir(), 'elderleaf-kills-'));
  const world: World = {
    scratch,
    team: path.join(scratch, 'team'),
    backup: path.join(scratch, 'team.zip'),
    other: path.join(scratch, 'other'),
    earlier: path.join(scratch, 'earlier'),
  };
  await makeEarlier(world.earlier);
  await (await RunningServer.start(world.team, { demo: 'lived' })).stop();
  await (await RunningServer.start(world.other)).stop();
  await program(['backup', world.backup], world.team);
  let faults = 0;
  for (const act of ACTS) {
    const whole =
      act === 'import'
        ? (await importing(path.join(scratch, 'timed'), null)).took
        : await timed(() =>
            act === 'backup' || act === 'upgrade'
              ? program(['backup', path.join(scratch, 'timed.zip')], world.team)
              : program(['restore', world.backup], path.join(scratch, `timed-${act}`)),
          );
    for (let round = 0; round < rounds; round += 1) {
      const fault = await oneRound(act, world, (round + Math.random()) / rounds, whole);
      if (fault === null) continue;
      faults += 1;
      say(`  ${act}, round ${round + 1}: ${fault}`);
    }
    say(`${act}: ended ${rounds} times within ${whole} ms`);
  }
  fs.rmSync(scratch, { recursive: true, force: true });
  return faults;
}

const faults = await kills(Number(process.argv[2] ?? 30));
say(faults === 0 ? 'Each time all was as before, or as after.' : `${faults} times it was neither.`);
process.exit(faults === 0 ? 0 : 1);
