import { draftOf, expect, expectAccessible, openCase, test } from './test';

test('a cue out of reach says so and is placed once; a slip left half-filled is there again, with its clash told', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  const { keyboard } = page;
  await openCase(page, /Bramble/);
  await keyboard.press('Control+End');
  await keyboard.press('Enter');
  await keyboard.type(';eff ');
  const away = page.getByRole('status', { name: 'Out of reach' });
  await expect(away).toContainText('Field school comments is out of reach here');
  await expectAccessible(page);
  await away.getByRole('button', { name: 'Place it once' }).click();
  await keyboard.type(' Then.');
  await expect(draftOf(page)).toContainText('a count of none means nothing. Then.');

  await keyboard.press('Enter');
  await keyboard.type('No wound is open.');
  await keyboard.press('Shift+Home');
  await keyboard.press('F4');
  const slip = page.getByRole('form', { name: 'Save wording' });
  await slip.getByLabel(/^Cue/).fill('a');
  await expect(slip.getByRole('list', { name: 'Clashes of these cues' })).toContainText(
    ',a fires at once, so that ,adm',
  );
  await slip.getByRole('checkbox', { name: /No wound is open/ }).check();
  await page.getByRole('link', { name: 'Bank' }).click();
  await expect(page.getByRole('heading', { name: 'The bank' })).toBeVisible();
  await page.getByRole('link', { name: 'Desk' }).click();
  await page.getByRole('link', { name: /Bramble/ }).click();
  await expect(slip.getByLabel(/^Cue/)).toHaveValue('a');
  await expect(slip.getByRole('checkbox', { name: /No wound is open/ })).toBeChecked();
  await expectAccessible(page);
  await slip.getByRole('button', { name: 'Wait for a space or Enter' }).first().click();
  await expect(slip.getByRole('list', { name: 'Clashes of these cues' }).getByRole('listitem')).toHaveCount(
    0,
  );
  await slip.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('complementary')).toContainText('Type ,a and Space to place it');
  await expect(slip).toHaveCount(0);
});

test('a choice of five hundred: pasted as lines, found by typing, walked by arrows, and the sentence goes on', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  const { keyboard } = page;
  await page.goto(new URL('/bank/new', page.url()).href);
  await page.getByRole('textbox', { name: 'Title' }).fill('Where seen');
  await page.getByRole('textbox', { name: 'Wording', exact: true }).click();
  await keyboard.type('Seen at calm');
  // A selection by keys and F4 after it, quicker than the browser tells the page of the selection.
  await page.evaluate(() => {
    document.getSelection()!.modify('extend', 'backward', 'word');
    document.activeElement!.dispatchEvent(new KeyboardEvent('keydown', { key: 'F4', bubbles: true }));
  });
  await page.getByLabel('Answer comes from').focus();
  await page.getByLabel('Answer comes from').selectOption('choice');
  await keyboard.press('Enter');
  const first = page.getByLabel('Option 1', { exact: true });
  await expect(first).toHaveValue('calm');
  const sites = Array.from(
    { length: 500 },
    (_, at) => `site ${at + 1} ${['marsh', 'quay', 'heath'][at % 3]}`,
  );
  await page.evaluate((text) => navigator.clipboard.writeText(text), sites.join('\n'));
  await first.press('End');
  await keyboard.press('Control+v');
  await expect(page.getByText('500 options were pasted.')).toBeVisible();
  await expect(page.getByLabel(/^One option a line/)).toHaveValue(/site 500 quay$/);
  await expectAccessible(page);
  await keyboard.press('F9');
  await expect(page.getByRole('status').filter({ hasText: 'Saved as revision 1' })).toBeVisible();

  await page.getByRole('link', { name: 'Desk' }).click();
  await openCase(page, /Bramble/);
  await keyboard.press('Control+End');
  await keyboard.press('Enter');
  await keyboard.press('F2');
  await keyboard.type('Where seen');
  await expect(page.getByRole('option', { name: /Where seen/ })).toBeVisible();
  await keyboard.press('Enter');
  const find = page.getByRole('combobox', { name: 'Find among 501 options' });
  await expect(find).toBeVisible();
  await keyboard.type('heath');
  await expect(find).toHaveValue('heath');
  await expect(page.getByRole('listbox', { name: 'Choose one' }).getByRole('option').first()).toHaveText(
    'site 3 heath',
  );
  await expectAccessible(page);
  await keyboard.press('ArrowDown');
  await keyboard.press('Enter');
  await keyboard.type(', at dusk');
  await expect(draftOf(page)).toContainText('site 6 heath');
  await expect(draftOf(page)).toContainText(', at dusk');
});
