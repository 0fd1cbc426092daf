import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import type { Locator, Page } from '@playwright/test';
import { newEntry, type EntryContent } from '#core/entry';
import { readEntry } from '#core/notation';
import type { Passage } from '#core/passage';
import { heldBy, joinBrowser, keptIn, startElsewhere, type Elsewhere } from './elsewhere';
import { RunningServer } from './runningServer';
import { expect, expectAccessible, signIn, test } from './test';

let folder: string;
let server: RunningServer;
let elsewhere: Elsewhere;
let page: Page;
let account: Page;

test.beforeAll(async () => {
  folder = fs.mkdtempSync(path.join(os.tmpdir(), 'elderleaf-elsewhere-'));
  fs.cpSync(process.env.E2E_DEMO_FOLDER!, path.join(folder, 'data'), { recursive: true });
  server = await RunningServer.start(path.join(folder, 'data'), { livesForSeconds: true });
  elsewhere = await startElsewhere(path.join(folder, 'companion'));
  account = await signIn(await elsewhere.context.newPage(), server.url, 'Imke Tarrow');
  await account.goto(`${server.url}/account`);
  await joinBrowser(elsewhere, account, server.url);
  page = await elsewhere.context.newPage();
});
test.afterAll(async () => {
  await elsewhere.end();
  await server.kill();
  fs.rmSync(folder, { recursive: true, force: true });
});

/** An entry that asks nothing: its cue fires by its last letter. */
const HANDLING =
  'Handling is kept to a minimum: cover the pen, speak quietly, and combine weighing with cleaning.';
/** One that waits for a closing key. */
const REGARDS = 'With kind regards from all at Hollin Marsh';

/** A box of a page, and how the page itself reads it. */
interface Place {
  box: { click: () => Promise<void> };
  read: () => Promise<string>;
}
const ofValue = (box: Locator): Place => ({ box, read: () => box.inputValue() });
const ofEditor = (box: Locator, editor: string): Place => ({ box, read: () => heldBy(page, editor) });

/** Spaces as they are read, whichever kind an editor writes. */
const words = (text: string) => text.replace(/&nbsp;|\u00a0/g, ' ').replace(/<\/?p>|\\n/g, '');

/** Types into a box that was emptied, until the page has the cues: they come when a box of it is written in first. */
async function typeUntil({ box, read }: Place, typed: string, wanted: string): Promise<void> {
  await expect(async () => {
    await box.click();
    await page.keyboard.press('Control+A');
    await page.keyboard.press('Delete');
    await page.keyboard.type(typed);
    await expect.poll(async () => words(await read()), { timeout: 3000 }).toContain(wanted);
  }).toPass();
}

/** A cue with words on both sides, then one that is given back by Backspace, as on a leaf. */
async function tryPlace(place: Place): Promise<void> {
  await typeUntil(place, 'Hello. ,hnd', `Hello. ${HANDLING}`);
  await page.keyboard.type(' And more, ;so ');
  await expect.poll(async () => words(await place.read())).toContain(`${HANDLING} And more, ${REGARDS}`);
  await page.keyboard.press('Backspace');
  await expect.poll(async () => words(await place.read())).toContain('And more, ;so');
  expect(words(await place.read())).not.toContain('kind regards');
  // Given back, it does not fire again as one types on.
  await page.keyboard.type('on');
  await expect.poll(async () => words(await place.read())).toContain('And more, ;so on');
}

test('a browser that was joined is seen on the account, and named there', async () => {
  const name = account.getByLabel('Name of this browser');
  await expect(name).toHaveValue('Front desk');
  await name.fill('Bay 2');
  await name.press('Enter');
  await account.reload();
  await expect(account.getByLabel('Name of this browser')).toHaveValue('Bay 2');
  await account.getByRole('button', { name: 'Join a browser' }).press('Enter');
  await expect(account.getByText(/^[A-Z2-9]{5}-[A-Z2-9]{5}$/)).toBeVisible();
  await expectAccessible(account);
});

test('an owner names pages that are left alone, and a name that is none is told', async () => {
  await account.goto(`${server.url}/other-pages`);
  const line = account.getByLabel('A page to leave alone');
  await line.fill('https://purse.example/pay');
  await line.press('Enter');
  await expect(account.getByText(/Name a page by its host/)).toBeVisible();
  await line.fill('*.Purse.example');
  await line.press('Enter');
  await expect(account.getByRole('listitem').filter({ hasText: '*.purse.example' })).toBeVisible();
  await expectAccessible(account);
  await line.fill('127.0.0.1');
  await line.press('Enter');
  await expect(account.getByRole('button', { name: 'Remove 127.0.0.1' })).toBeVisible();
  await renew();
  await page.goto(`${elsewhere.url}/mail.html`);
  await page.getByLabel('Message, plain').click();
  await page.keyboard.type(',hnd.');
  await expect(page.getByLabel('Message, plain')).toHaveValue(',hnd.');
  await account.getByRole('button', { name: 'Remove 127.0.0.1' }).press('Enter');
  await expect(account.getByRole('button', { name: 'Remove 127.0.0.1' })).toBeHidden();
  await renew();
  await typeUntil(ofValue(page.getByLabel('Message, plain')), ',hnd', HANDLING);
});

test('in a letter: one line, several, and two editors; the page counts along, and a box without room stays as it is', async () => {
  await page.goto(`${elsewhere.url}/mail.html`);
  await tryPlace(ofValue(page.getByLabel('Message, plain')));
  await expect(page.getByText(/^Message, plain \d+ letters$/)).toHaveText(
    `Message, plain ${(await page.getByLabel('Message, plain').inputValue()).length} letters`,
  );
  await tryPlace(ofEditor(page.getByRole('textbox', { name: 'Message, with formatting' }), 'tiptap'));
  await tryPlace(ofEditor(page.getByRole('textbox', { name: 'Message, in a second editor' }), 'quill'));
  const subject = ofValue(page.getByLabel('Subject'));
  await typeUntil(subject, ',hnd', HANDLING);
  await page.keyboard.type(' ,hnd');
  await page.keyboard.type('!');
  await expect.poll(subject.read).toBe(`${HANDLING} ,hnd!`);
});

test('on a course board: comments in three more editors', async () => {
  await page.goto(`${elsewhere.url}/board.html`);
  await tryPlace(ofEditor(page.getByRole('textbox', { name: 'Your comment' }), 'lexical'));
  await tryPlace(ofEditor(page.frameLocator('iframe').locator('body'), 'tinymce'));
  await tryPlace(ofEditor(page.getByRole('textbox', { name: 'A note for the class' }), 'slate'));
});

test('in a talk where Enter sends: the key that closes a cue sends nothing, and 800 words keep their lines', async () => {
  const item = (text: string) => ({
    type: 'listItem',
    content: [{ type: 'paragraph', content: [{ type: 'text', text }] }],
  });
  const items = Array.from({ length: 40 }, (_, at) =>
    item(`${at + 1}: ${'one word after another '.repeat(5)}`.trim()),
  );
  await saveEntry(longEntry(items));
  await page.goto(`${elsewhere.url}/chat.html`);
  const line = ofValue(page.getByLabel(/^Your line: /));
  await tryPlace(line);
  await typeUntil(line, ',hnd', HANDLING);
  await page.keyboard.type(' ;so');
  await page.keyboard.press('Enter');
  await expect.poll(line.read).toBe(`${HANDLING} ${REGARDS}`);
  const sent = page.getByRole('region', { name: 'Sent' });
  await expect(sent).toHaveText('');
  for (const place of [line, ofEditor(page.getByRole('textbox', { name: /formatting/ }), 'draft')]) {
    await typeUntil(place, ',zlong ', '40: one word');
    expect(
      (await place.read())
        .trim()
        .split('\n')
        .filter((one) => one !== ''),
    ).toHaveLength(40);
    await expect(sent).toHaveText('');
  }
  await page.keyboard.press('Enter');
  await expect(sent).not.toHaveText('');
});

test('in a system for records: boxes in shadow trees, in frames, and one that its page writes anew', async () => {
  await page.goto(`${elsewhere.url}/records.html`);
  const readBy = (name: string) => () =>
    page.evaluate((of) => (window as unknown as Record<string, () => string>)[of]!(), name);
  await tryPlace({ box: page.locator('#open textarea'), read: readBy('words_open') });
  await tryPlace({ box: page.getByRole('textbox', { name: 'Remark (open)' }), read: readBy('remark_open') });
  // Within a closed tree nobody is found but by where they are.
  const { x, y } = (await page.locator('#closed').boundingBox())!;
  await tryPlace({ box: { click: () => page.mouse.click(x + 60, y + 60) }, read: readBy('words_closed') });
  await tryPlace(ofValue(page.getByLabel('A box that its page writes anew')));
  const frame = page.frameLocator('iframe[title="Ward round"]');
  await tryPlace(ofValue(frame.getByLabel('Ward round')));
  await tryPlace({
    box: frame.getByRole('textbox', { name: 'Bare box' }),
    read: () => frame.getByRole('textbox', { name: 'Bare box' }).innerText(),
  });
  await tryPlace(ofValue(page.frameLocator('iframe[title="Remarks"]').getByLabel('Remarks')));
});

test('boxes for names, passwords, cards and searches are left alone', async () => {
  await page.goto(`${elsewhere.url}/records.html`);
  await typeUntil(ofValue(page.getByLabel('A box that its page writes anew')), ',hnd', HANDLING);
  for (const label of ['Name', 'Password', 'Card number', 'Name on the card']) {
    await page.getByLabel(label, { exact: true }).click();
    await page.keyboard.type(',hnd;so ');
    await expect(page.getByLabel(label, { exact: true })).toHaveValue(',hnd;so ');
  }
  await page.goto(`${elsewhere.url}/mail.html`);
  await typeUntil(ofValue(page.getByLabel('Subject')), ',hnd', HANDLING);
  await page.getByLabel('Search in letters').click();
  await page.keyboard.type(',hnd;so ');
  await expect(page.getByLabel('Search in letters')).toHaveValue(',hnd;so ');
});

test('blanks are answered beside the box by keyboard alone; Escape gives back what was typed, and the box changes once', async () => {
  await page.goto(`${elsewhere.url}/mail.html`);
  const plain = page.getByLabel('Message, plain');
  await typeUntil(ofValue(plain), ',hnd', HANDLING);
  await plain.fill('');
  await plain.evaluate((box) => {
    const page = window as unknown as { changes: number };
    page.changes = 0;
    box.addEventListener('input', () => (page.changes += 1));
  });
  // A person's words and two choices, by letters and figures.
  await page.keyboard.type(',app');
  await page.keyboard.type('h');
  await page.keyboard.press('Enter');
  await page.keyboard.type('1');
  await page.keyboard.press('Enter');
  await page.keyboard.type('1');
  await page.keyboard.press('Enter');
  await expect.poll(() => plain.inputValue()).toMatch(/^Overnight he .+\. His droppings were .+\.$/);
  expect(await page.evaluate(() => (window as unknown as { changes: number }).changes)).toBe(5);
  // Right after it is given back whole.
  await page.keyboard.press('Backspace');
  await expect(plain).toHaveValue(',app');

  // A detail nobody knows here, a date, a time, a number and a yes: with a step back, and a gap that is told of.
  await plain.fill('');
  await page.keyboard.type(',ho');
  await page.keyboard.press('Control+Enter');
  await page.keyboard.type('hedgehog');
  await page.keyboard.press('Shift+Tab');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Escape');
  await expect(plain).toHaveValue(',ho');
  await page.keyboard.type(' on');
  await expect(plain).toHaveValue(',ho on');
});

test('what is selected on the page answers a blank by one key', async () => {
  await page.goto(`${elsewhere.url}/mail.html`);
  const plain = page.getByLabel('Message, plain');
  await typeUntil(ofValue(plain), ',hnd', HANDLING);
  await plain.fill('');
  await page.getByRole('heading', { name: 'A letter' }).click({ clickCount: 3 });
  await plain.click();
  await page.keyboard.type(',wnd');
  await page.keyboard.press('Alt+S');
  await page.keyboard.press('Enter');
  await page.keyboard.type('1');
  await page.keyboard.press('Enter');
  await expect.poll(() => plain.inputValue()).toMatch(/^The wound at the A letter was clipped/);
});

test('subject and message of one cue go to their boxes, and nothing is sent', async () => {
  await page.goto(`${elsewhere.url}/mail.html`);
  const message = page.getByRole('textbox', { name: 'Message, with formatting' });
  await typeUntil(ofEditor(message, 'tiptap'), ',hnd', HANDLING);
  await page.keyboard.press('Control+A');
  await page.keyboard.type(';reply ');
  const steps = ['owlet', 'y', '4 December 2026'];
  for (const typed of steps) {
    await page.keyboard.type(typed);
    await page.keyboard.press('Enter');
  }
  await expect.poll(() => page.getByLabel('Subject').inputValue()).toMatch(/^Your owlet/);
  await expect.poll(() => heldBy(page, 'tiptap')).toContain('Imke');
  expect((await heldBy(page, 'tiptap')).match(/<p>/g)!.length).toBeGreaterThan(2);
  await expect(page.getByRole('status')).toHaveText('');
});

test('the bank is looked through, and walked, beside a box', async () => {
  await page.goto(`${elsewhere.url}/mail.html`);
  const plain = page.getByLabel('Message, plain');
  await typeUntil(ofValue(plain), ',hnd', HANDLING);
  await plain.fill('To all: ');
  await page.keyboard.press('Alt+Shift+U');
  await page.keyboard.type('kind regards');
  await expect(async () => {
    await page.keyboard.press('Enter');
    await expect(plain).toHaveValue(`To all: ${REGARDS}`, { timeout: 2000 });
  }).toPass();
});

test('nothing that is typed leaves the page: no request and no stored byte holds it', async () => {
  await page.goto(`${elsewhere.url}/mail.html`);
  const plain = page.getByLabel('Message, plain');
  await typeUntil(ofValue(plain), ',hnd', HANDLING);
  const requests: string[] = [];
  page.on('request', (request) => requests.push(`${request.url()} ${request.postData() ?? ''}`));
  await elsewhere.background.evaluate(() => {
    const scope = globalThis as unknown as { sent: string[] };
    scope.sent = [];
    const whole = globalThis.fetch;
    globalThis.fetch = (...given) => {
      scope.sent.push(JSON.stringify(given));
      return whole(...given);
    };
  });
  await plain.fill('');
  const typed = Array.from({ length: 100 }, (_, at) => `quaverling${at} `).join('');
  expect(typed.length).toBeGreaterThan(1000);
  await page.keyboard.type(`${typed},hnd`);
  await expect.poll(() => plain.inputValue()).toContain(HANDLING);
  await renew();
  const sent = await elsewhere.background.evaluate(() => (globalThis as unknown as { sent: string[] }).sent);
  expect(sent.length).toBeGreaterThan(0);
  const origins = sent.map((one) => new URL((JSON.parse(one) as [string])[0]).origin);
  expect(new Set(origins)).toEqual(new Set([server.url]));
  const kept = await keptIn(elsewhere);
  expect(kept).toContain('Handling is kept');
  for (const text of [...requests, ...sent, kept]) expect(text).not.toMatch(/quaverling/);
});

test('what is composed is left to who composes it', async () => {
  await page.goto(`${elsewhere.url}/mail.html`);
  const plain = page.getByLabel('Message, plain');
  await typeUntil(ofValue(plain), ',hnd', HANDLING);
  await plain.fill('');
  const input = await elsewhere.context.newCDPSession(page);
  await input.send('Input.imeSetComposition', { text: ',hnd', selectionStart: 4, selectionEnd: 4 });
  await expect(plain).toHaveValue(',hnd');
  await input.send('Input.insertText', { text: ',hn' });
  await page.keyboard.type('d');
  await expect(plain).toHaveValue(HANDLING);
});

/** An entry that asks a case for what it is called and its number. */
const CASE_LINE = readEntry(`title: Case line
cue: cline

field Name: detail name

field Number: detail number

== wording English: en-GB

{Name} ({Number}) is well.
`);

test('an entry is filled from the case that is open in Elderleaf, by a key, and seen before it goes in', async () => {
  if (!CASE_LINE.ok) throw new Error('The entry cannot be read.');
  await saveEntry(CASE_LINE.value);
  await account.goto(`${server.url}/`);
  await account.getByRole('link', { name: /^Keel, mute swan/ }).press('Enter');
  await expect(account).toHaveTitle(/^Keel/);
  await page.goto(`${elsewhere.url}/mail.html`);
  const plain = ofValue(page.getByLabel('Message, plain'));
  await page.bringToFront();
  await typeUntil(plain, ',hnd', HANDLING);
  await page.keyboard.type(' ,cline ');
  await page.keyboard.press('Alt+c');
  await expect(async () => {
    await page.keyboard.press('Control+Enter');
    await expect.poll(plain.read, { timeout: 2000 }).toContain(`${HANDLING} Keel (MS-0219) is well.`);
  }).toPass();
});

test('an owner shows once where details stand on a page; entries are filled from there', async () => {
  await page.goto(`${elsewhere.url}/records.html`);
  await page.getByLabel('Note (open)').click();
  const tab = await elsewhere.background.evaluate(async () => {
    const tabs = await chrome.tabs.query({});
    return tabs.find(({ url }) => url?.endsWith('/records.html'))!.id!;
  });
  const popup = await elsewhere.popup(tab);
  await popup.getByRole('button', { name: 'Show where details are on it' }).press('Enter');
  await page.bringToFront();
  await page.getByText('Bramble', { exact: true }).click();
  await page.keyboard.press('1');
  await page.getByText('OT-311').click();
  await page.keyboard.press('2');
  const opened = elsewhere.context.waitForEvent('page');
  await page.keyboard.press('Enter');
  const other = await opened;
  const shown = other.getByRole('region', { name: /^Shown on/ });
  await expect(shown).toContainText('Name: there it says “Bramble”');
  await shown.getByRole('button', { name: 'Save this card' }).press('Enter');
  await expect(other.getByRole('list', { name: 'Page cards' })).toContainText('Name, Case number');
  const { pageCards } = (await (await other.request.get(`${server.url}/api/settings`)).json()) as {
    pageCards: unknown;
  };
  // Where it stands, and not what stands there.
  expect(JSON.stringify(pageCards)).toContain('#patient');
  expect(JSON.stringify(pageCards)).not.toContain('Bramble');
  await expectAccessible(other);
  await other.close();

  await renew();
  await page.bringToFront();
  await page.reload();
  const note = ofValue(page.getByLabel('A box that its page writes anew'));
  await typeUntil(note, ',hnd', HANDLING);
  await page.keyboard.type(' ,cline ');
  await page.keyboard.press('Alt+p');
  await expect(async () => {
    await page.keyboard.press('Control+Enter');
    await expect.poll(note.read, { timeout: 2000 }).toContain(`${HANDLING} Bramble (OT-311) is well.`);
  }).toPass();
});

test('off on a page with one key, and on again', async () => {
  await page.goto(`${elsewhere.url}/mail.html`);
  const plain = ofValue(page.getByLabel('Message, plain'));
  await typeUntil(plain, ',hnd', HANDLING);
  await page.keyboard.press('Alt+Shift+O');
  await expect(async () => {
    await page.getByLabel('Message, plain').fill('');
    await page.keyboard.type(',hnd.');
    await expect.poll(plain.read, { timeout: 500 }).toBe(',hnd.');
  }).toPass();
  await page.reload();
  await page.getByLabel('Message, plain').click();
  await page.keyboard.type(',hnd.');
  await expect.poll(plain.read).toBe(',hnd.');
  await page.keyboard.press('Alt+Shift+O');
  await typeUntil(plain, ',hnd', HANDLING);
});

test('words selected on a page are kept by the capture slip of the pocket', async () => {
  await page.goto(`${elsewhere.url}/board.html`);
  await page.getByText('Nesta made the table.').click({ clickCount: 3 });
  const opened = elsewhere.context.waitForEvent('page');
  await page.keyboard.press('Alt+Shift+K');
  const pocket = await opened;
  await expect(pocket.getByRole('textbox', { name: 'Title' })).toBeVisible();
  await expect(pocket.getByRole('main')).toContainText('more dunlin than last year');
  await pocket.close();
});

test('with the connection down cues work on, and uses are told when it is back', async () => {
  await renew();
  await server.kill();
  await page.goto(`${elsewhere.url}/mail.html`);
  await typeUntil(ofValue(page.getByLabel('Message, plain')), ',hnd', HANDLING);
  const popup = await elsewhere.popup();
  await popup.getByRole('button', { name: 'Renew now' }).press('Enter');
  await expect(popup.getByRole('alert')).toContainText('What is in this browser works on.');
  await expect(popup.getByText(/uses wait to be counted/)).toBeVisible();
  await expectAccessible(popup, false);
  await server.again();
  await popup.getByRole('button', { name: 'Renew now' }).press('Enter');
  await expect(popup.getByText(/uses wait to be counted/)).toBeHidden();
  await popup.close();
});

test('ended on the account, the browser has nothing of the bank any more', async () => {
  await account.goto(`${server.url}/account`);
  const line = account.getByRole('listitem').filter({ has: account.getByLabel('Name of this browser') });
  await line.getByRole('button', { name: 'Sign out there' }).press('Enter');
  await expect(line).toBeHidden();
  const popup = await elsewhere.popup();
  await popup.getByRole('button', { name: 'Renew now' }).press('Enter');
  await expect(popup.getByRole('heading', { name: 'Join this browser' })).toBeVisible();
  await expect(popup.getByRole('alert')).toContainText('signed out on the account');
  expect(await keptIn(elsewhere)).not.toContain('Handling is kept');
  await page.goto(`${elsewhere.url}/mail.html`);
  await page.getByLabel('Message, plain').click();
  await page.keyboard.type(',hnd.');
  await expect(page.getByLabel('Message, plain')).toHaveValue(',hnd.');
  await popup.close();
});

/** Has the browser ask for what changed, as it does by itself each minute. */
async function renew(): Promise<void> {
  const popup = await elsewhere.popup();
  await popup.getByRole('button', { name: 'Renew now' }).press('Enter');
  await expect(popup.getByText(/up to date just now/)).toBeVisible();
  await popup.close();
}

/** Saves an entry as Imke's own, and has the browser ask for it. */
async function saveEntry(content: EntryContent): Promise<void> {
  const status = await account.evaluate(
    async (body) => {
      const headers = { 'Content-Type': 'application/json' };
      const answer = await fetch('/api/entries', { method: 'POST', headers, body });
      return answer.status;
    },
    JSON.stringify({ collection: 'own-imke', reason: '', content }),
  );
  expect(status).toBe(201);
  await renew();
}

const longEntry = (items: object[]) => ({
  ...newEntry('Long list', 'en-GB', {
    type: 'doc',
    content: [{ type: 'bulletList', content: items }],
  } as Passage),
  cues: [{ text: 'zlong' }],
});
