import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { chromium } from '@playwright/test';
import { RunningServer } from '../e2e/runningServer';
import type { Measured } from './measure';

const STARTS = 9;

const nanoseconds = (sorted: readonly number[], share: number) =>
  sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))]! * 1e6;

/** How long a server takes from its start until it answers, on the demo's folder. */
async function measureStarts(folder: string): Promise<Measured> {
  const times: number[] = [];
  for (let at = 0; at < STARTS; at += 1) {
    const start = performance.now();
    const server = await RunningServer.start(folder);
    times.push(performance.now() - start);
    await server.stop();
  }
  times.sort((a, b) => a - b);
  return {
    section: 'start',
    work: 'the server, until it is ready, on the folder of the demo',
    contender: 'Elderleaf',
    perSecond: 1000 / (times.reduce((sum, time) => sum + time, 0) / times.length),
    p50: nanoseconds(times, 0.5),
    p99: nanoseconds(times, 0.99),
  };
}

/**
 * How long a browser that was never here takes to show the desk to who is signed in, and what scripts were sent until then.
 */
async function measureFirstPage(url: string): Promise<Measured> {
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
  });
  const times: number[] = [];
  let sent = 0;
  for (let at = 0; at < STARTS; at += 1) {
    const context = await browser.newContext();
    await context.request.post(`${url}/api/session/demo`, {
      data: { member: 'imke' },
      headers: { Origin: url },
    });
    const page = await context.newPage();
    const scripts: Promise<number>[] = [];
    page.on('response', (response) => {
      if (response.request().resourceType() !== 'script') return;
      scripts.push(
        response
          .request()
          .sizes()
          .then(({ responseBodySize }) => responseBodySize),
      );
    });
    const start = performance.now();
    await page.goto(url);
    await page.getByRole('heading', { level: 1 }).waitFor();
    times.push(performance.now() - start);
    const sizes = await Promise.all(scripts.splice(0));
    sent = Math.max(
      sent,
      sizes.reduce((sum, size) => sum + size, 0),
    );
    await context.close();
  }
  await browser.close();
  times.sort((a, b) => a - b);
  return {
    section: 'start',
    work: `the desk in a browser that was never here, ${Math.round(sent / 1000)} kB of script as sent`,
    contender: 'Elderleaf',
    perSecond: 1000 / (times.reduce((sum, time) => sum + time, 0) / times.length),
    p50: nanoseconds(times, 0.5),
    p99: nanoseconds(times, 0.99),
  };
}

/** How soon the application is there: its server, and its first page. */
export async function benchStart(): Promise<Measured[]> {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'elderleaf-start-'));
  await (await RunningServer.start(folder)).stop();
  const starts = await measureStarts(folder);
  const server = await RunningServer.start(folder);
  const page = await measureFirstPage(server.url);
  await server.stop();
  fs.rmSync(folder, { recursive: true, force: true });
  return [starts, page];
}
