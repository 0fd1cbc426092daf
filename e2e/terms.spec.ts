import type { Page } from '@playwright/test';
import { expect, expectAccessible, test } from './test';

/** Asks for every place of a term, and waits until they are shown. */
async function show(page: Page, from: string, to: string): Promise<void> {
  await page.getByRole('textbox', { name: 'These words' }).fill(from);
  await page.getByRole('textbox', { name: 'Become' }).fill(to);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('status').filter({ hasText: / in .+ entr|stands in none/ })).toBeVisible();
}

test('a term changed everywhere: every place shown, one left, the others changed, and all of it taken back', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  await page.keyboard.press('F2');
  await page.keyboard.type('change a term');
  await page.keyboard.press('Enter');
  await show(page, 'hedgehog', 'urchin');
  await expect(page.locator('ins').first()).toHaveText(/^(an )?urchins?$/i);
  await expectAccessible(page);
  const ticks = page.getByRole('list', { name: /^In / }).getByRole('checkbox');
  const all = await ticks.count();
  expect(all).toBeGreaterThan(5);
  await ticks.first().uncheck();
  await page.getByRole('button', { name: `Change ${all - 1} places` }).click();
  await expect(page.getByRole('status').filter({ hasText: 'entries changed' })).toBeVisible();
  await show(page, 'urchin', 'hedgehog');
  await expect(ticks).toHaveCount(all - 1);
  await page.getByRole('button', { name: `Change ${all - 1} places` }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await show(page, 'hedgehog', 'urchin');
  await expect(ticks).toHaveCount(1);
});

test('what one does not keep is proposed, and withdrawn by the undo', async ({ signedIn }) => {
  const [desta, imke] = [await signedIn('Desta Wynne'), await signedIn('Imke Tarrow')];
  await desta.goto(new URL('/order/term', desta.url()).href);
  await show(desta, 'hedgehog', 'urchin');
  const ward = desta.getByRole('listitem').filter({ hasText: 'to be proposed to its keepers' });
  await expect(ward.first()).toBeVisible();
  await desta.getByRole('button', { name: /^Change/ }).click();
  await expect(desta.getByRole('status').filter({ hasText: 'proposed' })).toBeVisible();
  await imke.goto(new URL('/proposals', imke.url()).href);
  await expect(imke.getByText('“hedgehog” is “urchin” now').first()).toBeVisible();
  await desta.getByRole('button', { name: 'Undo' }).click();
  await imke.reload();
  await expect(imke.getByRole('heading', { name: 'Proposals' })).toBeVisible();
  await expect(imke.getByText('“hedgehog” is “urchin” now')).toHaveCount(0);
});
