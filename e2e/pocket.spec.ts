import { draftOf, expect, expectAccessible, openCase, pressKeys, test, words } from './test';

test('the pocket: a cue, an answer and one key bring subject and message into another program, without a connection too', async ({
  signedIn,
}) => {
  const page = await signedIn('Anouk Fell');
  const copied = () => page.evaluate(() => navigator.clipboard.readText());
  await page.context().grantPermissions(['clipboard-read', 'clipboard-write']);
  // It speaks of the case that was opened last, where that is wanted.
  await openCase(page, /Draenog allan/);
  await page.setViewportSize({ width: 360, height: 640 });
  await page.goto(new URL('/pocket', page.url()).href);
  await expect(draftOf(page)).toBeFocused();
  await expectAccessible(page);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(360);

  await page.keyboard.type(';hog ');
  await expect.poll(() => words(page)).toContain('A hedgehog out by day');
  await page.keyboard.press('Alt+Enter');
  await expect(page.getByRole('alert')).toContainText('One gap is left');
  await page.keyboard.type('Petra');
  await page.keyboard.press('Alt+Enter');
  await expect(page.getByRole('status').filter({ hasText: 'Copied the text.' })).toBeVisible();
  expect(await copied()).toContain('Dear Petra,');

  await page.getByLabel(/^Fill in from the case I have open/).check();
  await expect(page.getByText('Fill in from the case I have open: Draenog allan')).toBeVisible();
  await page.keyboard.press('Alt+n');
  await expect.poll(() => words(page)).toBe('');
  await page.keyboard.type(';reply ');
  await expect(page.getByRole('group', { name: 'Subject' })).toContainText('Eich draenog');
  await pressKeys(page, ['n', 'Enter']);
  await page.keyboard.press('Alt+Enter');
  await expect(page.getByText('Copied Subject. The same key copies the text.')).toBeVisible();
  expect(await copied()).toBe('Eich draenog yn Lôn y Wern');
  await page.keyboard.press('Alt+Enter');
  await expect(page.getByText('Copied the text.')).toBeVisible();
  expect(await copied()).toContain('Gwenno Pryce');
  await page.reload();
  await expect.poll(() => words(page)).toContain('Gwenno Pryce');

  await page.context().setOffline(true);
  await page.keyboard.press('Alt+n');
  await page.keyboard.press('F2');
  await expect(page.getByRole('combobox')).toBeFocused();
  await page.keyboard.type('hedgehog seen');
  await page.keyboard.press('Enter');
  await expect.poll(() => words(page)).toContain('A hedgehog out by day');
  await expectAccessible(page);
  await page.context().setOffline(false);
});
