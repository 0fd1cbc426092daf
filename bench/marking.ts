import fs from 'node:fs';
import path from 'node:path';
import { PDFDocument, StandardFonts } from '@cantoo/pdf-lib';
import type { Page } from '@playwright/test';
import type { Measured } from './measure';
import { onDemo } from './onDemo';
import { keysIn, measured, watch, type Timed } from './watchTyping';

const PAGES = 2000;
const MARKINGS = 300;
const AMONG = 'a page among 300 markings in Chromium';
const BETWEEN_MS = 90;
const TEXT = 'the door to the yard is propped open by a bucket, and the lamp above it does not burn';

/** A PDF of very many pages, each with a line of words. */
async function manyPages(file: string): Promise<void> {
  const pdf = await PDFDocument.create();
  const font = await pdf.embedFont(StandardFonts.Helvetica);
  for (let at = 1; at <= PAGES; at += 1)
    pdf.addPage([595, 842]).drawText(`Sheet ${at} of the survey`, { x: 60, y: 700, font, size: 12 });
  fs.writeFileSync(file, await pdf.save());
}

const post = (page: Page, at: string, body: object, method = 'POST', version = 0) =>
  page.evaluate(
    async ([to, sent, how, known]) => {
      const headers = { 'Content-Type': 'application/json', 'If-Match': `"${known}"` };
      const answer = await fetch(to, { method: how, headers, body: JSON.stringify(sent) });
      return (await answer.json()) as { id: string; version: number };
    },
    [at, body, method, version] as const,
  );

/** A draft in which so many places of the first pages are marked. */
const marked = () => ({
  type: 'doc',
  attrs: { placements: {} },
  content: Array.from({ length: MARKINGS }, (_one, at) => ({
    type: 'box',
    attrs: {
      name: 'Marking',
      marking: {
        ...{ id: `m${at}`, page: 0, at: { x: 20 + (at % 6) * 95, y: 20 + Math.floor(at / 6) * 16 } },
        ...{ size: 'small', colour: 'ink', framed: false },
      },
    },
    content: [{ type: 'paragraph', content: [{ type: 'text', text: `finding ${at + 1}` }] }],
  })),
});

/** Makes a case with markings, opens it, and gives it its page. Gives how long it takes from the choice to the page. */
async function openPage(page: Page, file: string): Promise<number> {
  const id = await page.evaluate(() => crypto.randomUUID());
  const about = { kind: 'marking', title: 'Survey', number: null, details: [], given: [] };
  await post(page, '/api/cases', { id, ...about });
  const draft = await post(page, `/api/cases/${id}/drafts`, {});
  await post(page, `/api/drafts/${draft.id}`, { document: marked() }, 'PUT', draft.version);
  await page.goto(new URL(`/cases/${id}`, page.url()).href);
  const input = page.getByLabel('Page', { exact: true });
  await input.waitFor({ state: 'attached' });
  const began = Date.now();
  await input.setInputFiles(file);
  await page.locator('.page-sheet canvas').first().waitFor();
  return Date.now() - began;
}

/** How long each frame takes while the page is enlarged by the wheel, in ms. */
async function enlarged(page: Page): Promise<number[]> {
  const { x, y } = (await page.locator('.page-pane').boundingBox())!;
  await page.evaluate(() => {
    const frames: number[] = [];
    Object.assign(window, { frames });
    let last = performance.now();
    const step = (now: number) => {
      frames.push(now - last);
      last = now;
      requestAnimationFrame(step);
    };
    requestAnimationFrame(step);
  });
  await page.mouse.move(x + 300, y + 200);
  await page.keyboard.down('Control');
  for (let at = 0; at < 60; at += 1) {
    await page.mouse.wheel(0, at < 30 ? -30 : 30);
    await page.waitForTimeout(16);
  }
  await page.keyboard.up('Control');
  return page.evaluate(() => (window as unknown as { frames: number[] }).frames);
}

/** A PDF of 2,000 pages with 300 markings: opened, looked through, enlarged, and written on. */
export function benchMarking(): Promise<Measured[]> {
  return onDemo('Imke Tarrow', async ({ page, folder }) => {
    const file = path.join(folder, 'survey.pdf');
    await manyPages(file);
    const opened = await openPage(page, file);
    await page.keyboard.press('Alt+/');
    const began = Date.now();
    await page.keyboard.type('sheet 1999 of');
    await page.getByText('1 found', { exact: true }).waitFor({ timeout: 120_000 });
    const found = Date.now() - began;
    await page.keyboard.press('Escape');
    const frames = await enlarged(page);
    await page.locator('.page-sheet').click({ position: { x: 560, y: 300 } });
    await page.evaluate(watch);
    await page.keyboard.type(TEXT, { delay: BETWEEN_MS });
    const { text } = await page.evaluate(() => (window as unknown as { timed: Timed }).timed);
    const one = (work: string, ms: number) => measured('marking', 'Elderleaf', work, [ms]);
    return [
      one('a PDF of 2,000 pages, from choosing it to its first page', opened),
      one('words found on page 1,999 of 2,000, from typing them', found),
      measured('marking', 'Elderleaf', `a frame of enlarging by the wheel, ${AMONG}`, frames),
      measured('marking', 'to painted text', keysIn(`a key, ${AMONG}`, text), text),
    ];
  });
}
