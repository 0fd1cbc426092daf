import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { sql } from 'drizzle-orm';
import type { Bank } from '#contracts';
import { RunningServer } from '../e2e/runningServer';
import { openStore, type StorePlace } from '../server/db';
import type { Measured } from './measure';
import { numbers } from './numbers';
import { withPostgres } from './postgres';
import { seedLargeBank, SIZES } from './seedLargeBank';

const SEARCHES = 400;
/** A server that has just started is slower for the first few. */
const WARM = 40;
const OPENED = 5;
const SCROLLED_MS = 4000;
const KEPT_MS = 3000;
const BANK = `${SIZES.entries.toLocaleString('en-GB')} entries, ${SIZES.collections.toLocaleString('en-GB')} collections, ${SIZES.members} members`;

const say = (line: string) => process.stdout.write(`  ${line}\n`);

/** Times in milliseconds as figures. */
function measured(work: string, contender: string, times: readonly number[]): Measured {
  const sorted = [...times].sort((a, b) => a - b);
  const at = (share: number) => sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))]! * 1e6;
  const mean = sorted.reduce((sum, time) => sum + time, 0) / sorted.length;
  const figures = { p50: at(0.5), p95: at(0.95), p99: at(0.99) };
  return { section: 'bank', work: `${work}: ${BANK}`, contender, perSecond: 1000 / mean, ...figures };
}

async function signedIn(
  url: string,
  member: string,
): Promise<(route: string, body?: unknown) => Promise<Response>> {
  const response = await fetch(`${url}/api/session/demo`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ member }),
  });
  const cookie = response.headers.getSetCookie()[0]!.split(';')[0]!;
  return (route, body) =>
    fetch(url + route, {
      method: body === undefined ? 'GET' : 'POST',
      headers: { Cookie: cookie, 'Content-Type': 'application/json' },
      body: body === undefined ? undefined : JSON.stringify(body),
    });
}

/** What people type: a word or two that stand in some entry, whole, begun or with a slip. */
function queriesFrom(bank: Bank): string[] {
  const next = numbers(11);
  const pick = (count: number) => Math.floor(next() * count);
  return Array.from({ length: SEARCHES }, (_, at) => {
    const { content } = bank.entries[pick(bank.entries.length)]!;
    const text = JSON.stringify(content.wordings).match(/"text":"([^"]+)"/)?.[1] ?? content.title;
    const words = text.match(/\p{L}{3,}/gu) ?? ['ward'];
    const one = words[pick(words.length)]!;
    if (at % 4 === 0) return one.slice(0, 2 + pick(3));
    if (at % 4 === 1) return `${one} ${words[pick(words.length)]}`;
    if (at % 4 === 2 && one.length > 5) return one.slice(0, 2) + one[3] + one[2] + one.slice(4);
    return one;
  });
}

async function searches(where: string, url: string): Promise<Measured[]> {
  const results: Measured[] = [];
  for (const [who, member] of [
    ['who sees 90% of it', 'imke'],
    ['who sees a fifth of it', 'member-7'],
  ] as const) {
    const call = await signedIn(url, member);
    const start = performance.now();
    const bank = (await (await call('/api/bank')).json()) as Bank;
    const opened = performance.now() - start;
    const seen = Object.values(bank.counts).reduce((sum, count) => sum + count, 0);
    say(
      `${where}, one ${who} (${seen.toLocaleString('en-GB')} entries in ${bank.collections.length.toLocaleString('en-GB')}): ` +
        `${bank.entries.length.toLocaleString('en-GB')} come to hand in ${Math.round(opened)} ms`,
    );
    const times: number[] = [];
    let found = 0;
    const queries = queriesFrom(bank);
    for (const query of queries.slice(0, WARM)) await call('/api/bank/search', { query });
    for (const query of queries) {
      const begun = performance.now();
      const answer = (await (await call('/api/bank/search', { query })).json()) as { entries: unknown[] };
      times.push(performance.now() - begun);
      if (answer.entries.length > 0) found += 1;
    }
    say(`${where}: ${found} of ${SEARCHES} searches found something`);
    results.push(measured('a search at the API', `${where}, one ${who}`, times));
  }
  return results;
}

/** Turns the wheel over the sheet for a while: how long each frame was, and how many rows were drawn at the most. */
async function scroll(page: Page): Promise<{ frames: number[]; drawn: number }> {
  return page.evaluate(
    (lasting) =>
      new Promise<{ frames: number[]; drawn: number }>((resolve) => {
        const frames: number[] = [];
        let drawn = 0;
        const start = performance.now();
        let before = start;
        const frame = (now: number) => {
          frames.push(now - before);
          before = now;
          drawn = Math.max(drawn, document.querySelectorAll('.sheet-row').length);
          window.scrollBy(0, 60);
          if (now - start < lasting) requestAnimationFrame(frame);
          else resolve({ frames: frames.slice(1), drawn });
        };
        requestAnimationFrame(frame);
      }),
    SCROLLED_MS,
  );
}

async function pages(url: string): Promise<Measured[]> {
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
  try {
    const painted: number[] = [];
    const read: number[] = [];
    const again: number[] = [];
    let scrolled: number[] = [];
    for (let time = 0; time < OPENED; time += 1) {
      // A browser that has nothing of it yet, and a server that does nothing else.
      const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
      await context.request.post(`${url}/api/session/demo`, { data: { member: 'imke' } });
      const page = await context.newPage();
      const start = performance.now();
      await page.goto(`${url}/bank`);
      await page.locator('.sheet-row').first().waitFor();
      read.push(performance.now() - start);
      painted.push(
        await page.evaluate(() => performance.getEntriesByName('first-contentful-paint')[0]!.startTime),
      );
      // What this browser kept stands until the server has answered.
      await page.waitForTimeout(KEPT_MS);
      const once = performance.now();
      await page.reload();
      await page.locator('.sheet-row').first().waitFor();
      again.push(performance.now() - once);
      if (time === 0) {
        const { frames, drawn } = await scroll(page);
        scrolled = frames;
        say(`the sheet had ${drawn} rows drawn at the most while it was scrolled`);
      }
      await context.close();
    }
    return [
      measured('opening the sheet in Chromium', 'first paint', painted),
      measured('opening the sheet in Chromium', 'first rows', read),
      measured('opening the sheet in Chromium', 'first rows, opened before', again),
      measured('scrolling the sheet in Chromium, each frame 60 px', 'from frame to frame', scrolled),
    ];
  } finally {
    await browser.close();
  }
}

export async function seed(place: StorePlace): Promise<void> {
  const store = await openStore(place);
  const start = performance.now();
  await seedLargeBank(store);
  // As the server does for itself once an hour; a PostgreSQL server in its own time.
  await store.upkeep();
  if ('url' in place) await store.db.execute(sql`analyze`);
  say(`seeded in ${Math.round((performance.now() - start) / 1000)} s`);
  await store.close();
}

/** A bank of 100,000 entries: searched, opened and scrolled; on the embedded store, and searched on a PostgreSQL server. */
export async function benchLargeBank(): Promise<Measured[]> {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'elderleaf-bank-'));
  try {
    const demo = await RunningServer.start(folder);
    await demo.stop();
    await seed({ folder });
    const embedded = await RunningServer.start(folder);
    const results = [...(await searches('Embedded', embedded.url)), ...(await pages(embedded.url))];
    await embedded.stop();
    const served = await withPostgres(async (databaseUrl) => {
      const first = await RunningServer.start(folder, { databaseUrl });
      await first.stop();
      await seed({ url: databaseUrl });
      const server = await RunningServer.start(folder, { databaseUrl });
      const found = await searches('PostgreSQL', server.url);
      await server.stop();
      return found;
    });
    return [...results, ...(served ?? [])];
  } finally {
    fs.rmSync(folder, { recursive: true, force: true });
  }
}
