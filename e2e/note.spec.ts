import fs from 'node:fs';
import { draftOf, expect, expectAccessible, openCase, pressKeys, test, words } from './test';

test('a ward note, from the desk to the finished text, by keyboard alone', async ({ signedIn }) => {
  const page = await signedIn('Imke Tarrow');
  const { keyboard } = page;
  const press = (...keys: string[]) => pressKeys(page, keys);

  // The desk: to the hedgehog's admission.
  await page.getByRole('link', { name: /Bramble/ }).focus();
  await press('Enter');
  await expect(draftOf(page)).toBeFocused();
  const record = page.getByRole('region', { name: 'Record', exact: true });
  // Folded it says what matters, and opens by a key while the caret stays.
  await expect(record).toContainText(/hedgehog, female, .+Overdue: /);
  await press('Alt+c');
  await expect(record).toContainText('Levamisole');
  await expect(record).toContainText('512 g');
  await expect(record.getByRole('table', { name: 'Weights over time' })).toBeAttached();
  await expect(draftOf(page)).toBeFocused();
  await press('Alt+c');
  await expect(record.getByRole('table')).toHaveCount(0);

  // A cue: the wording stands at once, details answered, the caret on the first gap.
  await keyboard.type('Seen at noon. ,adm');
  const blank = page.getByRole('region', { name: 'Current blank' });
  await expect(blank).toContainText('How was it found?');
  await expect
    .poll(() => words(page))
    .toMatch(/^Seen at noon. Bramble, a female hedgehog, was admitted on .+ weighing 412 g\./);
  await expect(page.getByRole('region', { name: 'Placed wording' })).toContainText(
    /Measurement, \d+ days ago/,
  );
  await press('2', 'Tab');
  await expect(blank).toContainText('How was it on arrival?');
  await press('q', 'Tab', 't', 'f', 'Tab');
  await keyboard.type('rest and fluids.');
  await press('Enter');
  await keyboard.type(' Rang the finder.');
  await expect
    .poll(() => words(page))
    .toContain(
      'The animal was caught in netting and was quiet but responsive on arrival. Examination found ticks and fleas.',
    );
  await expect.poll(() => words(page)).toContain('Plan: rest and fluids. Rang the finder.');

  // Back to an answer later: step onto the blank and change it; the sentence follows.
  await press('Shift+Tab', 'Shift+Tab', 'Shift+Tab');
  await expect(blank).toContainText('How was it on arrival?');
  await press('w', 'Shift+Tab', '1');
  await press('Escape');
  await expect
    .poll(() => words(page))
    .toContain('was out in daylight and was weak and slow to curl on arrival');

  // The finder, misspelt: placed at the caret, at the text's end.
  await press('Control+End', 'Enter', 'F2');
  await expect(page.getByRole('combobox')).toBeFocused();
  await keyboard.type('handlign');
  await expect(page.getByRole('option', { name: /Keep handling/ })).toBeVisible();
  await press('Enter');
  await expect(draftOf(page)).toBeFocused();
  await expect.poll(() => words(page)).toContain('Handling is kept to a minimum');

  // Capture: select, F4, Enter; no particular of this animal gets into the bank.
  await press('Enter');
  await keyboard.type('Bramble weighs 512 g now and was moved to the outdoor pen.');
  await press('Shift+Home', 'F4');
  const slip = page.getByRole('form', { name: 'Save wording' });
  await expect(slip.getByRole('checkbox', { name: /Bramble/ })).toBeChecked();
  await expect(slip.getByRole('checkbox', { name: /512 g/ })).toBeChecked();
  await slip.getByRole('textbox', { name: 'Title' }).fill('Moved outdoors');
  await slip.getByRole('textbox', { name: /^Cue/ }).fill('mvo');
  await press('Enter');
  await expect(page.getByRole('complementary')).toContainText('Type ,mvo to place it');
  await expect(draftOf(page)).toBeFocused();
  await press('Control+End', 'Enter');
  await keyboard.type(',mvo');
  await expect
    .poll(() => words(page))
    .toMatch(/the outdoor pen\.\nBramble weighs 512 g now and was moved to the outdoor pen\.$/);

  // The bank, narrowed; the entry changed, saved, and its first revision brought back.
  await press('F2');
  await keyboard.type('open the bank');
  await press('Enter');
  await page.getByRole('searchbox', { name: 'Search titles, wordings and cues' }).focus();
  await keyboard.type('outdoor');
  await expect(page.getByRole('link', { name: /Moved outdoors/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /Fluids given/ })).toBeHidden();
  await page.getByRole('link', { name: /Moved outdoors/ }).focus();
  await press('Enter');
  const wording = page.getByRole('textbox', { name: 'Wording' });
  await wording.focus();
  await press('Control+End');
  await keyboard.type(' It ate well there.');
  await expect(page.getByRole('region', { name: 'How it reads' })).toContainText('It ate well there.');
  await page.getByRole('textbox', { name: 'Reason for the change' }).focus();
  await keyboard.type('Say how it settled');
  await press('F9');
  const history = page.getByRole('region', { name: 'History' });
  await expect(history).toContainText('Say how it settled');
  await history.getByRole('button', { name: /Revision 1/ }).focus();
  await press('Enter');
  await history.getByRole('button', { name: 'Bring this revision back' }).focus();
  await press('Enter', 'F9');
  await expect(history).toContainText('Revision 1 brought back');
  await expect(wording).not.toContainText('It ate well there.');

  // The draft again: a gap holds it back, is walked to, answered; then it is finished, taken away, reopened.
  await page.getByRole('link', { name: 'Desk' }).focus();
  await press('Enter');
  await page.getByRole('link', { name: /Bramble/ }).focus();
  await press('Enter');
  await expect(draftOf(page)).toBeFocused();
  await press('Control+End');
  await keyboard.type(' ,app');
  await press('Escape', 'Control+Home', 'F9');
  await expect(page.getByRole('list', { name: 'Gaps' }).getByRole('listitem')).toHaveCount(2);
  await expect(blank).toContainText('How much was eaten overnight?');
  await press('e', 'F8', 'n', 'F9');
  const finished = page.getByRole('region', { name: 'Finished' });
  await expect(finished).toBeVisible();
  await finished.getByRole('button', { name: 'Copy', exact: true }).focus();
  await press('Enter');
  await expect(finished).toContainText('Copied');
  const copied = await page.evaluate(async () => {
    const [item] = await navigator.clipboard.read();
    return {
      html: await (await item!.getType('text/html')).text(),
      text: await navigator.clipboard.readText(),
    };
  });
  expect(copied.html).toContain('<strong>Plan:</strong> rest and fluids.');
  expect(copied.text).toContain('Plan: rest and fluids. Rang the finder.');
  for (const [label, ending, start] of [
    ['Word document', 'docx', 'PK'],
    ['Markdown', 'md', 'Seen at noon. Bramble'],
    ['Web page', 'html', '<!doctype html>'],
    ['Plain text', 'txt', 'Seen at noon. Bramble'],
  ] as const) {
    const coming = page.waitForEvent('download');
    await finished.getByRole('button', { name: 'Download' }).focus();
    await press('Enter');
    await page.getByRole('menuitem', { name: label }).focus();
    await press('Enter');
    const download = await coming;
    expect(download.suggestedFilename()).toBe(`Bramble, hedgehog HH-1186.${ending}`);
    expect(fs.readFileSync(await download.path(), 'latin1').startsWith(start)).toBe(true);
  }
  await press('F9');
  await expect(draftOf(page)).toBeFocused();
  await expect(finished).toBeHidden();
});

test('kept again under the same title it is asked whether to replace; kept in a collection made on the spot', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  await openCase(page, /Keel/);
  const slip = page.getByRole('form', { name: 'Save wording' });
  const capture = async (words: string) => {
    await page.keyboard.type(words);
    await pressKeys(page, ['Shift+Home', 'F4']);
    await expect(slip).toBeVisible();
    await slip.getByLabel('Title').fill('Wing looked at');
  };
  await capture('The wing was looked at.');
  await slip.getByLabel('Collection').selectOption('a new collection');
  await slip.getByLabel('Its name').fill('Wings');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('complementary')).toContainText('Saved: “Wing looked at”');
  await pressKeys(page, ['Control+End', 'Enter']);
  await capture('The wing was looked at twice.');
  await expect(slip).toContainText('“Wing looked at” is in the bank already.');
  await expectAccessible(page);
  await slip.getByRole('button', { name: 'Put this in place of its wording' }).click();
  await expect(slip).toBeHidden();
  await page.getByRole('link', { name: 'Bank', exact: true }).click();
  await page
    .getByRole('region', { name: 'Collections' })
    .getByRole('link', { name: /^Wings/ })
    .click();
  const wings = page.getByRole('region', { name: 'Wings' });
  await expect(wings.getByRole('listitem')).toHaveCount(1);
  await expect(wings).toContainText('The wing was looked at twice.');
});
