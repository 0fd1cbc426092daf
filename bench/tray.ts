import fs from 'node:fs';
import path from 'node:path';
import type { Page } from '@playwright/test';
import type { Measured } from './measure';
import { onDemo } from './onDemo';
import { keysIn, measured, watch, type Timed } from './watchTyping';

const FILES = 2000;
const PDFS = 200;
const PAPERS = 'demo/lived/tray/papers';
const IN_TRAY = 'a tray of 2,000 files in Chromium';
const BETWEEN_MS = 90;
const TEXT =
  'A paper that came on Tuesday, from somebody who is not known here yet, about the ponds and their banks';

/** Makes a tray, opens it, and gives it files, which are made in a folder. */
async function openTray(page: Page, folder: string): Promise<void> {
  const id = await page.evaluate(async () => {
    const made = crypto.randomUUID();
    const body = { id: made, kind: 'naming', title: 'Scans', number: null, details: [], given: [] };
    await fetch('/api/cases', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(body),
    });
    return made;
  });
  await page.goto(new URL(`/cases/${id}`, page.url()).href);
  const pdfs = fs
    .readdirSync(PAPERS)
    .filter((name) => /^Scan000\d\.pdf$/.test(name))
    .map((name) => fs.readFileSync(path.join(PAPERS, name)));
  const number = (at: number) => String(at).padStart(4, '0');
  const scans = Array.from({ length: FILES }, (_, at) => {
    const scan = path.join(folder, `Scan${number(at)}.${at < PDFS ? 'pdf' : 'txt'}`);
    fs.writeFileSync(scan, at < PDFS ? pdfs[at % pdfs.length]! : `Ticket ${at}`);
    return scan;
  });
  await page.getByLabel('Files to be named').setInputFiles(scans, { timeout: 0 });
  await page.getByText(`of ${FILES.toLocaleString('en-GB')} named`).waitFor();
}

/** How long each frame takes while the list is scrolled, in ms. */
const scrolled = (page: Page): Promise<number[]> =>
  page.evaluate(async () => {
    const frames: number[] = [];
    let last = await new Promise(requestAnimationFrame);
    for (let at = 0; at < 240; at += 1) {
      window.scrollBy(0, 300);
      const now = await new Promise(requestAnimationFrame);
      frames.push(now - last);
      last = now;
    }
    window.scrollTo(0, 0);
    return frames;
  });

/** From Enter on a name that is done to the next line with the keys, in ms. */
async function stepped(page: Page): Promise<number[]> {
  await page.evaluate(() => {
    const all: number[] = [];
    Object.assign(window, { steps: all });
    let from = 0;
    addEventListener('keydown', ({ key, timeStamp }) => (from = key === 'Enter' ? timeStamp : 0), true);
    addEventListener('focusin', () => {
      if (from > 0) requestAnimationFrame(() => all.push(performance.now() - from));
    });
  });
  for (let at = 0; at < 40; at += 1) {
    await page.keyboard.type(`n${at}`, { delay: BETWEEN_MS });
    await page.keyboard.press('Enter');
    await page.waitForTimeout(400);
  }
  return page.evaluate(() => (window as unknown as { steps: number[] }).steps);
}

/** A tray of thousands: read, scrolled, typed in, and gone through line by line. */
export function benchTray(): Promise<Measured[]> {
  return onDemo('Imke Tarrow', async ({ page, folder }) => {
    await openTray(page, fs.mkdtempSync(path.join(folder, 'scans-')));
    const began = Date.now();
    await page.getByText('Found in this file', { exact: true }).waitFor();
    const first = Date.now() - began;
    await page.waitForFunction(
      (pdfs) => Number(/([\d,]+) of 2,000 read/.exec(document.body.innerText)?.[1]?.replace(',', '')) >= pdfs,
      PDFS,
    );
    const read = Date.now() - began;
    await page.getByText('of 2,000 read').waitFor({ state: 'hidden', timeout: 300_000 });
    const frames = await scrolled(page);
    await page.locator('[contenteditable=true]').click();
    await page.evaluate(watch);
    await page.keyboard.type(TEXT, { delay: BETWEEN_MS });
    const { text } = await page.evaluate(() => (window as unknown as { timed: Timed }).timed);
    const steps = await stepped(page);
    const one = (work: string, ms: number) => measured('tray', 'Elderleaf', work, [ms]);
    return [
      one('the first of 2,000 files looked through, after they are listed', first),
      one('200 PDFs looked through for words', read),
      measured('tray', 'Elderleaf', `a frame of scrolling, ${IN_TRAY}`, frames),
      measured('tray', 'Elderleaf, to painted text', keysIn(`a key, ${IN_TRAY}`, text), text),
      measured('tray', 'Elderleaf', `from Enter to the next line, ${IN_TRAY}`, steps),
    ];
  });
}
