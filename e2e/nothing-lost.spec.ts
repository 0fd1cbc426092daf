import type { Page } from '@playwright/test';
import { keptPaths } from './keptHere';
import { draftOf, expect, openCase, test, words } from './test';

test('with the server killed while typing, the page says so, keeps all, and goes on', async ({
  server,
  signedIn,
}) => {
  const page = await signedIn('Odile Brandt');
  await openCase(page, /Sorrel/);
  await page.keyboard.type('Wing strapped. ');
  await expect(page.getByRole('status', { name: 'Saving' })).toHaveText('Saved');
  const typing = page.keyboard.type('Eyes clear, both pupils react, feeds from the tongs.', { delay: 15 });
  await server.kill();
  await typing;
  await expect(page.getByRole('alert')).toContainText('The server cannot be reached');
  await page.keyboard.type(' Weigh again tonight.');
  await server.again();
  await expect(page.getByRole('alert')).toBeHidden();
  await expect(page.getByRole('status', { name: 'Saving' })).toHaveText('Saved');
  await page.reload();
  const all = 'Wing strapped. Eyes clear, both pupils react, feeds from the tongs. Weigh again tonight.';
  await expect.poll(() => words(page)).toBe(all);
});

test(
  'a tab closed while the server is down keeps its text for the next time',
  { tag: '@alone' },
  async ({ server, signedIn }) => {
    const page = await signedIn('Odile Brandt');
    await openCase(page, /Sorrel/);
    const { url } = server;
    await page.keyboard.type('First line.');
    await expect(page.getByRole('status', { name: 'Saving' })).toHaveText('Saved');
    await server.kill();
    await page.keyboard.type(' Typed into the dark.');
    const next = await page.context().newPage();
    await page.close({ runBeforeUnload: true });
    await server.again();
    await next.goto(`${url}/cases/owl-sorrel`);
    await expect.poll(() => words(next)).toBe('First line. Typed into the dark.');
    await expect(next.getByRole('status', { name: 'Saving' })).toHaveText('Saved');
  },
);

test('a session that runs out in the middle of a draft: sign in beside it and go on', async ({
  signedIn,
}) => {
  const page = await signedIn('Odile Brandt');
  await openCase(page, /Keel/);
  await page.context().clearCookies();
  await page.keyboard.type('Line cut from the leg.');
  const told = page.getByRole('alert');
  await expect(told).toContainText('Your session has run out');
  await expect(told).toContainText('saved on this computer');
  await told.getByRole('button', { name: 'Odile Brandt' }).click();
  await expect(page.getByRole('status', { name: 'Saving' })).toHaveText('Saved');
  await expect.poll(() => words(page)).toBe('Line cut from the leg.');
});

test('a leaf opened again while its last words are on their way has them, though the server answered before they came', async ({
  signedIn,
}) => {
  const page = await signedIn('Odile Brandt');
  await openCase(page, /Sorrel/);
  let answered = (): void => undefined;
  const isAnswered = new Promise<void>((tell) => (answered = tell));
  await page.route('**/api/drafts/*', async (route) => {
    if (route.request().method() === 'PUT') await isAnswered;
    await route.continue();
  });
  const saved = page.waitForResponse((response) => response.request().method() === 'PUT');
  await page.route('**/api/cases/owl-sorrel/drafts', async (route) => {
    if (route.request().method() !== 'POST') return route.continue();
    const answer = await route.fetch();
    answered();
    await (await saved).finished();
    await route.fulfill({ response: answer });
  });
  await page.keyboard.type('Wing strapped.');
  await page.getByRole('link', { name: 'Desk' }).click();
  await openCase(page, /Sorrel/);
  expect(await words(page)).toBe('Wing strapped.');
  await page.keyboard.type('Eyes clear. ');
  await expect(page.getByRole('status', { name: 'Saving' })).toHaveText('Saved');
});

/** A member's draft in two windows. */
async function inTwoWindows(first: Page): Promise<Page> {
  await openCase(first, /Dune/);
  const second = await first.context().newPage();
  await second.goto(first.url());
  await expect(draftOf(second)).toBeFocused();
  return second;
}

test('a draft in two windows: each goes on from what is written in the other, with its own caret and undo, and is finished with it', async ({
  signedIn,
}) => {
  const first = await signedIn('Imke Tarrow');
  const second = await inTwoWindows(first);
  await draftOf(first).press('Control+a');
  await first.keyboard.press('Delete');
  await first.keyboard.type('It ate.');
  await expect.poll(() => words(second)).toBe('It ate.');
  await draftOf(second).press('Control+Home');
  // At once: typed slowly, it would be two steps for undo.
  await second.keyboard.insertText('Seen at noon. ');
  await expect.poll(() => words(first)).toBe('Seen at noon. It ate.');
  // The caret is where it was, behind the last word, and what is typed comes there.
  await first.keyboard.type(' It slept.');
  await expect.poll(() => words(second)).toBe('Seen at noon. It ate. It slept.');
  await second.keyboard.press('Control+z');
  await expect.poll(() => words(first)).toBe('It ate. It slept.');
  await first.keyboard.press('F9');
  await expect(second.getByRole('button', { name: 'Reopen' })).toBeVisible();
  await expect(second.getByRole('alert')).toHaveCount(0);
  await second.getByRole('button', { name: 'Reopen' }).click();
  await expect(first.getByRole('button', { name: /^Finish/ })).toBeVisible();
  await expect(second.getByRole('alert')).toHaveCount(0);
  await expect(first.getByRole('alert')).toHaveCount(0);
});

test('a draft in two windows, and one of them without the server: it is told, and either text can be kept', async ({
  signedIn,
}) => {
  const [first, second] = [await signedIn('Imke Tarrow'), await signedIn('Imke Tarrow')];
  await openCase(first, /Dune/);
  await openCase(second, /Dune/);
  await second.context().setOffline(true);
  await draftOf(second).press('Control+a');
  await second.keyboard.press('Delete');
  await second.keyboard.type('From the second');
  const told = second.getByRole('alert');
  await expect(told.filter({ hasText: 'The server cannot be reached' })).toBeVisible();
  const saved = first.waitForResponse(
    (answer) => answer.request().postData()?.includes('From the first window.') === true,
  );
  await draftOf(first).press('Control+a');
  await first.keyboard.press('Delete');
  await first.keyboard.type('From the first window.');
  await saved;
  await second.context().setOffline(false);
  await expect(told).toContainText('From the first window.');
  // What is typed right before is a step of its own for undo.
  await second.keyboard.type(' window.');
  await told.getByRole('button', { name: 'Take the other' }).click();
  await expect.poll(() => words(second)).toBe('From the first window.');
  await draftOf(second).press('Control+z');
  await expect.poll(() => words(second)).toBe('From the second window.');
  await expect(second.getByRole('status', { name: 'Saving' })).toHaveText('Saved');
});

test('a page opens with the bank this browser kept, before the server has answered; signing out takes it away', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  await openCase(page, /Dune/);
  await expect.poll(() => keptPaths(page)).toContain('/api/bank');
  // The server takes its time over the bank.
  await page.route('**/api/bank', () => undefined);
  await page.reload();
  await expect(draftOf(page)).toBeFocused();
  await page.keyboard.type(',wt');
  await expect.poll(() => words(page)).toContain('19.1 kg');
  await page.getByRole('button', { name: 'Imke Tarrow' }).click();
  await page.getByRole('menuitem', { name: 'Sign out' }).click();
  await expect(page.getByRole('button', { name: 'Odile Brandt' })).toBeVisible();
  expect(await keptPaths(page)).toEqual([]);
});
