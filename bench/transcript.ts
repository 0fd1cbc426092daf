import type { Page } from '@playwright/test';
import type { Measured } from './measure';
import { onDemo } from './onDemo';
import { keysIn, measured, watch, type Timed } from './watchTyping';

const TURNS = 2500;
const WORDS_A_TURN = 24;
const HOURS = 6;
const KEYS = 250;
const BETWEEN_MS = 90;
const TEXT =
  'The water was up to the sluice, and we went down along the bank to see whether the otters had come back that year. ';
const CASE = 'Interview: Wilf and Nesta Ambry';

/** Puts a transcript of hours in place of the one of the demo. */
async function fill(page: Page): Promise<void> {
  const words = TEXT.replace(/[.,]/g, '').trim().split(' ');
  const turns = Array.from({ length: TURNS }, (_, turn) => ({
    at: Math.floor((turn * HOURS * 3_600_000) / TURNS),
    text: Array.from({ length: WORDS_A_TURN }, (_, word) => words[(turn * 5 + word * 7) % words.length]).join(
      ' ',
    ),
  }));
  await page.evaluate(
    async ({ title, said }) => {
      interface Draft {
        id: string;
        version: number;
        document: { attrs: { transcript: { cast: { id: string }[] } } };
      }
      const get = async <T>(address: string) => (await (await fetch(address)).json()) as T;
      const cases = await get<{ id: string; title: string }[]>('/api/cases');
      const { id } = cases.find((one) => one.title === title)!;
      const { drafts } = await get<{ drafts: { id: string }[] }>(`/api/cases/${id}`);
      const draft = await get<Draft>(`/api/drafts/${drafts[0]!.id}`);
      const { cast } = draft.document.attrs.transcript;
      const content = said.map(({ at, text }, turn) => ({
        type: 'turn',
        attrs: { speaker: cast[turn % cast.length]!.id, at },
        content: [{ type: 'text', text: `${text}.` }],
      }));
      await fetch(`/api/drafts/${draft.id}`, {
        method: 'PUT',
        headers: { 'Content-Type': 'application/json', 'If-Match': `"${draft.version}"` },
        body: JSON.stringify({ document: { ...draft.document, content } }),
      });
    },
    { title: CASE, said: turns },
  );
}

/** Types from where the caret is brought by a key. */
async function typeFrom(page: Page, key: string): Promise<number[]> {
  await page.keyboard.press(key);
  await page.waitForTimeout(1500);
  await page.evaluate(() => {
    (window as unknown as { timed: Timed }).timed.text.length = 0;
  });
  await page.keyboard.type(TEXT.repeat(3).slice(0, KEYS), { delay: BETWEEN_MS });
  await page.waitForTimeout(500);
  return page.evaluate(() => [...(window as unknown as { timed: Timed }).timed.text]);
}

/** Typing in a transcript of six hours, 2,500 turns and 60,000 words, at its beginning and its end; and how soon it is open. */
export function benchTranscript(): Promise<Measured[]> {
  return onDemo(
    'Ruan Pellow',
    async ({ page, url }) => {
      await page.getByRole('link', { name: CASE }).waitFor();
      await fill(page);
      const opening: number[] = [];
      for (let time = 0; time < 3; time += 1) {
        await page.goto(url);
        const start = performance.now();
        await page.getByRole('link', { name: CASE }).click();
        await page.waitForFunction((count) => document.querySelectorAll('.turn').length === count, TURNS);
        opening.push(performance.now() - start);
      }
      await page.waitForTimeout(5000);
      await page.evaluate(watch);
      const atStart = await typeFrom(page, 'Control+Home');
      const atEnd = await typeFrom(page, 'Control+End');
      const where = 'a key in a transcript of six hours in Chromium';
      return [
        measured('transcript', 'Elderleaf, at its beginning', keysIn(where, atStart), atStart),
        measured('transcript', 'Elderleaf, at its end', keysIn(where, atEnd), atEnd),
        measured('transcript', 'Elderleaf', 'a transcript of six hours opened from the desk', opening),
      ];
    },
    'lived',
  );
}
