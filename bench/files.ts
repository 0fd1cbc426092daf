import { randomBytes, randomUUID } from 'node:crypto';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { RunningServer } from '../e2e/runningServer';
import type { Measured } from './measure';
import { withPostgres } from './postgres';
import { SignedIn, signedIn } from './signedIn';

const BYTES = 300_000_000;
const SMALL_BYTES = 3_000_000;
const PIECE = randomBytes(1_000_000);
const LOOK_MS = 20;

/** A member who sends and fetches a large file. */
export class Sender extends SignedIn {
  async send(route: string, bytes = BYTES): Promise<void> {
    let left = bytes / PIECE.length;
    const body = new ReadableStream<Uint8Array>({
      pull: (stream) => {
        if (left === 0) return stream.close();
        left -= 1;
        stream.enqueue(new Uint8Array(PIECE));
      },
    });
    const response = await fetch(this.url + route, {
      method: 'PUT',
      headers: { Cookie: this.cookie, 'Content-Type': 'application/octet-stream', 'Elderleaf-Name': 'film' },
      body,
      duplex: 'half',
    } as RequestInit);
    if (response.status !== 201) throw new Error(`The file was refused: ${await response.text()}`);
  }

  async fetchAll(route: string, all = BYTES): Promise<void> {
    const response = await fetch(this.url + route, { headers: { Cookie: this.cookie } });
    let bytes = 0;
    for await (const part of response.body as unknown as AsyncIterable<Uint8Array>) bytes += part.length;
    if (bytes !== all) throw new Error(`${bytes} bytes came back.`);
  }
}

/** Megabytes of a process that are in memory now. */
const residentOf = (pid: number) =>
  Number(/VmRSS:\s+(\d+) kB/.exec(fs.readFileSync(`/proc/${pid}/status`, 'utf8'))![1]) / 1000;

/** How much more memory a process has at the most while something is done, in megabytes, and how long that takes. */
export async function growthDuring(
  pid: number,
  act: () => Promise<void>,
): Promise<{ megabytes: number; ms: number }> {
  const before = residentOf(pid);
  let most = before;
  const looking = setInterval(() => (most = Math.max(most, residentOf(pid))), LOOK_MS);
  const start = performance.now();
  await act();
  clearInterval(looking);
  return { megabytes: most - before, ms: performance.now() - start };
}

async function measure(contender: string, databaseUrl: string): Promise<Measured[]> {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'elderleaf-bench-'));
  const server = await RunningServer.start(folder, { databaseUrl });
  try {
    const imke = await signedIn(server.url, 'imke', Sender);
    const route = () => `/api/cases/hedgehog-bramble/files/${randomUUID()}`;
    const kept = route();
    // A small one before it is measured: the code that any file needs is there then.
    const small = route();
    await imke.send(small, SMALL_BYTES);
    await imke.fetchAll(small, SMALL_BYTES);
    const up = await growthDuring(server.pid, () => imke.send(kept));
    const down = await growthDuring(server.pid, () => imke.fetchAll(kept));
    return (
      [
        ['a file of 300 MB comes in', up],
        ['a file of 300 MB goes out', down],
      ] as const
    ).map(([work, { megabytes, ms }]) => ({
      section: 'files',
      work: `${work}: MB more in the server's memory at the most`,
      contender,
      perSecond: 1000 / ms,
      p50: ms * 1e6,
      p99: ms * 1e6,
      megabytes,
    }));
  } finally {
    await server.stop();
    fs.rmSync(folder, { recursive: true, force: true });
  }
}

/** How much memory a large file takes on its way in and out. Both stores. */
export async function benchFiles(): Promise<Measured[]> {
  const embedded = await measure('embedded store', '');
  const results: Measured[] = [];
  await withPostgres(async (url) => void results.push(...(await measure('PostgreSQL', url))));
  return [...embedded, ...results];
}
