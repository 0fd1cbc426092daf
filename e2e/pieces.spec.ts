import type { Page } from '@playwright/test';
import { draftOf, expect, expectAccessible, openCase, test } from './test';

test('a shared opening: found, made one piece for all, and taken apart again', async ({ signedIn }) => {
  const page = await signedIn('Imke Tarrow');
  await page.goto(new URL('/order', page.url()).href);
  const section = page.getByRole('region', { name: 'Shared openings and closings' });
  await section.getByRole('button', { name: 'Find them' }).click();
  await expect(section).toContainText('Begins 5 entries of Helpline replies');
  await expectAccessible(page);
  await section.getByRole('button', { name: 'Make one entry of it for all' }).click();
  await expect(section.getByRole('status').filter({ hasText: '5 entries hold' })).toBeVisible();
  const visiting = await page.context().newPage();
  await visiting.goto(new URL('/bank/visiting', page.url()).href);
  const wording = visiting.getByRole('textbox', { name: 'Wording', exact: true });
  await expect(wording).toContainText('“Dear”');
  await section.getByRole('button', { name: 'Undo' }).click();
  await expect(section.getByRole('button', { name: 'Make one entry of it for all' })).toBeVisible();
  await expect(wording).not.toContainText('“Dear”');
});

/** Places the opening hours in a case, and drops their last two words. */
async function placeShortened(page: Page, of: RegExp): Promise<void> {
  await openCase(page, of);
  const saved = page.waitForResponse((response) => {
    const sent = response.request().postData() ?? '';
    return sent.includes('so that the animals') && !sent.includes('the animals c');
  });
  await page.keyboard.type(';hrs ');
  await expect(draftOf(page)).toContainText('can rest.');
  // A Backspace right after the cue would give back what was typed; what is typed behind it is parted from it by a space.
  await page.keyboard.type('x');
  for (let letter = 0; letter < 'can rest. x'.length; letter += 1) await page.keyboard.press('Backspace');
  await saved;
}

test('what is changed after placing in several cases: told in the wording, made so, and taken back', async ({
  signedIn,
}) => {
  const page = await signedIn('Anouk Fell');
  await placeShortened(page, /Wants to volunteer/);
  await page.getByRole('link', { name: 'Desk' }).click();
  await placeShortened(page, /Owlet/);
  await page.goto(new URL('/order', page.url()).href);
  const section = page.getByRole('region', { name: 'Changed after placing' });
  await section.getByRole('button', { name: 'Find changes' }).click();
  const changed = section.getByRole('list', { name: 'Changed in Opening hours' });
  await expect(changed.locator('del')).toHaveText(/can rest\.?/);
  await expect(changed).toContainText('2 of 2 drop this');
  await expectAccessible(page);
  await changed.getByRole('button', { name: 'Change the entry' }).click();
  await expect(section.getByRole('status').filter({ hasText: 'reads so now' })).toBeVisible();
  await section.getByRole('button', { name: 'Undo' }).click();
  await expect(changed).toBeVisible();
});
