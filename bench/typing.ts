import type { Page } from '@playwright/test';
import type { Measured } from './measure';
import { onDemo } from './onDemo';
import { keysIn, measured, watch, type Timed } from './watchTyping';

const KEYS = 1000;
/** As quick as a quick hand: some 130 words a minute. */
const BETWEEN_MS = 90;
const TEXT =
  'The hedgehog was found near the harbour and brought to the ward; its breathing was laboured and the wound had been cleaned before admission. ';

const ON_LEAF = 'a key on the leaf in Chromium, 62,000 terms in reach';
const IN_ENTRY = 'a key in an entry of 100,000 characters in Chromium';

const LONG = 100_000;
const KEYS_IN_ENTRY = 300;

/** Makes an entry of that length, opens it, and types into the middle of it. */
async function typeInEntry(page: Page): Promise<number[]> {
  const paragraphs = Array.from({ length: Math.ceil(LONG / (TEXT.length * 3)) }, () => ({
    type: 'paragraph',
    content: [{ type: 'text', text: TEXT.repeat(3).trim() }],
  }));
  const id = await page.evaluate(async (content) => {
    const bank = (await (await fetch('/api/bank')).json()) as { collections: { id: string; own: boolean }[] };
    const part = { id: 'text', name: 'Text', passage: { type: 'doc', content } };
    const response = await fetch('/api/entries', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({
        collection: bank.collections.find(({ own }) => own)!.id,
        content: {
          version: 1,
          title: 'Long',
          wordings: [{ id: 'main', name: 'Main', language: 'en-GB', parts: [part] }],
        },
        reason: '',
      }),
    });
    return ((await response.json()) as { id: string }).id;
  }, paragraphs);
  await page.goto(new URL(`/bank/${id}`, page.url()).href);
  const line = page.locator('[contenteditable=true] p').nth(Math.floor(paragraphs.length / 2));
  await line.click();
  await page.waitForTimeout(3000);
  await page.evaluate(watch);
  await page.keyboard.type(TEXT.repeat(3).slice(0, KEYS_IN_ENTRY), { delay: BETWEEN_MS });
  await page.waitForTimeout(500);
  const { text } = await page.evaluate(() => (window as unknown as { timed: Timed }).timed);
  return text;
}

/** From a key to painted text, and to painted offers, in the built application on its demo data. */
export function benchTyping(): Promise<Measured[]> {
  return onDemo('Imke Tarrow', async ({ page }) => {
    await page.getByRole('link', { name: /Dune/ }).click();
    await page.getByRole('textbox', { name: 'Draft' }).waitFor();
    // The indexes are there when the first offer is.
    await page.keyboard.type('hedgeh', { delay: BETWEEN_MS });
    await page.getByRole('region', { name: 'Offers' }).waitFor();
    await page.keyboard.type('og. ', { delay: BETWEEN_MS });
    await page.evaluate(watch);
    for (let typed = 0; typed < KEYS; typed += TEXT.length)
      await page.keyboard.type(TEXT.slice(0, KEYS - typed), { delay: BETWEEN_MS });
    await page.waitForTimeout(500);
    const { text, offers } = await page.evaluate(() => (window as unknown as { timed: Timed }).timed);
    const inEntry = await typeInEntry(page);
    return [
      measured('typing', 'Elderleaf, to painted text', keysIn(ON_LEAF, text), text),
      measured('typing', 'Elderleaf, to painted offers', keysIn(ON_LEAF, offers), offers),
      measured('typing', 'Elderleaf, to painted text', keysIn(IN_ENTRY, inEntry), inEntry),
    ];
  });
}
