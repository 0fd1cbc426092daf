import type { Page } from '@playwright/test';
import { expect, expectAccessible, test } from './test';

/** Asks for every place of a term, and waits until they are shown. */
async function show(page: Page, from: string, to: string): Promise<void> {
  await page.getByRole('textbox', { name: 'Find', exact: true }).fill(from);
  await page.getByRole('textbox', { name: 'Replace with' }).fill(to);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('status').filter({ hasText: / in .+ entr|was not found in/ })).toBeVisible();
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
  // Gone elsewhere and come back, the undo is still there.
  await page.getByRole('link', { name: 'Desk' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: 'Undo' })).toHaveCount(0);
  await page.keyboard.press('F2');
  await page.keyboard.type('change a term');
  await page.keyboard.press('Enter');
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

test('house style: settled, pointed out while an entry is written, and over the whole bank', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  await page.keyboard.press('F2');
  await page.keyboard.type('house style');
  await page.keyboard.press('Enter');
  await page.getByRole('textbox', { name: 'We say' }).fill('hedgehog');
  await page.getByRole('textbox', { name: /^Not/ }).fill('hoglet, hog');
  await page.getByRole('textbox', { name: 'Reason' }).fill('Callers know this word');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('list', { name: 'House style' }).getByRole('listitem')).toHaveCount(1);
  await expectAccessible(page);
  const words = page.url();
  await page.goto(new URL('/bank/new', words).href);
  await page.getByRole('textbox', { name: 'Title' }).fill('Night feed');
  await page.getByRole('textbox', { name: 'Wording', exact: true }).click();
  await page.keyboard.type('Odile fed the hoglets at two.');
  const pointed = page.getByRole('region', { name: 'Pointed out' });
  await expect(pointed).toContainText('Callers know this word');
  await pointed.getByRole('button', { name: 'Say “hedgehogs”' }).click();
  await expect(pointed).not.toContainText('hoglets');
  await pointed
    .getByRole('listitem')
    .filter({ hasText: 'Odile' })
    .getByRole('button', { name: 'Make it a field' })
    .click();
  await expect(pointed).toHaveCount(0);
  await page.getByRole('combobox', { name: 'Collection' }).selectOption({ label: 'Ward notes' });
  await page.getByRole('textbox', { name: 'Title' }).fill('Hog at night');
  await expect(pointed.getByRole('button', { name: 'Say “Hedgehog”' })).toBeVisible();
  await page.keyboard.press('F9');
  await expect(page.getByRole('status').filter({ hasText: 'Saved as revision 1' })).toBeVisible();
  await page.goto(words);
  await page.getByRole('button', { name: 'Check the bank' }).click();
  const places = page.getByRole('list', { name: 'In Hog at night' });
  await expect(places.getByRole('checkbox')).toHaveCount(1);
  await page.getByRole('button', { name: 'Change one place' }).click();
  await page.getByRole('button', { name: 'Check again' }).click();
  await expect(page.getByText(/House style is followed in all/)).toBeVisible();
  await page.getByRole('button', { name: 'Close' }).click();
  await page.getByRole('button', { name: 'Remove hedgehog' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('list', { name: 'House style' }).getByRole('listitem')).toHaveCount(1);
});

test('what grows old: facts found, given a day, due on it, said to be right, and taken back', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  await page.goto(new URL('/order/ageing', page.url()).href);
  await page.getByRole('button', { name: 'Find facts' }).click();
  await expect(page.getByRole('list', { name: /^Facts in/ }).first()).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('checkbox', { name: 'Give Visiting the hospital a day' }).uncheck();
  await expect(page.getByLabel('Review again on')).toHaveCount(0);
  await page.getByRole('checkbox', { name: 'Give Visiting the hospital a day' }).check();
  await page.getByLabel('Review again on').fill('2026-01-31');
  await page.getByRole('button', { name: 'Give one entry this day' }).click();
  const days = page.getByRole('list', { name: 'Review dates' });
  await expect(days.getByRole('listitem')).toContainText('due since');
  await days.getByRole('button', { name: /is still right$/ }).click();
  await page
    .getByRole('status')
    .filter({ hasText: 'is due again' })
    .getByRole('button', { name: 'Undo' })
    .click();
  await expect(days.getByRole('button', { name: /is still right$/ })).toBeVisible();
  await page.getByRole('link', { name: 'Desk', exact: true }).click();
  await page.getByRole('link', { name: 'one review due' }).click();
  await days.getByRole('link').click();
  await page.getByRole('button', { name: 'It is still right' }).click();
  await expect(page.getByRole('region', { name: 'Review' })).toContainText('Again on');
});

test('a glossary of one’s own: a word list taken over, its faults told, terms changed and given back', async ({
  signedIn,
}) => {
  const page = await signedIn('Ruan Pellow');
  await page.getByRole('link', { name: 'Bank', exact: true }).click();
  await page.getByRole('link', { name: 'Glossaries', exact: true }).click();
  await expect(page.getByRole('link', { name: /General English/ })).toBeVisible();
  await expectAccessible(page);
  await page.getByLabel('New glossary').fill('Interviews');
  await page.keyboard.press('Enter');
  await page.getByLabel(/^One term a line/).fill('reed cutter\trc\t5\nWarden Ossick\nsluice\t\tmany\n');
  await page.getByRole('button', { name: 'Bring in', exact: true }).click();
  await expect(page.getByText('2 new, 0 changed, 0 gone.')).toBeVisible();
  await expect(page.getByText('Line 3 was left out: a rank is a whole number from 0 to 1000.')).toBeVisible();
  await page.getByRole('button', { name: 'reed cutter', exact: true }).click();
  await page.getByRole('form', { name: 'Term' }).getByLabel('Cue').fill('rcu');
  await page.getByRole('form', { name: 'Term' }).getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('rcu')).toBeVisible();
  await expectAccessible(page);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save it as a file' }).click();
  expect((await download).suggestedFilename()).toBe('Interviews.tsv');
  const removed = page.getByRole('button', { name: 'Remove Warden Ossick' });
  await removed.press('Enter');
  await expect(page.getByText('“Warden Ossick” is removed.')).toBeVisible();
  await expect(removed).toBeHidden();
  await page.getByRole('button', { name: 'Undo' }).press('Enter');
  await expect(removed).toBeVisible();
});
