import { expect, expectAccessible, test } from './test';

test('the sheet: narrowed, its columns chosen, an entry changed in place, copied as a table, printed', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  await page.context().grantPermissions(['clipboard-read', 'clipboard-write']);
  await page.getByRole('link', { name: 'Bank', exact: true }).click();
  const ward = page.getByRole('region', { name: 'Ward notes' });
  await expect(ward.getByRole('link', { name: /Fit for release/ })).toBeVisible();
  // An entry that holds another is read with its words.
  await page.getByRole('searchbox').fill('whole comment');
  await expect(page.getByRole('link', { name: /Survey report, whole comment/ })).toContainText(
    'The sketch map is a pleasure to use',
  );
  await page.getByRole('searchbox').fill('');
  await page.getByText('Filter', { exact: true }).click();
  await page.getByRole('combobox', { name: 'Kind of work' }).selectOption('Ward notes');
  await page.getByRole('combobox', { name: 'Tag' }).selectOption('discharge');
  await expect(ward.getByTitle(/^Saved/)).toHaveCount(3);
  await expect(page.getByText('2 filters')).toBeVisible();
  await expectAccessible(page);
  // What was looked for is there when one comes back from an entry.
  await page.getByRole('searchbox').fill('release');
  await expect(ward.getByTitle(/^Saved/)).toHaveCount(1);
  await ward.getByRole('link', { name: /Fit for release/ }).click();
  await expect(page.getByRole('textbox', { name: 'Title' })).toHaveValue('Fit for release');
  await page.goBack();
  await expect(page.getByRole('searchbox')).toHaveValue('release');
  await expect(ward.getByTitle(/^Saved/)).toHaveCount(1);
  await page.getByRole('searchbox').fill('');
  await page.getByText('Columns').click();
  await page.getByRole('checkbox', { name: 'How often it was placed' }).check();
  await expect(ward.getByText('never placed')).toHaveCount(3);
  await page.getByRole('checkbox', { name: 'Close together' }).check();
  await page.getByRole('button', { name: 'Copy as a table' }).click();
  await expect(page.getByText('3 entries are copied as a table.')).toBeVisible();
  const text = await page.evaluate(() => navigator.clipboard.readText());
  expect(text.split('\n')[0]).toBe('Collection\tCue\tTitle\tWording\tWhen to use it\tTags');
  expect(text).toContain('Ward notes\t,rel\tFit for release\tAfter [Days in care] in care');
  await page.getByRole('button', { name: 'Change Fit for release here' }).click();
  const row = page.getByRole('form', { name: 'Change Fit for release' });
  await row.getByRole('textbox', { name: 'Title' }).fill('Fit to go');
  await row.getByRole('textbox', { name: 'Wording' }).press('Control+End');
  await page.keyboard.type(' Ring us then.');
  await page.keyboard.press('Control+Enter');
  await expect(row).toHaveCount(0);
  await expect(ward.getByRole('link', { name: /Fit to go/ })).toContainText('Ring us then.');
  await page.getByRole('link', { name: 'Print it' }).click();
  const paper = page.getByRole('main', { name: 'As it is printed' });
  await expect(paper.getByRole('heading', { name: /^Fit to go/ })).toBeVisible();
  await expect(paper.getByRole('article')).toHaveCount(3);
  await expect(paper.getByRole('term').filter({ hasText: ',rel' })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('combobox', { name: 'Print' }).selectOption('a card of my cues, on one page');
  await expect(paper.getByRole('heading', { level: 1 })).toHaveText('Cues of Imke Tarrow');
});
