import type { Locator, Page } from '@playwright/test';
import { newEntry } from '#core/entry';
import type { Passage } from '#core/passage';
import { heldBy, keptIn } from './elsewhere';
import { HANDLING, ofValue, startJoined, words, type JoinedBrowser, type Place } from './joinedBrowser';
import { expect, expectAccessible, test } from './test';

let joined: JoinedBrowser;
let page: Page;
let account: Page;

test.beforeAll(async () => {
  joined = await startJoined();
  ({ page, account } = joined);
});
test.afterAll(() => joined.end());

/** One that waits for a closing key. */
const REGARDS = 'With kind regards from all at Hollin Marsh';

const ofEditor = (box: Locator, editor: string): Place => ({ box, read: () => heldBy(page, editor) });

/** A cue with words on both sides, then one that is given back by Backspace, as on a leaf. */
async function tryPlace(place: Place): Promise<void> {
  await joined.typeUntil(place, 'Hello. ,hnd', `Hello. ${HANDLING}`);
  await page.keyboard.type(' And more, ;so ');
  await expect.poll(async () => words(await place.read())).toContain(`${HANDLING} And more, ${REGARDS}`);
  await page.keyboard.press('Backspace');
  await expect.poll(async () => words(await place.read())).toContain('And more, ;so');
  expect(words(await place.read())).not.toContain('kind regards');
  // Given back, it does not fire again as one types on.
  await page.keyboard.type('on');
  await expect.poll(async () => words(await place.read())).toContain('And more, ;so on');
  // Nobody waits for words to come: the next cue may be among the keys that are held for them.
  await page.keyboard.type(' ,hnd Then ;so there ,hnd.');
  const all = ` ${HANDLING} Then ${REGARDS}there ${HANDLING}.`;
  await expect.poll(async () => words(await place.read())).toContain(all);
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
  await account.goto(`${joined.server.url}/other-pages`);
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
  await joined.renew();
  await page.goto(`${joined.elsewhere.url}/mail.html`);
  await page.getByLabel('Message, plain').click();
  await page.keyboard.type(',hnd.');
  await expect(page.getByLabel('Message, plain')).toHaveValue(',hnd.');
  await account.getByRole('button', { name: 'Remove 127.0.0.1' }).press('Enter');
  await expect(account.getByRole('button', { name: 'Remove 127.0.0.1' })).toBeHidden();
  await joined.renew();
  await joined.typeUntil(ofValue(page.getByLabel('Message, plain')), ',hnd', HANDLING);
});

test('in a letter: one line, several, and two editors; the page counts along, and a box without room stays as it is', async () => {
  await page.goto(`${joined.elsewhere.url}/mail.html`);
  await tryPlace(ofValue(page.getByLabel('Message, plain')));
  await expect(page.getByText(/^Message, plain \d+ letters$/)).toHaveText(
    `Message, plain ${(await page.getByLabel('Message, plain').inputValue()).length} letters`,
  );
  await tryPlace(ofEditor(page.getByRole('textbox', { name: 'Message, with formatting' }), 'tiptap'));
  await tryPlace(ofEditor(page.getByRole('textbox', { name: 'Message, in a second editor' }), 'quill'));
  const subject = ofValue(page.getByLabel('Subject'));
  await joined.typeUntil(subject, ',hnd', HANDLING);
  await page.keyboard.type(' ,hnd');
  await page.keyboard.type('!');
  await expect.poll(subject.read).toBe(`${HANDLING} ,hnd!`);
});

test('on a course board: comments in three more editors', async () => {
  await page.goto(`${joined.elsewhere.url}/board.html`);
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
  await joined.saveEntry(longEntry(items));
  await page.goto(`${joined.elsewhere.url}/chat.html`);
  const line = ofValue(page.getByLabel(/^Your line: /));
  await tryPlace(line);
  await joined.typeUntil(line, ',hnd', HANDLING);
  await page.keyboard.type(' ;so');
  await page.keyboard.press('Enter');
  await expect.poll(line.read).toBe(`${HANDLING} ${REGARDS}`);
  const sent = page.getByRole('region', { name: 'Sent' });
  await expect(sent).toHaveText('');
  for (const place of [line, ofEditor(page.getByRole('textbox', { name: /formatting/ }), 'draft')]) {
    await joined.typeUntil(place, ',zlong ', '40: one word');
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
  await page.goto(`${joined.elsewhere.url}/records.html`);
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
  await page.goto(`${joined.elsewhere.url}/records.html`);
  await joined.typeUntil(ofValue(page.getByLabel('A box that its page writes anew')), ',hnd', HANDLING);
  for (const label of ['Name', 'Password', 'Card number', 'Name on the card']) {
    await page.getByLabel(label, { exact: true }).click();
    await page.keyboard.type(',hnd;so ');
    await expect(page.getByLabel(label, { exact: true })).toHaveValue(',hnd;so ');
  }
  await page.goto(`${joined.elsewhere.url}/mail.html`);
  await joined.typeUntil(ofValue(page.getByLabel('Subject')), ',hnd', HANDLING);
  await page.getByLabel('Search in letters').click();
  await page.keyboard.type(',hnd;so ');
  await expect(page.getByLabel('Search in letters')).toHaveValue(',hnd;so ');
});

test('blanks are answered beside the box by keyboard alone; Escape gives back what was typed, and the box changes once', async () => {
  await page.goto(`${joined.elsewhere.url}/mail.html`);
  const plain = page.getByLabel('Message, plain');
  await joined.typeUntil(ofValue(plain), ',hnd', HANDLING);
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

test('subject and message of one cue go to their boxes, and nothing is sent', async () => {
  await page.goto(`${joined.elsewhere.url}/mail.html`);
  const message = page.getByRole('textbox', { name: 'Message, with formatting' });
  await joined.typeUntil(ofEditor(message, 'tiptap'), ',hnd', HANDLING);
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
  await page.goto(`${joined.elsewhere.url}/mail.html`);
  const plain = page.getByLabel('Message, plain');
  await joined.typeUntil(ofValue(plain), ',hnd', HANDLING);
  await plain.fill('To all: ');
  await page.keyboard.press('Alt+Shift+U');
  await page.keyboard.type('kind regards');
  await page.keyboard.press('Enter');
  await expect(plain).toHaveValue(`To all: ${REGARDS}`);
});

test('nothing that is typed leaves the page: no request and no stored byte holds it', async () => {
  await page.goto(`${joined.elsewhere.url}/mail.html`);
  const plain = page.getByLabel('Message, plain');
  await joined.typeUntil(ofValue(plain), ',hnd', HANDLING);
  const requests: string[] = [];
  page.on('request', (request) => requests.push(`${request.url()} ${request.postData() ?? ''}`));
  await joined.elsewhere.background.evaluate(() => {
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
  await joined.renew();
  const sent = await joined.elsewhere.background.evaluate(
    () => (globalThis as unknown as { sent: string[] }).sent,
  );
  expect(sent.length).toBeGreaterThan(0);
  const origins = sent.map((one) => new URL((JSON.parse(one) as [string])[0]).origin);
  expect(new Set(origins)).toEqual(new Set([joined.server.url]));
  const kept = await keptIn(joined.elsewhere);
  expect(kept).toContain('Handling is kept');
  for (const text of [...requests, ...sent, kept]) expect(text).not.toMatch(/quaverling/);
});

test('what is composed is left to who composes it', async () => {
  await page.goto(`${joined.elsewhere.url}/mail.html`);
  const plain = page.getByLabel('Message, plain');
  await joined.typeUntil(ofValue(plain), ',hnd', HANDLING);
  await plain.fill('');
  const input = await joined.elsewhere.context.newCDPSession(page);
  await input.send('Input.imeSetComposition', { text: ',hnd', selectionStart: 4, selectionEnd: 4 });
  await expect(plain).toHaveValue(',hnd');
  await input.send('Input.insertText', { text: ',hn' });
  await page.keyboard.type('d');
  await expect(plain).toHaveValue(HANDLING);
});

test('off on a page with one key, and on again', async () => {
  await page.goto(`${joined.elsewhere.url}/mail.html`);
  const plain = ofValue(page.getByLabel('Message, plain'));
  await joined.typeUntil(plain, ',hnd', HANDLING);
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
  await joined.typeUntil(plain, ',hnd', HANDLING);
});

test('words selected on a page are kept by the capture slip of the pocket', async () => {
  await page.goto(`${joined.elsewhere.url}/board.html`);
  await page.getByText('Nesta made the table.').click({ clickCount: 3 });
  const opened = joined.elsewhere.context.waitForEvent('page');
  await page.keyboard.press('Alt+Shift+K');
  const pocket = await opened;
  await expect(pocket.getByRole('textbox', { name: 'Title' })).toBeVisible();
  await expect(pocket.getByRole('main')).toContainText('more dunlin than last year');
  await pocket.close();
});

test('with the connection down cues work on, and uses are told when it is back', async () => {
  await joined.renew();
  await joined.server.kill();
  await page.goto(`${joined.elsewhere.url}/mail.html`);
  await joined.typeUntil(ofValue(page.getByLabel('Message, plain')), ',hnd', HANDLING);
  const popup = await joined.elsewhere.popup();
  await popup.getByRole('button', { name: 'Renew now' }).press('Enter');
  await expect(popup.getByRole('alert')).toContainText('What is in this browser works on.');
  await expect(popup.getByText(/uses wait to be counted/)).toBeVisible();
  await expectAccessible(popup, false);
  await joined.server.again();
  await popup.getByRole('button', { name: 'Renew now' }).press('Enter');
  await expect(popup.getByText(/uses wait to be counted/)).toBeHidden();
  await popup.close();
});

test('ended on the account, the browser has nothing of the bank any more', async () => {
  await account.goto(`${joined.server.url}/account`);
  const line = account.getByRole('listitem').filter({ has: account.getByLabel('Name of this browser') });
  await line.getByRole('button', { name: 'Sign out there' }).press('Enter');
  await expect(line).toBeHidden();
  const popup = await joined.elsewhere.popup();
  await popup.getByRole('button', { name: 'Renew now' }).press('Enter');
  await expect(popup.getByRole('heading', { name: 'Join this browser' })).toBeVisible();
  await expect(popup.getByRole('alert')).toContainText('signed out on the account');
  expect(await keptIn(joined.elsewhere)).not.toContain('Handling is kept');
  await page.goto(`${joined.elsewhere.url}/mail.html`);
  await page.getByLabel('Message, plain').click();
  await page.keyboard.type(',hnd.');
  await expect(page.getByLabel('Message, plain')).toHaveValue(',hnd.');
  await popup.close();
});

const longEntry = (items: object[]) => ({
  ...newEntry('Long list', 'en-GB', {
    type: 'doc',
    content: [{ type: 'bulletList', content: items }],
  } as Passage),
  cues: [{ text: 'zlong' }],
});
