import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import type { Page } from '@playwright/test';
import { newEntry } from '#core/entry';
import { joinBrowser, startElsewhere, type Elsewhere } from '../e2e/elsewhere';
import { RunningServer } from '../e2e/runningServer';
import { signIn } from '../e2e/test';
import { writeWords } from '../server/bank';
import { cues, entries, openStore, revisions, type Store } from '../server/db';
import { extensionTime } from './extensionTime';
import type { Measured } from './measure';
import { memoryOf } from './processMemory';
import { keysIn, measured } from './watchTyping';

/** With those of the demo 5,000: more would not all be at hand in a browser. */
const ENTRIES = 4960;
const AT_ONCE = 250;
const PAGES = 10;
const KEYS = 400;
const PLACINGS = 100;
const TEXT = 'The hedgehog was found near the harbour and brought to the ward; its breathing was laboured. ';

/** Writes the entries straight into the store of a team that is there, as Imke's own. */
async function seed(store: Store, cuesEach: number): Promise<void> {
  const saved = { savedAt: new Date(), savedBy: 'imke', reason: 'Seeded', revision: 1 };
  const rows = Array.from({ length: ENTRIES }, (_, at) => {
    const text = `This is what entry ${at} says, in a sentence of some length that a team would keep.`;
    const passage = { type: 'doc' as const, content: [paragraph(text)] };
    const cuesOf = Array.from({ length: cuesEach }, (__, cue) => ({ text: `q${at}x${cue}z` }));
    const content = { ...newEntry(`Entry number ${at}`, 'en-GB', passage), cues: cuesOf };
    return { id: `e-${at}`, collection: 'own-imke', content, ...saved, change: 1 };
  });
  for (let from = 0; from < rows.length; from += AT_ONCE) {
    const some = rows.slice(from, from + AT_ONCE);
    await store.db.insert(entries).values(some);
    await store.db.insert(revisions).values(some.map(({ id, ...row }) => ({ entry: id, ...row })));
    const typed = some.flatMap(({ id, collection, content }) =>
      content.cues.map(({ text }) => ({ collection, typed: text, entry: id })),
    );
    await store.db.insert(cues).values(typed);
    await writeWords(store.db, some);
  }
}

const paragraph = (text: string) => ({
  type: 'paragraph' as const,
  content: [{ type: 'text' as const, text }],
});

/** Opens pages with a box that was written in, as far as the companion's parts are fetched by that. */
async function openPages({ context, url }: Elsewhere): Promise<Page[]> {
  const pages: Page[] = [];
  for (let at = 0; at < PAGES; at += 1) {
    const page = await context.newPage();
    await page.goto(`${url}/mail.html`);
    await page.getByLabel('Message, plain').click();
    await page.keyboard.type('Hello ');
    await page.waitForTimeout(1500);
    pages.push(page);
  }
  return pages;
}

/** What the scripts of the pages hold once they have let go of what they need no more, and the process of the companion; in megabytes. */
async function held({ context }: Elsewhere, pages: readonly Page[]): Promise<number> {
  let bytes = 0;
  for (const page of pages) {
    const session = await context.newCDPSession(page);
    await session.send('HeapProfiler.collectGarbage');
    const heap = (await session.send('Runtime.getHeapUsage')) as unknown as Heap;
    bytes += heap.usedSize + heap.backingStorageSize;
    await session.detach();
  }
  return bytes / 1_048_576 + memoryOf(process.pid, '--extension-process');
}

/** What the browser tells of the memory of a page's scripts, those of extensions in it too (DevTools protocol, `Runtime.getHeapUsage`). */
interface Heap {
  usedSize: number;
  backingStorageSize: number;
}

/** From the last letter of a cue to its words in the box, in milliseconds, as the page itself sees it. */
async function cueToWords(page: Page): Promise<number[]> {
  const box = page.getByLabel('Message, plain');
  await box.evaluate((area: HTMLTextAreaElement) => {
    const timed = { since: 0, times: [] as number[] };
    Object.assign(window, { timed });
    area.addEventListener('keydown', () => (timed.since = performance.now()), true);
    area.addEventListener('input', () => {
      if (area.value.length > 60) timed.times.push(performance.now() - timed.since);
    });
  });
  for (let at = 0; at < PLACINGS; at += 1) {
    await box.fill('');
    await page.keyboard.type('Hello. ,hnd', { delay: 30 });
    await page.waitForTimeout(300);
  }
  return page.evaluate(() => (window as unknown as { timed: { times: number[] } }).timed.times);
}

/** A server with a bank, and a browser that Imke joined to it; the pages were open before, so that what they hold alone is known. */
async function withBank<T>(
  cuesEach: number,
  measure: (elsewhere: Elsewhere, pages: readonly Page[], megabytes: number) => Promise<T>,
): Promise<T> {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'elderleaf-companion-'));
  const data = path.join(folder, 'data');
  const first = await RunningServer.start(data);
  await first.stop();
  const store = await openStore({ folder: data });
  await seed(store, cuesEach);
  await store.close();
  const server = await RunningServer.start(data);
  const elsewhere = await startElsewhere(path.join(folder, 'companion'));
  try {
    const account = await signIn(await elsewhere.context.newPage(), server.url, 'Imke Tarrow');
    await account.goto(`${server.url}/account`);
    const without = await openPages(elsewhere);
    const before = await held(elsewhere, without);
    for (const page of without) await page.close();
    await joinBrowser(elsewhere, account, server.url);
    const pages = await openPages(elsewhere);
    return await measure(elsewhere, pages, (await held(elsewhere, pages)) - before);
  } finally {
    await elsewhere.end();
    await server.kill();
    fs.rmSync(folder, { recursive: true, force: true });
  }
}

/** What the companion costs the pages of others: ten of them open, with a bank of 5,000 entries; and with 60,000 cues. */
export async function benchCompanion(): Promise<Measured[]> {
  const results: Measured[] = [];
  for (const cuesEach of [1, 12]) {
    const bank = `${ENTRIES} entries, ${ENTRIES * cuesEach} cues, ${PAGES} pages written in`;
    await withBank(cuesEach, async ({ context }, pages, megabytes) => {
      const page = pages.at(-1)!;
      const session = await context.newCDPSession(page);
      const typed = await extensionTime(session, KEYS, () =>
        page.keyboard.type(TEXT.repeat(5).slice(0, KEYS), { delay: 60 }),
      );
      await session.detach();
      const placed = await cueToWords(page);
      const own = measured('companion', 'its own time', keysIn(`a key: ${bank}`, typed), typed);
      const brought = measured('companion', 'Elderleaf', `a cue to its words in the box: ${bank}`, placed);
      results.push({ ...own, megabytes }, brought);
    });
  }
  return results;
}
