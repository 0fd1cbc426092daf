import type { Route } from '@playwright/test';
import { draftOf, expect, expectAccessible, openCase, test } from './test';

test('many at once: rows typed one after another, selected, tagged, moved, taken back, deleted and brought back', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  await page.getByRole('link', { name: 'Bank', exact: true }).click();
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Row by row' }).click();
  await page.getByLabel('Collection', { exact: true }).selectOption('Ward notes');
  await page.getByLabel('Title of row 1').focus();
  const rows: [string, string, string][] = [
    ['Night check', 'nck', 'Checked at midnight.'],
    ['Taken cue', 'adm', 'This cue is taken.'],
    ['Dawn check', 'dck', 'Checked at dawn.'],
  ];
  for (const [title, cue, wording] of rows) {
    await page.keyboard.type(title);
    await page.keyboard.press('Tab');
    await page.keyboard.type(cue);
    await page.keyboard.press('Tab');
    await page.keyboard.type(wording);
    await page.keyboard.press('Enter');
  }
  const list = page.getByRole('list', { name: 'Rows' });
  await expect(list.getByRole('link', { name: 'saved' })).toHaveCount(2);
  await expect(list).toContainText('already brings “Hedgehog admission”');
  await expectAccessible(page);
  // What was not kept is not lost by leaving.
  await page.keyboard.type('Half a title');
  await page.reload();
  await expect(page.getByLabel('Title of row 1')).toHaveValue('Taken cue');
  await expect(page.getByLabel('Title of row 2')).toHaveValue('Half a title');
  // It is kept, but the answer is lost on its way: sent again, it is the same entry.
  const lost = async (route: Route) => {
    await route.fetch();
    await route.abort();
  };
  await page.route('**/api/entries', lost, { times: 1 });
  await page.getByLabel('Cue of row 1').fill('tkn');
  await page.keyboard.press('Enter');
  await expect(list).toContainText('not saved');
  await page.getByLabel('Cue of row 1').press('Enter');
  await expect(list.getByRole('link', { name: 'saved' })).toHaveCount(1);

  await page.getByRole('link', { name: 'Bank', exact: true }).click();
  await page.getByRole('button', { name: 'Select several' }).click();
  for (const [title] of rows) await page.getByLabel(`Select ${title}`).check();
  const panel = page.getByRole('region', { name: 'Selected entries' });
  await expect(panel).toContainText('3 selected');
  await panel.getByLabel('Tag').fill('night');
  await page.keyboard.press('Enter');
  await expect(panel).toContainText('3 entries changed: tagged night.');
  const ward = page.getByRole('region', { name: 'Ward notes' });
  await expect(ward.getByRole('listitem').filter({ hasText: 'Dawn check' })).toContainText('night');
  await expectAccessible(page);
  await panel.getByRole('button', { name: 'Undo' }).click();
  await expect(ward.getByRole('listitem').filter({ hasText: 'Dawn check' })).not.toContainText('· night');
  // An arrow looks at the collections, and moves nothing.
  const moveTo = panel.getByLabel('Move to');
  await moveTo.focus();
  await page.keyboard.press('ArrowDown');
  await expect(panel).toContainText('Enter applies it; Esc cancels.');
  await page.keyboard.press('Escape');
  await expect(moveTo).toHaveValue('');
  // What is shared stays shared: one's own wording is no place for it.
  await expect(moveTo.getByRole('option', { name: 'Helpline replies (shared)' })).toBeAttached();
  await expect(moveTo.getByRole('option', { name: 'My own wording' })).toHaveCount(0);
  await panel.getByRole('button', { name: 'Delete' }).click();
  const ask = page.getByRole('alertdialog');
  await expect(ask).toContainText('Their cues become free: nck, tkn, dck');
  await expectAccessible(page);
  await ask.getByRole('button', { name: 'Delete', exact: true }).click();
  await expect(panel).toContainText('3 entries moved to the wastebasket.');
  await expect(ward).not.toContainText('Dawn check');

  await page.goto(new URL('/wastebasket', page.url()).href);
  await page.getByText('Show them').click();
  await page.getByRole('button', { name: 'Bring back Dawn check' }).click();
  await expect(page.getByText('“Dawn check” is back.')).toBeVisible();
  await expectAccessible(page);
  await page.getByLabel('Delete for good after').selectOption('a week');
  const inAWeek = new Date(Date.now() + 7 * 24 * 60 * 60 * 1000);
  const day = inAWeek.toLocaleDateString('en-GB', { day: 'numeric', month: 'short' });
  await expect(page.getByText(new RegExp(`deleted for good ${day}`))).toBeVisible();
});

test('an entry copied without its cue, made from what was copied, deleted and undone; a draft put away and taken back', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  await page.goto(new URL('/bank/wound', page.url()).href);
  await page.getByRole('button', { name: 'Copy the entry' }).click();
  await expect(page.getByRole('textbox', { name: 'Title' })).toHaveValue('Wound cleaned, a copy');
  await expect(page.getByText('The cue stays with the first')).toBeVisible();
  await expect(page.getByRole('group', { name: /^Cue/ })).toHaveCount(0);
  await page.keyboard.press('F9');
  const whole = page.getByRole('region', { name: 'This entry' });
  await whole.getByRole('button', { name: 'Take out of use' }).click();
  await whole.getByRole('button', { name: 'Undo' }).click();
  await whole.getByRole('combobox', { name: 'Move to' }).selectOption({ label: 'Helpline replies (shared)' });
  const moved = page
    .getByRole('status')
    .filter({ hasText: '“Wound cleaned, a copy” moved to “Helpline replies”.' });
  await moved.getByRole('button', { name: 'Undo' }).click();
  await expect(moved).toHaveCount(0);
  await whole.getByRole('button', { name: 'Delete the entry' }).click();
  await page.getByRole('alertdialog').getByRole('button', { name: 'Delete', exact: true }).click();
  await expect(page.getByText('“Wound cleaned, a copy” moved to the wastebasket.')).toBeVisible();
  await expect(page.getByRole('link', { name: /Wound cleaned, a copy/ })).toHaveCount(0);

  await page.evaluate(() => navigator.clipboard.writeText('The owl flew well on its last day.'));
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Paste as a new entry' }).click();
  await expect(page.getByRole('textbox', { name: 'Wording', exact: true })).toContainText(
    'The owl flew well',
  );
  await expect(page.getByRole('textbox', { name: 'Title' })).not.toHaveValue('');

  await page.goto(new URL('/', page.url()).href);
  await openCase(page, /Keel/);
  await page.keyboard.type('Looked in on it.');
  await page.keyboard.press('F2');
  await page.keyboard.type('Delete this draft');
  await page.keyboard.press('Enter');
  const told = page.getByRole('status').filter({ hasText: 'Your draft is in the wastebasket.' });
  await told.getByRole('button', { name: 'Undo' }).click();
  await expect(told).toBeHidden();
  await openCase(page, /Keel/);
  await expect(draftOf(page)).toContainText('Looked in on it.');
});
