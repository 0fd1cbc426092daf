import type { Page } from '@playwright/test';
import type { EntryContent, EntryFile } from '#core/entry';
import { readEntry } from '#core/notation';
import { heldBy } from './elsewhere';
import { HANDLING, ofValue, startJoined, type JoinedBrowser } from './joinedBrowser';
import { expect, expectAccessible, test } from './test';

let joined: JoinedBrowser;
let page: Page;
let account: Page;

test.beforeAll(async () => {
  joined = await startJoined();
  ({ page, account } = joined);
});
test.afterAll(() => joined.end());

/** An entry by its notation. */
function entryOf(notation: string): EntryContent {
  const read = readEntry(notation);
  if (!read.ok) throw new Error('The entry cannot be read.');
  return read.value;
}

/** An entry that asks a case for what it is called and its number. */
const CASE_LINE = entryOf(`title: Case line
cue: cline

field Name: detail name

field Number: detail number

== wording English: en-GB

{Name} ({Number}) is well.
`);

test('what is selected on the page answers a blank by one key', async () => {
  await page.goto(`${joined.elsewhere.url}/mail.html`);
  const plain = page.getByLabel('Message, plain');
  await joined.typeUntil(ofValue(plain), ',hnd', HANDLING);
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

test('entries are offered for what is typed behind a lead-in, by cue and by title, and for nothing else', async () => {
  await page.goto(`${joined.elsewhere.url}/mail.html`);
  const plain = ofValue(page.getByLabel('Message, plain'));
  await joined.typeUntil(plain, ',hnd', HANDLING);
  // Where something is offered is in a tree that no page sees: what shows it is what its keys do.
  const taken = async (typed: string, wanted: string) => {
    await page.getByLabel('Message, plain').fill('');
    await page.keyboard.type(typed);
    await expect(async () => {
      await page.keyboard.press('Alt+j');
      await expect.poll(plain.read, { timeout: 1000 }).toBe(wanted);
    }).toPass();
  };
  await taken('Keep calm. ,hn', `Keep calm. ${HANDLING}`);
  await page.keyboard.press('Backspace');
  await expect.poll(plain.read).toBe('Keep calm. ,hn');
  await taken('Keep calm. ,keep handl', `Keep calm. ${HANDLING}`);
  // Escape calls them off, as long as the words go on from there.
  await page.getByLabel('Message, plain').fill('');
  await page.keyboard.type(',hand');
  await expect(page.locator('elderleaf-slip')).toBeAttached();
  await page.keyboard.press('Escape');
  await expect(page.locator('elderleaf-slip')).not.toBeAttached();
  await page.keyboard.type('ling');
  await page.keyboard.press('Alt+j');
  await expect.poll(plain.read).toBe(',handling');
  // Switched off in the small window, nothing is offered; cues fire still.
  const popup = await joined.elsewhere.popup();
  await popup.getByRole('checkbox', { name: /^Offer entries/ }).press('Space');
  await expect(popup.getByRole('checkbox', { name: /^Offer entries/ })).not.toBeChecked();
  await expectAccessible(popup, false);
  await popup.close();
  await page.bringToFront();
  await page.getByLabel('Message, plain').fill('');
  await page.getByLabel('Message, plain').click();
  await page.keyboard.type(',keep handl');
  await page.keyboard.press('Alt+j');
  await page.keyboard.type(' ,hnd');
  await expect.poll(plain.read).toBe(`,keep handl ${HANDLING}`);
  await expect(page.locator('elderleaf-slip')).not.toBeAttached();
  const again = await joined.elsewhere.popup();
  await again.getByRole('checkbox', { name: /^Offer entries/ }).press('Space');
  await expect(again.getByRole('checkbox', { name: /^Offer entries/ })).toBeChecked();
  await again.close();
});

test('the page’s own undo takes words back in one', async () => {
  await page.goto(`${joined.elsewhere.url}/mail.html`);
  const plain = ofValue(page.getByLabel('Message, plain'));
  await joined.typeUntil(plain, 'Keep calm. ,hnd', `Keep calm. ${HANDLING}`);
  await page.keyboard.press('Control+z');
  await expect.poll(plain.read).toBe('Keep calm. ,hnd');
});

test('boxes that Vue and Angular govern hear of what was put in', async () => {
  await page.goto(`${joined.elsewhere.url}/order.html`);
  for (const [label, model] of [
    [/^What is wanted/, 'vue'],
    [/^Remark/, 'angular'],
  ] as const) {
    const box = ofValue(page.getByLabel(label));
    await joined.typeUntil(box, 'Please: ,hnd', `Please: ${HANDLING}`);
    await page.keyboard.type(' Soon.');
    await expect.poll(() => heldBy(page, model)).toBe(`Please: ${HANDLING} Soon.`);
    expect(await box.read()).toBe(await heldBy(page, model));
  }
});

test('a file that goes along with an entry is offered to the page’s own box for files, and only put there when one says so', async () => {
  const sent = await account.request.post(`${joined.server.url}/api/files`, {
    headers: { 'Content-Type': 'application/octet-stream', 'Elderleaf-Name': 'first%20aid.txt' },
    data: Buffer.from('Keep it warm, dark and quiet.'),
  });
  const file = (await sent.json()) as EntryFile;
  const along = entryOf(
    'title: First aid\ncue: faid\n\n== wording English: en-GB\n\nFirst aid is attached.\n',
  );
  await joined.saveEntry({ ...along, files: [file] });
  await page.goto(`${joined.elsewhere.url}/mail.html`);
  const plain = ofValue(page.getByLabel('Message, plain'));
  const held = () =>
    page.getByLabel('Attachments').evaluate(async (box: HTMLInputElement) => {
      const [first] = box.files ?? [];
      return first ? `${first.name}: ${await first.text()}` : 'nothing';
    });
  await joined.typeUntil(plain, ',hnd', HANDLING);
  await page.keyboard.type(' ,faid ');
  await expect.poll(plain.read).toContain(`${HANDLING} First aid is attached.`);
  await expect(page.locator('elderleaf-slip')).toBeAttached();
  expect(await held()).toBe('nothing');
  await page.keyboard.press('Alt+j');
  await expect.poll(held).toBe('first aid.txt: Keep it warm, dark and quiet.');
  await expect(page.getByRole('status')).toHaveText('');
});

test('what is named within an entry is written as the page writes it; what is missing there is asked for', async () => {
  const { host } = new URL(joined.elsewhere.url);
  const named = (title: string, there: string) =>
    entryOf(
      `title: ${title}\n\n== wording Here: en-GB\n\nthe ${title.toLowerCase()}\n${there && `\n== wording There: en-GB page=${host}/chat.html\n\n${there}\n`}`,
    );
  const night = await joined.saveEntry(named('Night team', '@night'));
  const day = await joined.saveEntry(named('Day team', ''));
  await joined.saveEntry(
    entryOf(
      `title: Ask them\ncue: zask\n\n== wording English: en-GB\n\nPlease ask [include ${night}] or [include ${day}].\n`,
    ),
  );
  await page.goto(`${joined.elsewhere.url}/mail.html`);
  const plain = ofValue(page.getByLabel('Message, plain'));
  await joined.typeUntil(plain, ',hnd', HANDLING);
  await page.keyboard.type(' ,zask ');
  await expect.poll(plain.read).toContain('Please ask the night team or the day team.');
  await page.goto(`${joined.elsewhere.url}/chat.html`);
  const line = ofValue(page.getByLabel(/^Your line: /));
  await joined.typeUntil(line, ',hnd', HANDLING);
  await page.keyboard.type(' ,zask ');
  await page.keyboard.type('@days');
  await page.keyboard.press('Enter');
  await expect.poll(line.read).toContain('Please ask @night or @days.');
  await expect(page.getByRole('region', { name: 'Sent' })).toHaveText('');
});

test('an entry is filled from the case that is open in Elderleaf, by a key, and seen before it goes in', async () => {
  await joined.saveEntry(CASE_LINE);
  await account.goto(`${joined.server.url}/`);
  await account.getByRole('link', { name: /^Keel, mute swan/ }).press('Enter');
  await expect(account).toHaveTitle(/^Keel/);
  await page.goto(`${joined.elsewhere.url}/mail.html`);
  const plain = ofValue(page.getByLabel('Message, plain'));
  await page.bringToFront();
  await joined.typeUntil(plain, ',hnd', HANDLING);
  await page.keyboard.type(' ,cline ');
  await page.keyboard.press('Alt+c');
  await expect(async () => {
    await page.keyboard.press('Control+Enter');
    await expect.poll(plain.read, { timeout: 2000 }).toContain(`${HANDLING} Keel (MS-0219) is well.`);
  }).toPass();
});

test('an owner shows once where details stand on a page; entries are filled from there', async () => {
  await page.goto(`${joined.elsewhere.url}/records.html`);
  await page.getByLabel('Note (open)').click();
  const tab = await joined.elsewhere.background.evaluate(async () => {
    const tabs = await chrome.tabs.query({});
    return tabs.find(({ url }) => url?.endsWith('/records.html'))!.id!;
  });
  const popup = await joined.elsewhere.popup(tab);
  const show = popup.getByRole('button', { name: 'Show where details are on it' });
  await expect(show).toBeVisible();
  // The window closes itself with this key, at times before it says that the key arrived.
  const closed = popup.waitForEvent('close');
  void show.press('Enter').catch(() => undefined);
  await closed;
  await page.bringToFront();
  await page.getByText('Bramble', { exact: true }).click();
  await page.keyboard.press('1');
  await page.getByText('OT-311').click();
  await page.keyboard.press('2');
  const opened = joined.elsewhere.context.waitForEvent('page');
  await page.keyboard.press('Enter');
  const other = await opened;
  const shown = other.getByRole('region', { name: /^Shown on/ });
  await expect(shown).toContainText('Name: there it says “Bramble”');
  await shown.getByRole('button', { name: 'Save this card' }).press('Enter');
  await expect(other.getByRole('list', { name: 'Page cards' })).toContainText('Name, Case number');
  const { pageCards } = (await (await other.request.get(`${joined.server.url}/api/settings`)).json()) as {
    pageCards: unknown;
  };
  // Where it stands, and not what stands there.
  expect(JSON.stringify(pageCards)).toContain('#patient');
  expect(JSON.stringify(pageCards)).not.toContain('Bramble');
  await expectAccessible(other);
  await other.close();

  await joined.renew();
  await page.bringToFront();
  await page.reload();
  const note = ofValue(page.getByLabel('A box that its page writes anew'));
  await joined.typeUntil(note, ',hnd', HANDLING);
  await page.keyboard.type(' ,cline ');
  await page.keyboard.press('Alt+p');
  await expect(async () => {
    await page.keyboard.press('Control+Enter');
    await expect.poll(note.read, { timeout: 2000 }).toContain(`${HANDLING} Bramble (OT-311) is well.`);
  }).toPass();
});
