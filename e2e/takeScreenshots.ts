/** `npm run screenshots`: the pictures of docs/screenshots, made anew from the demo. Build first. */
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { chromium, type Page } from '@playwright/test';
import config from '../playwright.config';
import { joinBrowser, startElsewhere } from './elsewhere';
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
  await page.getByRole('link', { name: /^Bramble/ }).click();
  await draftOf(page).waitFor();
  await type('Seen on the evening round. ,adm');
  await pressKeys(page, ['2', 'Tab', 'q', 'Tab', 't', '3']);
  await shoot('leaf');
  await pressKeys(page, ['F2']);
  await type('wieght');
  await shoot('look-up');
  await pressKeys(page, ['Escape', 'Tab']);
  await type('rest, warmth and fluids');
  await pressKeys(page, ['Enter', 'Enter']);
  await type('Bramble weighed 512 g on the ward scales and took broth from a syringe.');
  await pressKeys(page, ['Shift+Home', 'F4']);
  await page.getByRole('form', { name: 'Save wording' }).waitFor();
  await pressKeys(page, ['Escape', 'Control+End', 'F9']);
  await page.getByRole('region', { name: 'Finished' }).waitFor();
  await page.goto(`${url}/bank`);
  await page.getByRole('link', { name: /Hedgehog admission/ }).waitFor();
  await shoot('sheet');
  await page.goto(`${url}/order`);
  await page.getByRole('button', { name: 'Check the bank' }).click();
  await page.getByRole('button', { name: 'Merge 2 into one' }).first().waitFor();
  await shoot('order');
  await page.goto(`${url}/bank`);
  await page.getByRole('link', { name: /Hedgehog admission/ }).click();
  await page.getByLabel('How it reads for').selectOption({ label: 'Bramble, hedgehog' });
  await page.evaluate(() => scrollTo(0, 0));
  await shoot('entry');
  await page.getByRole('textbox', { name: 'When to use it' }).fill('On arrival, by day or by night');
  await page.getByRole('textbox', { name: 'Wording', exact: true }).focus();
  await pressKeys(page, ['Control+End']);
  await type(' It was left to rest in the dark.');
  await page.getByRole('textbox', { name: 'Reason for the change' }).fill('Arrivals at night too');
  await pressKeys(page, ['F9']);
  await page.getByRole('region', { name: 'History' }).getByText('Arrivals at night too').waitFor();
  await page.goto(`${url}/bank`);
  await page.getByLabel('New collection').fill('Letters to finders');
  await pressKeys(page, ['Enter']);
  await page.getByRole('heading', { name: 'Letters to finders' }).waitFor();
  await page.getByLabel('New collection inside').fill('Thanks');
  await pressKeys(page, ['Enter']);
  await page.getByRole('heading', { name: 'Thanks' }).waitFor();
  const sharing = page.getByRole('form', { name: 'Sharing' });
  await sharing.getByLabel('Share with').selectOption('Desk volunteers (group)');
  await sharing.getByRole('button', { name: 'Save' }).click();
  await sharing.getByLabel('Share with').selectOption('Odile Brandt');
  await sharing.getByLabel('Odile Brandt', { exact: true }).selectOption('may propose changes');
}

/** A record open at the head of its leaf, and cues with clashes to show. */
async function words(page: Page, url: string): Promise<void> {
  await page.getByRole('link', { name: /Dune/ }).click();
  await draftOf(page).waitFor();
  await pressKeys(page, ['Alt+c']);
  await page
    .getByRole('region', { name: 'Record', exact: true })
    .getByRole('table')
    .waitFor({ state: 'attached' });
  await page.screenshot({ path: path.join(OUT, 'record.png') });
  await pressKeys(page, ['Alt+c']);
  for (const [title, cue] of [
    ['Feeding by hand', 'a'],
    ['Fluids by mouth', 'fls'],
  ] as const) {
    await page.goto(`${url}/bank/new`);
    await page.getByRole('textbox', { name: 'Title' }).fill(title);
    await page.getByRole('textbox', { name: 'Wording', exact: true }).fill(`${title} was begun.`);
    await page.getByRole('button', { name: 'Add a cue' }).click();
    await page.getByRole('group', { name: /^Cue/ }).getByRole('textbox').fill(cue);
    await pressKeys(page, ['F9']);
    await page.getByText('History').waitFor();
  }
  await page.goto(`${url}/cues`);
  await page.getByRole('region', { name: 'Clashes' }).getByRole('listitem').first().waitFor();
  await page.getByRole('textbox', { name: 'Try a cue out' }).fill('Seen ,wt');
  await page.screenshot({ path: path.join(OUT, 'cues.png') });
}

/** The pocket as wide as it is beside other programs, with wording placed in it. */
async function pocket(page: Page, url: string): Promise<void> {
  await page.setViewportSize({ width: 380, height: 640 });
  await page.goto(`${url}/pocket`);
  await draftOf(page).click();
  await page.keyboard.type(';vis ');
  await page.getByText('open to visitors').waitFor();
  await page.screenshot({ path: path.join(OUT, 'pocket.png') });
  await page.setViewportSize({ width: 1280, height: 800 });
}
/** A batch, some of whose letters are checked, and one changed by hand. */
async function batch(page: Page, url: string): Promise<void> {
  await page.goto(`${url}/cases/lived-volunteers?show=letters`);
  const list = page.getByRole('listbox', { name: 'Letters' });
  await list.waitFor();
  await pressKeys(page, ['Enter', 'Enter', 'w', 'Control+End']);
  await page.keyboard.type(' and the whole helpline');
  await list.getByText('by hand').waitFor();
  await pressKeys(page, ['Alt+Enter', 'ArrowDown']);
  await page.evaluate(() => window.scrollTo(0, 0));
  await page.screenshot({ path: path.join(OUT, 'batch.png') });
}

/** What was used, and a document that is brought in. */
async function order(page: Page, url: string): Promise<void> {
  await page.goto(`${url}/usage`);
  await page.getByRole('heading', { name: 'Usage' }).waitFor();
  await page.waitForLoadState('networkidle');
  await page.screenshot({ path: path.join(OUT, 'usage.png') });
  await page.goto(`${url}/bank/bring-in`);
  await page.getByLabel('File to bring in').setInputFiles('demo/to-drop/stock-answers.docx');
  await page.getByRole('region', { name: 'Personal details' }).waitFor();
  await page.getByRole('button', { name: 'Propose cues' }).click();
  await page.getByRole('textbox', { name: 'Cue of Bat in the house' }).waitFor();
  await page.mouse.wheel(0, 300);
  await page.waitForLoadState('networkidle');
  await page.screenshot({ path: path.join(OUT, 'bring-in.png') });
}

/** A class, and a report of it with the comments beside its words, one of them being filled. */
async function feedback(page: Page): Promise<void> {
  await page.getByRole('link', { name: 'Saltmarsh transect, block 2', exact: true }).click();
  await page.getByRole('row', { name: /^Tomos Hale/ }).waitFor();
  await page.waitForLoadState('networkidle');
  await page.getByRole('link', { name: 'Tomos Hale', exact: true }).click();
  await page.getByRole('textbox', { name: 'Submission' }).waitFor();
  await page.mouse.wheel(0, 420);
  await page.getByText('67% of the waders were redshank.').click({ position: { x: 560, y: 12 } });
  await page.keyboard.type(';msa ');
  await page.getByRole('region', { name: 'Current blank' }).waitFor();
  await page.waitForLoadState('networkidle');
  await page.screenshot({ path: path.join(OUT, 'submission.png') });
}

/** An interview as it is written down: turns with their times, the cast beside them, a place to be heard again. */
async function transcript(page: Page): Promise<void> {
  await page.getByRole('link', { name: /^Interview: Wilf and Nesta Ambry/ }).click();
  await draftOf(page).waitFor();
  await page.locator('.wave-line').waitFor();
  await pressKeys(page, ['Control+End', 'Alt+[', 'Alt+.', ...Array.from({ length: 7 }, () => 'Alt+/')]);
  await pressKeys(page, ['Alt+t', 'r']);
  await page.keyboard.type('So what did you do?');
  await pressKeys(page, ['Alt+/', 'Alt+t', 'n']);
  await page.keyboard.type('We dug a pool. Father and Denzil Ray, by the old clay pit.');
  await page.screenshot({ path: path.join(OUT, 'transcript.png') });
}

/** A message that was dropped, with the nearest wording placed beneath it; and the queue. */
async function reply(page: Page): Promise<void> {
  await page
    .getByRole('region', { name: 'From a file' })
    .getByLabel('Files', { exact: true })
    .setInputFiles('demo/to-drop/owlet.eml');
  await page.getByRole('link', { name: 'Open it' }).click();
  await page.getByRole('list', { name: 'Near to the message' }).waitFor();
  await draftOf(page).click();
  await pressKeys(page, ['Alt+.']);
  await page.waitForLoadState('networkidle');
  await page.evaluate(() => window.scrollTo(0, 0));
  await page.screenshot({ path: path.join(OUT, 'reply.png') });
  await page.goto(new URL('/queue', page.url()).href);
  await page.getByRole('button', { name: 'Otter in the eel trap' }).click();
  await page.getByRole('list', { name: 'Notes' }).waitFor();
  await page.evaluate(() => window.scrollTo(0, 0));
  await page.screenshot({ path: path.join(OUT, 'queue.png') });
}

/** A tray of scans, a bill in hand: its day found in it. */
async function tray(page: Page, url: string): Promise<void> {
  await page.goto(`${url}/cases/lived-post`);
  await page.getByRole('button', { name: 'Scan0002.pdf' }).click();
  await page.getByText('Found in this file', { exact: true }).waitFor();
  await page.keyboard.type(',hp');
  await pressKeys(page, ['ArrowDown']);
  await page.getByRole('img', { name: 'Page 1' }).waitFor();
  await page.waitForTimeout(1000);
  await page.screenshot({ path: path.join(OUT, 'tray.png') });
}

/** A plan of the hospital with what an inspection found, one of it picked. */
async function markedPage(page: Page, url: string): Promise<void> {
  await page.goto(`${url}/cases/lived-plan`);
  await page.getByRole('button', { name: /^Finding 2/ }).click();
  await page.waitForTimeout(1500);
  await page.screenshot({ path: path.join(OUT, 'page.png') });
}

/** The companion on pages of others, as a strip of four: joining, a cue in a letter and what is offered for it, its blanks beside it, subject and message in place. */
async function companion(url: string, folder: string): Promise<void> {
  const elsewhere = await startElsewhere(path.join(folder, 'companion'));
  const page = await elsewhere.context.newPage();
  await page.setViewportSize({ width: 800, height: 500 });
  const strip: string[] = [];
  const take = async () => strip.push((await page.screenshot()).toString('base64'));
  await page.goto(url);
  await page.getByRole('button', { name: 'Anouk Fell' }).click();
  await page.getByRole('heading', { name: /desk/ }).waitFor();
  await page.goto(`${url}/account`);
  await joinBrowser(elsewhere, page, url);
  await page
    .getByRole('button', { name: 'Another code' })
    .evaluate((button) => button.scrollIntoView({ block: 'end' }));
  await take();
  await page.goto(`${elsewhere.url}/mail.html`);
  const message = page.getByRole('textbox', { name: 'Message, with formatting' });
  await message.click();
  // The cues come with the first box that is written in.
  await page.waitForTimeout(2000);
  await page.keyboard.type('Thank you for your letter. ;vac');
  await page.waitForTimeout(800);
  await page.evaluate(() => scrollTo(0, 70));
  await take();
  await page.keyboard.type(' ');
  await page.waitForTimeout(800);
  for (const words of ['Nesta', 'a helper in the seal kitchen']) {
    await page.keyboard.type(words);
    await page.keyboard.press('Enter');
  }
  await page.keyboard.type('+5');
  await page.waitForTimeout(300);
  await take();
  await page.keyboard.press('Enter');
  await page.keyboard.type('4');
  await page.keyboard.press('Enter');
  await page.waitForTimeout(800);
  await page.evaluate(() => scrollTo(0, 70));
  await take();
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.setContent(
    `<body style="margin:0;display:grid;grid-template:1fr 1fr/1fr 1fr;gap:4px;height:800px;background:#ddd5c6">${strip
      .map(
        (data) =>
          `<img style="width:100%;height:398px;object-fit:cover;object-position:top" src="data:image/png;base64,${data}">`,
      )
      .join('')}</body>`,
  );
  await page.screenshot({ path: path.join(OUT, 'companion.png') });
  await elsewhere.end();
}

const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'elderleaf-pictures-'));
const server = await RunningServer.start(path.join(folder, 'data'), { demo: 'lived' });
const browser = await chromium.launch(config.use?.launchOptions);
const context = await browser.newContext({
  viewport: { width: 1280, height: 800 },
  locale: 'en-GB',
  timezoneId: 'Europe/London',
});
async function signIn(name: string): Promise<Page> {
  const page = await context.newPage();
  await context.clearCookies();
  await page.goto(server.url);
  await page.getByRole('button', { name }).click();
  await page.getByRole('heading', { name: /desk/ }).waitFor();
  return page;
}
fs.mkdirSync(OUT, { recursive: true });
await write(await signIn('Imke Tarrow'), server.url);
await reply(await signIn('Anouk Fell'));
await feedback(await signIn('Desta Wynne'));
await transcript(await signIn('Ruan Pellow'));
await words(await signIn('Odile Brandt'), server.url);
const anouk = await signIn('Anouk Fell');
await pocket(anouk, server.url);
await batch(anouk, server.url);
await tray(anouk, server.url);
await order(await signIn('Imke Tarrow'), server.url);
await markedPage(await signIn('Imke Tarrow'), server.url);
await companion(server.url, folder);
await browser.close();
await server.kill();
fs.rmSync(folder, { recursive: true, force: true });
