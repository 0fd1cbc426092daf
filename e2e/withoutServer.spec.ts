import { keptPaths } from './keptHere';
import { standBefore } from './nextBuild';
import { draftOf, expect, expectAccessible, openCase, signIn, test, words, type Member } from './test';
import type { Browser, Page } from '@playwright/test';

/** A page that opens without its server from now on, signed in. */
async function opensAlone(browser: Browser, url: string, member: Member): Promise<Page> {
  const context = await browser.newContext({ serviceWorkers: 'allow' });
  const page = await signIn(await context.newPage(), url, member);
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  return page;
}

const told = (page: Page) => page.getByRole('status').filter({ hasText: /cannot be reached|offline/ });
const computer = async (page: Page) => {
  await page.getByRole('link', { name: 'This computer' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('This computer');
};
const saved = (page: Page) => expect(page.getByRole('status', { name: 'Saving' })).toHaveText('Saved');

test('with the server gone the application opens; leaves and entries are made, and all is sent once when it is back', async ({
  browser,
  server,
}) => {
  const page = await opensAlone(browser, server.url, 'Odile Brandt');
  await openCase(page, /^Bramble, hedgehog/);
  await page.keyboard.type('Seen at dusk. ');
  await saved(page);
  await server.kill();

  // What was opened opens again, and is written on; cues and blanks work.
  await page.reload();
  await expect(draftOf(page)).toBeFocused();
  await expect(told(page)).toContainText('what you write is saved on this computer');
  await page.keyboard.type(',wt ');
  await expect.poll(() => words(page)).toContain('512 g');
  await page.goto(`${server.url}/`);
  await expect(page.getByRole('link', { name: /^Keel, mute swan/ })).toContainText('Not on this computer');

  // A new entry fires at once, on a new leaf.
  await page.goto(`${server.url}/bank/new`);
  await page.getByRole('textbox', { name: 'Title' }).fill('Quiet night');
  await page.getByRole('textbox', { name: 'Wording' }).fill('A quiet night in all pens.');
  await page.getByRole('button', { name: 'Add a cue' }).click();
  await page.keyboard.type('qnight');
  await page.keyboard.press('F9');
  await expect(page.getByText(/Saved on this computer, and sent once/)).toBeVisible();
  await page.getByRole('link', { name: 'Desk' }).click();
  await page.getByRole('button', { name: 'New leaf' }).click();
  await expect(draftOf(page)).toBeFocused();
  await page.keyboard.type('Written by torch. ,qnight ');
  await expect.poll(() => words(page)).toContain('A quiet night in all pens.');
  const leaf = page.url();

  await computer(page);
  const list = page.getByRole('list', { name: 'Not on the server yet' });
  await expect(list.getByRole('listitem')).toHaveCount(3);
  await expectAccessible(page);
  await page.reload();
  await expect(list).toContainText('Written by torch.');
  await expect(list).toContainText('Seen at dusk.');

  await server.again();
  await expect(list).toBeHidden();
  await expect(told(page)).toBeHidden();
  // In another browser, which kept nothing, all of it is there, each once.
  const other = await signIn(await (await browser.newContext()).newPage(), server.url, 'Odile Brandt');
  await expect(other.getByRole('link', { name: /Written by torch/ })).toHaveCount(1);
  await other.goto(leaf);
  await expect(draftOf(other)).toHaveText(/^Written by torch\. A quiet night in all pens\./);
  await other.getByRole('link', { name: 'Desk' }).click();
  await openCase(other, /^Bramble, hedgehog/);
  await expect(draftOf(other)).toHaveText(/^Seen at dusk\. .*512 g/);
  await other.goto(`${server.url}/bank`);
  await other.getByRole('searchbox').fill('quiet night in all pens');
  await expect(other.getByText('A quiet night in all pens.')).toHaveCount(1);
});

test('what another computer saved meanwhile is not written over: its member chooses', async ({
  browser,
  server,
}) => {
  const page = await opensAlone(browser, server.url, 'Imke Tarrow');
  await openCase(page, /^Dune, grey seal/);
  await page.context().setOffline(true);
  await page.keyboard.type('Written without a line.');
  await page.goto(`${server.url}/`);
  await expect(told(page)).toBeVisible();
  const elsewhere = await signIn(await (await browser.newContext()).newPage(), server.url, 'Imke Tarrow');
  await openCase(elsewhere, /^Dune, grey seal/);
  const saving = elsewhere.waitForResponse((answer) => answer.request().method() === 'PUT');
  await elsewhere.keyboard.type('Written elsewhere.');
  await saving;
  await saved(elsewhere);
  await page.context().setOffline(false);
  await expect(told(page)).toBeHidden();
  await page.goto(`${server.url}/this-computer`);
  const list = page.getByRole('list', { name: 'Not on the server yet' });
  await expect(list).toContainText('Written without a line.');
  await list.getByRole('link', { name: 'Open it' }).click();
  const asked = page.getByRole('alert');
  await expect(asked).toContainText('Written elsewhere.');
  const kept = page.waitForResponse((answer) => answer.request().method() === 'PUT' && answer.ok());
  await asked.getByRole('button', { name: 'Keep mine' }).click();
  await kept;
  await elsewhere.reload();
  await expect(draftOf(elsewhere)).toHaveText('Written without a line.');
});

test('two windows write without the server; each leaf is sent once', async ({ browser, server }) => {
  const first = await opensAlone(browser, server.url, 'Desta Wynne');
  const second = await first.context().newPage();
  await second.goto(server.url);
  await expect(second.getByRole('heading', { level: 1 })).toHaveText(/desk/);
  await first.context().setOffline(true);
  for (const [page, text] of [
    [first, 'From the first window.'],
    [second, 'From the second window.'],
  ] as const) {
    await page.getByRole('button', { name: 'New leaf' }).click();
    await expect(draftOf(page)).toBeFocused();
    await page.keyboard.type(text);
    await expect.poll(() => words(page)).toBe(text);
  }
  await first.context().setOffline(false);
  await saved(first);
  await saved(second);
  await first.getByRole('link', { name: 'Desk' }).click();
  for (const text of ['From the first window', 'From the second window'])
    await expect(first.getByRole('link', { name: new RegExp(text) })).toHaveCount(1);
});

test('signing out without the server asks before words are lost, takes all away, and holds when it is back', async ({
  browser,
  server,
}) => {
  const page = await opensAlone(browser, server.url, 'Anouk Fell');
  await page.context().setOffline(true);
  await page.getByRole('button', { name: 'New leaf' }).click();
  await expect(draftOf(page)).toBeFocused();
  await page.keyboard.type('Not to be lost.');
  await expect.poll(() => words(page)).toBe('Not to be lost.');
  const signOut = async () => {
    await page.getByRole('button', { name: 'Anouk Fell' }).click();
    await page.getByRole('menuitem', { name: 'Sign out' }).click();
  };
  await signOut();
  const asked = page.getByRole('alertdialog', { name: 'Sign out?' });
  await expect(asked).toContainText('One text or entry is on this computer alone');
  await asked.getByRole('button', { name: 'Stay signed in' }).click();
  expect(await words(page)).toBe('Not to be lost.');
  await signOut();
  await asked.getByRole('button', { name: 'Sign out and lose it' }).click();
  await expect(page).toHaveURL(/sign-in/);
  expect(await keptPaths(page)).toEqual([]);
  await page.context().setOffline(false);
  await page.goto(server.url);
  await expect(page.getByRole('button', { name: 'Odile Brandt' })).toBeVisible();
  expect((await page.request.get(`${server.url}/api/session`)).status()).toBe(401);
});

test('a team that saves no cases on computers has none there; what is written stays with the open window', async ({
  browser,
  server,
}) => {
  const page = await opensAlone(browser, server.url, 'Imke Tarrow');
  await openCase(page, /^Bramble, hedgehog/);
  await expect.poll(() => keptPaths(page)).toContainEqual(expect.stringMatching(/^\/api\/cases\//));
  await page.goto(`${server.url}/this-computer`);
  await page.getByRole('combobox', { name: 'Cases and drafts stay on computers' }).selectOption('not at all');
  await expect(page.getByText('Your team saves no cases here.')).toBeVisible();
  await expect.poll(() => keptPaths(page)).not.toContainEqual(expect.stringMatching(/^\/api\/cases/));
  await page.getByRole('link', { name: 'Desk' }).click();
  await openCase(page, /^Bramble, hedgehog/);
  await page.context().setOffline(true);
  await page.keyboard.type('Only here. ');
  await expect(told(page)).toContainText('leave this window open');
  await page.getByRole('link', { name: 'Desk' }).click();
  await page.getByRole('button', { name: 'New leaf' }).click();
  await expect(page.getByText(/Nothing was begun/)).toBeVisible();
  expect(await page.evaluate(() => Object.keys(localStorage).filter((name) => /draft/.test(name)))).toEqual(
    [],
  );
  await page.context().setOffline(false);
  await expect(told(page)).toBeHidden();
  await openCase(page, /^Bramble, hedgehog/);
  await expect(draftOf(page)).toHaveText(/Only here\./);
  await page.goto(`${server.url}/this-computer`);
  await page
    .getByRole('combobox', { name: 'Cases and drafts stay on computers' })
    .selectOption('while signed in');
});

test('an update waits while a leaf is written on, and comes with the next screen', async ({
  browser,
  server,
}) => {
  const pages = await standBefore(server.url);
  const page = await opensAlone(browser, pages.url, 'Odile Brandt');
  const waits = () =>
    page.evaluate(async () => {
      const [one] = await navigator.serviceWorker.getRegistrations();
      await one?.update();
      return one?.waiting !== null;
    });
  const mark = () => page.evaluate(() => Object.assign(window, { isOld: true }));
  const isOld = () => page.evaluate(() => 'isOld' in window);
  await openCase(page, /^Sorrel, tawny owl/);
  await mark();
  pages.begin();
  await expect.poll(waits).toBe(true);
  const second = await page.context().newPage();
  await second.goto(pages.url);
  await expect(second.getByRole('heading', { level: 1 })).toHaveText(/desk/);
  await second.getByRole('link', { name: 'Bank' }).click();
  await expect(second.getByRole('heading', { level: 1 })).toHaveText('The bank');
  await page.keyboard.type('In the middle of it.');
  expect(await isOld()).toBe(true);
  await saved(page);
  const opened = page.waitForEvent('load');
  await page.getByRole('link', { name: 'Bank' }).click();
  await opened;
  expect(await isOld()).toBe(false);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('The bank');
  await pages.stop();
});
