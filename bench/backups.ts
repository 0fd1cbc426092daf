import { randomUUID } from 'node:crypto';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { RunningServer } from '../e2e/runningServer';
import { growthDuring, Sender } from './files';
import { seed } from './largeBank';
import type { Measured } from './measure';
import { signedIn } from './signedIn';

/** A gigabyte, in files as large as films of an hour are not. */
const FILES = 4;
const FILE_BYTES = 250_000_000;
/** Somebody saves again this long after each answer. */
const PAUSE_MS = 50;
const USUAL_MS = 10_000;

interface Kept {
  id: string;
  revision: number;
  content: { title: string };
}

/** Saves an entry again and again until it is told to end; how long each save took, in milliseconds, in order of length. */
function saving(who: Sender, entry: Kept): () => Promise<number[]> {
  const times: number[] = [];
  let isDone = false;
  const working = (async () => {
    while (!isDone) {
      const start = performance.now();
      const body = { content: entry.content, reason: '' };
      const response = await who.call('PUT', `/api/entries/${entry.id}`, body, entry.revision);
      if (!response.ok) throw new Error(`A save was refused: ${await response.text()}`);
      entry.revision = ((await response.json()) as Kept).revision;
      times.push(performance.now() - start);
      await new Promise((rest) => setTimeout(rest, PAUSE_MS));
    }
  })();
  return async () => {
    isDone = true;
    await working;
    return times.sort((a, b) => a - b);
  };
}

/** How much memory a backup of 100,000 entries and a gigabyte of files takes, and how long others' saves take meanwhile. */
export async function benchBackups(): Promise<Measured[]> {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'elderleaf-backups-'));
  const data = path.join(folder, 'data');
  try {
    const demo = await RunningServer.start(data);
    await demo.stop();
    await seed({ folder: data });
    const server = await RunningServer.start(data, { backups: 'off' });
    const imke = await signedIn(server.url, 'imke', Sender);
    for (let at = 0; at < FILES; at += 1)
      await imke.send(`/api/cases/hedgehog-bramble/files/${randomUUID()}`, FILE_BYTES);
    await server.stop();
    const backups = path.join(folder, 'kept');
    // The day's is there already, so that the one that is measured is the only one.
    fs.mkdirSync(backups);
    const [day, time] = new Date().toISOString().split('T') as [string, string];
    const daily = `elderleaf-${day}-${time.slice(0, 8).replaceAll(':', '')}-daily.zip`;
    fs.writeFileSync(path.join(backups, daily), '');
    const backing = await RunningServer.start(data, { backups });
    const owner = await signedIn(backing.url, 'imke', Sender);
    const entry = (await (await owner.call('GET', '/api/entries/handling')).json()) as Kept;
    const savedFor = async (ms: number) => {
      const end = saving(owner, entry);
      await new Promise((rest) => setTimeout(rest, ms));
      return end();
    };
    // The code that any save needs is there then, and what was sent is on the disk.
    await savedFor(USUAL_MS);
    const usual = await savedFor(USUAL_MS);
    const end = saving(owner, entry);
    let words = '';
    const { megabytes, ms } = await growthDuring(backing.pid, async () => {
      words = await (await owner.call('POST', '/api/backups')).text();
    });
    const during = await end();
    await backing.stop();
    if (!words.includes('"state":"done"')) throw new Error(words.slice(-300));
    const p = (times: number[], share: number) => times[Math.floor((times.length - 1) * share)]! * 1e6;
    const row = (work: string, times: number[], more: Partial<Measured> = {}): Measured => ({
      ...{ section: 'backups', contender: 'Embedded store', work, perSecond: 1000 / (p(times, 0.5) / 1e6) },
      ...{ p50: p(times, 0.5), p95: p(times, 0.95), p99: p(times, 0.99), longest: p(times, 1) },
      ...more,
    });
    return [
      row('a save while nothing else is done, 100,000 entries and 1 GB of files', usual),
      row('a save while a backup of them is made, how long that takes and MB more in memory', during, {
        buildMs: ms,
        megabytes,
      }),
    ];
  } finally {
    fs.rmSync(folder, { recursive: true, force: true });
  }
}
