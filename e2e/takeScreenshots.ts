/** `npm run screenshots`: the pictures of docs/screenshots, made anew from the demo. Build first. */
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { chromium, type Page } from '@playwright/test';
import config from '../playwright.config';
import { RunningServer } from './runningServer';
import { draftOf, pressKeys } from './test';

const OUT = path.join(import.meta.dirname, '../docs/screenshots');

async function write(page: Page, url: string): Promise<void> {
  const shoot = async (name: string) => {
    await page.evaluate(() => document.fonts.ready);
    // The chart and late panels have come when the page has nothing more to fetch.
    await page.waitForLoadState('networkidle');
    await page.screenshot({ path: path.join(OUT, `${name}.png`) });
  };
  const type = (words: string) => page.keyboard.type(words);
  await shoot('desk');
  await page.getByRole('link', { name: /Bramble/ }).click();
  await draftOf(page).waitFor();
  await type('Seen on the evening round. ,adm');
  await pressKeys(page, ['2', 'Tab', 'q', 'Tab', 't', '3']);
  await shoot('leaf');
  await page.emulateMedia({ colorScheme: 'dark' });
  await shoot('leaf-dark');
  await page.emulateMedia({ colorScheme: 'light' });
  await pressKeys(page, ['F2']);
  await type('wieght');
  await shoot('finder');
  await pressKeys(page, ['Escape', 'Tab']);
  await type('rest, warmth and fluids');
  await pressKeys(page, ['Enter', 'Enter']);
  await type('Bramble weighed 512 g on the ward scales and took broth from a syringe.');
  await pressKeys(page, ['Shift+Home', 'F4']);
  await page.getByRole('form', { name: 'Keep wording' }).waitFor();
  await shoot('capture');
  await pressKeys(page, ['Escape', 'Control+End', 'F9']);
  await page.getByRole('region', { name: 'Finished' }).waitFor();
  await shoot('finished');
  await page.goto(`${url}/bank`);
  await page.getByRole('link', { name: /Hedgehog admission/ }).waitFor();
  await shoot('sheet');
  await page.getByRole('link', { name: /Hedgehog admission/ }).click();
  await page.getByLabel('How it reads for').selectOption({ label: 'Bramble, hedgehog' });
  await shoot('entry');
}

const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'elderleaf-pictures-'));
const server = await RunningServer.start(folder);
const browser = await chromium.launch(config.use?.launchOptions);
const context = await browser.newContext({
  viewport: { width: 1280, height: 800 },
  locale: 'en-GB',
  timezoneId: 'Europe/London',
});
const page = await context.newPage();
await page.goto(server.url);
await page.getByRole('button', { name: 'Imke Tarrow' }).click();
await page.getByRole('heading', { name: /desk/ }).waitFor();
fs.mkdirSync(OUT, { recursive: true });
await write(page, server.url);
await browser.close();
await server.kill();
fs.rmSync(folder, { recursive: true, force: true });
