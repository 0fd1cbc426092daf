import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { RunningServer } from '../e2e/runningServer';
import { withPostgres } from './postgres';
import { SignedIn, signedIn } from './signedIn';
import type { Measured } from './measure';
import { numbers } from './numbers';

const MEMBERS = 50;
const RUN_MS = 20_000;
/** How often all of them together save, and how often they ask for what changed: each at even distances, as clocks go. */
const SAVES_PER_SECOND = 58;
const READS_PER_SECOND = 320;
/** So few cues are fought over that two will often want the same. */
const CUES = 40;
const SHARED_ENTRIES = 60;

interface Kept {
  id: string;
  collection: string;
  revision: number;
  content: { title: string; cues: { text: string }[] };
}

/** One member at work: what they hear, what they did. */
class Worker extends SignedIn {
  heard = new Set<string>();
  saved = 0;
  refused = { movedOn: 0, cueTaken: 0, other: 0 };
  readonly times = { reading: [] as number[], saving: [] as number[] };
  private had: number | null = null;
  /** The collection that all fight over. */
  collection = '';
  private readonly entries = new Map<string, Kept>();

  /** Listens to what is told, as an open page does, until the run is over. */
  async listen(signal: AbortSignal): Promise<void> {
    const response = await fetch(`${this.url}/api/events`, { headers: { Cookie: this.cookie }, signal });
    const decoder = new TextDecoder();
    const follow = async () => {
      let text = '';
      for await (const piece of response.body!) {
        text += decoder.decode(piece, { stream: true });
        const lines = text.split('\n');
        text = lines.pop()!;
        for (const line of lines) {
          if (!line.startsWith('data: ')) continue;
          const event = JSON.parse(line.slice(6)) as { type: string; entry?: string; revision?: number };
          if (event.type === 'entry-saved') this.heard.add(`${event.entry} ${event.revision}`);
        }
      }
    };
    follow().catch(() => undefined);
  }

  /** Asks for what changed, as a page does when it is told that something did. Timed from when it was due. */
  async read(due = performance.now()): Promise<void> {
    const response = await this.call('POST', `/api/collections/${this.collection}/changes`, {
      had: this.had,
    });
    const { changes, entries } = (await response.json()) as { changes: number; entries: Kept[] };
    this.times.reading.push(performance.now() - due);
    this.had = changes;
    for (const entry of entries) this.entries.set(entry.id, entry);
  }

  /** Changes one of the shared entries, at the revision last read: its title always, its cue often. */
  async save(pick: (count: number) => number, due: number): Promise<void> {
    const shared = [...this.entries.values()].filter(({ content }) => content.title.startsWith('Shared'));
    const entry = shared[pick(shared.length)]!;
    const cues = pick(2) === 0 ? [{ text: `q${pick(CUES)}` }] : entry.content.cues;
    const content = { ...entry.content, title: `Shared, saved ${this.saved}`, cues };
    const response = await this.call(
      'PUT',
      `/api/entries/${entry.id}`,
      { content, reason: 'At work' },
      entry.revision,
    );
    this.times.saving.push(performance.now() - due);
    const answer = (await response.json()) as Kept & { code?: string };
    if (response.ok) {
      this.saved += 1;
      this.entries.set(answer.id, answer);
    } else if (answer.code === 'moved-on') this.refused.movedOn += 1;
    else if (answer.code === 'cue-taken') this.refused.cueTaken += 1;
    else this.refused.other += 1;
  }
}

/** A team of fifty with one collection that all of them keep, and shared entries in it. */
async function prepare(urls: readonly string[]): Promise<{ workers: Worker[]; collection: string }> {
  const imke = await signedIn(urls[0]!, 'imke', Worker);
  const ids: string[] = [];
  for (let at = 0; at < MEMBERS; at += 1) {
    const email = `worker${at}@hollin.example`;
    await imke.call('POST', '/api/invitations', { name: `Worker ${at}`, email, role: 'member', groups: [] });
    const letters = (await (await imke.call('GET', '/api/post')).json()) as { to: string; text: string }[];
    const token = letters
      .find(({ to }) => to === email)!
      .text.split('#')[1]!
      .split('\n')[0];
    // Without a session: joining ends the one it is done in.
    const joined = await new Worker(urls[0]!, '').call('POST', '/api/members', {
      token,
      name: `Worker ${at}`,
      password: 'a quiet owl at dusk',
    });
    ids.push(((await joined.json()) as { id: string }).id);
  }
  const bank = (await (await imke.call('GET', '/api/bank')).json()) as {
    collections: { id: string; cueRules: object }[];
    entries: Kept[];
  };
  const settings = { name: 'Fought over', leadIn: ';', kindsOfWork: [], language: 'en-GB', parent: null };
  const made = await imke.call('POST', '/api/collections', {
    ...settings,
    cueRules: bank.collections[0]!.cueRules,
  });
  const { id: collection } = (await made.json()) as { id: string };
  await imke.call(
    'PUT',
    `/api/collections/${collection}/sharing`,
    {
      grants: [
        { to: { kind: 'team' }, right: 'keep' },
        { to: { kind: 'member', id: 'imke' }, right: 'keep' },
      ],
    },
    2,
  );
  const like = bank.entries.find(({ id }) => id === 'handling')!.content;
  for (let at = 0; at < SHARED_ENTRIES; at += 1)
    await imke.call('POST', '/api/entries', {
      collection,
      content: { ...like, title: `Shared ${at}`, cues: [] },
      reason: '',
    });
  const workers = await Promise.all(ids.map((id, at) => signedIn(urls[at % urls.length]!, id, Worker)));
  for (const worker of workers) worker.collection = collection;
  return { workers, collection };
}

/** What must hold after any run, whoever was quicker. Throws where it does not. */
async function mustHold(workers: readonly Worker[], collection: string): Promise<void> {
  const [first] = workers;
  const bank = (await (await first!.call('GET', '/api/bank')).json()) as { entries: Kept[] };
  const shared = bank.entries.filter((entry) => entry.collection === collection);
  const saves = workers.reduce((sum, { saved }) => sum + saved, 0);
  const revisions = shared.reduce((sum, { revision }) => sum + revision - 1, 0);
  if (saves !== revisions) throw new Error(`Of ${saves} saves ${revisions} stand: an update was lost.`);
  const cues = shared.flatMap(({ content }) => content.cues.map(({ text }) => text));
  if (new Set(cues).size !== cues.length) throw new Error('A cue stands twice in one collection.');
  const others = workers.filter(({ refused }) => refused.other > 0).length;
  if (others > 0) throw new Error(`${others} members were refused for no good reason.`);
  const stuck = workers.filter(({ times }) => times.saving.length < 3).length;
  if (stuck > 0) throw new Error(`${stuck} members were kept waiting.`);
  const told = new Set(workers.flatMap(({ heard }) => [...heard]));
  const deaf = workers.filter(({ heard }) => heard.size !== told.size).length;
  if (told.size !== saves || deaf > 0)
    throw new Error(`${told.size} of ${saves} saves were told; ${deaf} members did not hear all of them.`);
}

function measured(contender: string, times: readonly number[], seconds: number): Measured {
  const sorted = [...times].sort((a, b) => a - b);
  const at = (share: number) => sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))]! * 1e6;
  return {
    section: 'team',
    work: `${MEMBERS} members at once: ${SHARED_ENTRIES} shared entries saved up to ${SAVES_PER_SECOND} times a second, read up to ${READS_PER_SECOND} times, ${CUES} cues fought over`,
    contender,
    perSecond: times.length / seconds,
    p50: at(0.5),
    p95: at(0.95),
    p99: at(0.99),
  };
}

async function run(where: string, urls: readonly string[]): Promise<Measured[]> {
  const { workers, collection } = await prepare(urls);
  const over = new AbortController();
  for (const worker of workers) {
    await worker.listen(over.signal);
    await worker.read();
  }
  for (const { times } of workers) times.reading.length = 0;
  const start = performance.now();
  await Promise.all(
    workers.flatMap((worker, at) => {
      const next = numbers(at + 1);
      const pick = (count: number) => Math.floor(next() * count);
      return [
        inTime(start, at, READS_PER_SECOND, (due) => worker.read(due)),
        inTime(start, at, SAVES_PER_SECOND, (due) => worker.save(pick, due)),
      ];
    }),
  );
  // What is under way is heard within a moment.
  await new Promise((resolve) => setTimeout(resolve, 3000));
  over.abort();
  await mustHold(workers, collection);
  const sum = (pick: (worker: Worker) => number) => workers.reduce((all, one) => all + pick(one), 0);
  process.stdout.write(
    `  ${where}: ${sum(({ saved }) => saved)} saved and told to all; refused, and told why: ` +
      `${sum(({ refused }) => refused.movedOn)} saved by another meanwhile, ` +
      `${sum(({ refused }) => refused.cueTaken)} with a cue that is taken\n`,
  );
  const of = (pick: (worker: Worker) => number[]) => workers.flatMap(pick);
  const seconds = RUN_MS / 1000;
  return [
    measured(
      `${where}, reading what changed`,
      of(({ times }) => times.reading),
      seconds,
    ),
    measured(
      `${where}, saving an entry`,
      of(({ times }) => times.saving),
      seconds,
    ),
  ];
}

/**
 * Has one of the members do something again and again until the run is over: as often as makes so many a second of all of them
 * together, whether or not the one before was answered in time; one that is due while it waits is done right after.
 */
async function inTime(
  start: number,
  at: number,
  perSecond: number,
  work: (due: number) => Promise<void>,
): Promise<void> {
  const apart = (MEMBERS * 1000) / perSecond;
  for (let due = start + (at / MEMBERS) * apart; due < start + RUN_MS; due += apart) {
    const early = due - performance.now();
    if (early > 0) await new Promise((resolve) => setTimeout(resolve, early));
    if (performance.now() > start + RUN_MS) return;
    await work(due);
  }
}

/** Fifty members at once, on the embedded store and on a PostgreSQL server with two server processes. */
export async function benchTeam(): Promise<Measured[]> {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'elderleaf-team-'));
  const embedded = await RunningServer.start(folder);
  const results = await run('Embedded, one process', [embedded.url]);
  await embedded.stop();
  fs.rmSync(folder, { recursive: true, force: true });
  const served = await withPostgres(async (databaseUrl) => {
    const first = await RunningServer.start(folder, { databaseUrl });
    const second = await RunningServer.start(folder, { databaseUrl });
    const all = await run('PostgreSQL, two processes', [first.url, second.url]);
    await first.stop();
    await second.stop();
    return all;
  });
  return [...results, ...(served ?? [])];
}
