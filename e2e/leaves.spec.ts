import { draftOf, expect, expectAccessible, openCase, pressKeys, test, words } from './test';

test('several leaves in a case, by keyboard: a copy that asks again what was so of that day, one called by name, one deleted and brought back', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  const { keyboard } = page;
  const lookUp = async (words: string) => {
    await keyboard.press('F2');
    await expect(page.getByRole('combobox')).toBeFocused();
    await keyboard.type(words);
    await keyboard.press('Enter');
  };
  const leaves = page.getByRole('navigation', { name: 'Leaves of this case' });
  const saved = () => expect(page.getByRole('status', { name: 'Saving' })).toHaveText('Saved');

  await openCase(page, /^Bramble, hedgehog/);
  await keyboard.type('Seen at noon. ,lv ');
  const statement = page.getByRole('region', { name: 'To be confirmed' });
  await page.locator('.to-confirm').first().click();
  await expect(statement).toBeVisible();
  const before = await page.locator('.to-confirm').count();
  await keyboard.press('Control+Enter');
  await expect(page.locator('.to-confirm')).toHaveCount(before - 1);
  await keyboard.press('Control+End');
  await saved();

  // Begun as a copy it has every word, and what was confirmed that day is asked of this one.
  const first = await words(page);
  await lookUp('as a copy of this one');
  await expect(page).toHaveURL(/leaves/);
  await expect(draftOf(page)).toBeFocused();
  expect(await words(page)).toBe(first);
  await expect(page.locator('.to-confirm')).toHaveCount(before);
  await keyboard.type('Of the second day.');
  await saved();
  await expect(leaves.getByRole('listitem')).toHaveCount(2);
  await expectAccessible(page);

  // Another, empty, and called by name; the first is as it was.
  await lookUp('Another leaf of this case');
  await expect(leaves.getByRole('listitem')).toHaveCount(3);
  await expect(draftOf(page)).toBeFocused();
  await keyboard.type('Home on Friday.');
  await expect(leaves.locator('[aria-current=page]')).toContainText('Home on Friday');
  await page.getByRole('button', { name: 'About this case' }).press('Enter');
  await page.getByRole('textbox', { name: 'Title of this leaf' }).fill('Discharge letter');
  await keyboard.press('Enter');
  await expect(leaves.locator('[aria-current=page]')).toContainText('Discharge letter');
  await leaves.getByRole('link').last().press('Enter');
  await expect(draftOf(page)).toBeFocused();
  expect(await words(page)).toBe(first);

  // Deleted it goes to the wastebasket, and is among the others again once it is brought back.
  await lookUp('Delete this draft');
  await expect(page.getByText('Your draft is in the wastebasket.')).toBeVisible();
  await expect(page.getByRole('link', { name: /^Bramble, hedgehog/ })).toContainText(
    '2 of 2 leaves unfinished',
  );
  await page.getByRole('button', { name: 'Undo' }).press('Enter');
  await expect(page.getByRole('link', { name: /^Bramble, hedgehog/ })).toContainText(
    '3 of 3 leaves unfinished',
  );
  await openCase(page, /^Bramble, hedgehog/);
  expect(await words(page)).toBe('Home on Friday.');

  // Found again by words of the second leaf, and what was looked for is there on the way back.
  await page.getByRole('link', { name: 'Desk', exact: true }).press('Enter');
  const search = page.getByRole('searchbox', { name: 'Search your cases' });
  await search.fill('zebra');
  await expect(page.getByText('Nothing of yours has these words')).toBeVisible();
  await search.fill('bramble second day');
  const found = page.getByRole('region', { name: 'Found' });
  await expect(found.getByRole('status')).toHaveText('One case');
  await expect(found).toContainText('Of the second day.');
  await expectAccessible(page);
  await found.getByRole('link').press('Enter');
  await expect(draftOf(page)).toBeFocused();
  expect(await words(page)).toContain('Of the second day.');
  await page.goBack();
  await expect(search).toHaveValue('bramble second day');
});

test('what the record says since the last leaf is told on the next, and put in by a key', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  const { keyboard } = page;
  await openCase(page, /^Bramble, hedgehog/);
  await keyboard.type('Seen at noon.');
  await expect(page.getByRole('status', { name: 'Saving' })).toHaveText('Saved');
  await page.getByRole('button', { name: 'Another leaf', exact: true }).press('Enter');
  await expect(page).toHaveURL(/leaves/);
  await expect(draftOf(page)).toBeFocused();
  const told = page.getByText(/^New since your leaf of/);
  await expect(told).toBeHidden();
  // A colleague writes down what was not known when the first was written.
  const odile = await signedIn('Odile Brandt');
  await openCase(odile, /^Bramble, hedgehog/);
  await odile.getByRole('button', { name: 'Correct the record' }).press('Enter');
  await odile.getByRole('button', { name: 'Add a problem' }).press('Enter');
  await odile.keyboard.type('cough');
  await odile.getByRole('textbox', { name: 'Since' }).fill('-1');
  await odile.keyboard.press('Enter');
  await expect(told).toBeVisible();
  await keyboard.type('Quiet.');
  await page.getByRole('button', { name: /^Insert cough/ }).press('Enter');
  await keyboard.press('Control+z');
  expect(await words(page)).toBe('Quiet.');
  await page.getByRole('button', { name: /^Insert cough/ }).press('Enter');
  await keyboard.type('Listened to.');
  expect(await words(page)).toMatch(/^Quiet\. cough, since .+\. Listened to\.$/);
  await page.getByRole('button', { name: 'Hide' }).press('Enter');
  await expect(told).toBeHidden();
  await expect(draftOf(page)).toBeFocused();
});

test(
  'several texts on one leaf, by keyboard: a letter and its summary; each is filled, finished with the others and copied by itself',
  { tag: '@alone' },
  async ({ signedIn }) => {
    const page = await signedIn('Imke Tarrow');
    const { keyboard } = page;
    await openCase(page, /^Bramble, hedgehog/);
    await keyboard.type('Seen at dawn.');
    const texts = page.getByRole('region', { name: 'Texts of this leaf' });
    const open = async () => {
      await page.getByRole('button', { name: 'Format' }).press('Enter');
      await page.getByRole('menuitem', { name: 'Texts of this leaf…' }).press('Enter');
      await expect(texts.getByRole('textbox', { name: 'Add a text' })).toBeFocused();
    };
    await open();
    await keyboard.type('Letter');
    await keyboard.press('Enter');
    await keyboard.type('Dear all, ,wt');
    await expect(page.getByRole('region', { name: 'Current blank' })).toContainText('Trend');
    // A name that is taken is told, and nothing typed is lost.
    await open();
    await keyboard.type('letter');
    await keyboard.press('Enter');
    await expect(texts).toContainText('Another text here is called “letter”.');
    await keyboard.press('Control+a');
    await keyboard.type('Summary');
    await keyboard.press('Enter');
    await keyboard.type('Well.');
    // The first is called by a name too; the last is put before the letter.
    await open();
    await texts.getByRole('textbox', { name: 'Name of the first text' }).focus();
    await keyboard.type('Note');
    await keyboard.press('Enter');
    // The slip moves to where its line is now: what is taken up before it has would be measured amiss, and no hand is so quick.
    await expect(draftOf(page).getByRole('group', { name: 'Note' })).toBeVisible();
    await texts.getByRole('button', { name: 'Move Summary', exact: true }).focus();
    await pressKeys(page, ['Space']);
    // What a screen reader is told tells when it has been taken up, and where it is.
    const carried = texts.getByRole('status');
    await expect(carried).toContainText('over droppable area Summary');
    await pressKeys(page, ['ArrowUp']);
    await expect(carried).toContainText('over droppable area Letter');
    await keyboard.press('Space');
    await expect
      .poll(() =>
        draftOf(page)
          .getByRole('group')
          .evaluateAll((all) => all.map((one) => one.ariaLabel)),
      )
      .toEqual(['Note', 'Summary', 'Letter']);
    // Removed it takes its words along; undo brings both back, and the keys are in the text.
    await texts.getByRole('button', { name: 'Remove Summary' }).press('Enter');
    await expect(page.getByText('“Summary” was removed from the leaf.')).toBeVisible();
    expect(await words(page)).not.toContain('Well.');
    await keyboard.press('Control+z');
    expect(await words(page)).toMatch(/^Seen at dawn\.\nWell\.\nDear all, Bramble weighed 512 g/);
    // The gap in the letter is walked to, and each text is copied by itself.
    await keyboard.press('F9');
    await expect(page.getByRole('region', { name: 'Current blank' })).toContainText('Trend');
    await keyboard.press('g');
    await keyboard.press('F9');
    await page.getByRole('button', { name: 'Copy Letter' }).press('Enter');
    await expect(page.getByText('Copied Letter.')).toBeVisible();
    const copied = await page.evaluate(() => navigator.clipboard.readText());
    expect(copied).toMatch(/^Dear all, Bramble weighed 512 g .+ gaining as hoped\.$/);
  },
);

test('with the connection down a copy of a leaf is begun on this computer, and sent when it is back', async ({
  signedIn,
}) => {
  const page = await signedIn('Odile Brandt');
  await openCase(page, /^Bramble, hedgehog/);
  await page.context().setOffline(true);
  await page.keyboard.type('Written without a line.');
  await page.getByRole('button', { name: 'A copy of this one' }).click();
  await expect(page).toHaveURL(/leaves/);
  await expect(draftOf(page)).toBeFocused();
  expect(await words(page)).toBe('Written without a line.');
  await page.keyboard.type(' And a copy.');
  await page.context().setOffline(false);
  await expect(page.getByRole('status', { name: 'Saving' })).toHaveText('Saved');
  await page.reload();
  await expect(draftOf(page)).toHaveText('Written without a line. And a copy.');
  const leaves = page.getByRole('navigation', { name: 'Leaves of this case' });
  await leaves.getByRole('link', { name: /Written without a line/ }).click();
  await expect(draftOf(page)).toHaveText('Written without a line.');
});

test('the questions of a long form are listed beside it, answered ones ticked, each a step away, by keys alone', async ({
  signedIn,
}) => {
  const page = await signedIn('Odile Brandt');
  await openCase(page, /^Dune, grey seal/);
  await page.keyboard.type('At the gate. ,lv');
  const list = page.getByRole('region', { name: 'Questions' });
  await page.keyboard.press('Alt+y');
  await expect(list.getByRole('button').first()).toContainText('How does it eat?');
  await expect(list.getByRole('button', { name: /^answered/ })).toHaveCount(0);
  await expect(list.getByText('optional').first()).toBeVisible();
  await expectAccessible(page);

  // The third by the arrows; what is typed answers it, and it is ticked with its answer.
  await list.getByRole('button').first().focus();
  await page.keyboard.press('ArrowDown');
  const asked = page.getByRole('button', { name: /How are its droppings/ });
  await expect(asked).toHaveCount(1);
  while (!(await asked.evaluate((line) => line === document.activeElement)))
    await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'Current blank' })).toContainText('How are its droppings?');
  await page.keyboard.press('1');
  await expect(list.getByRole('button', { name: /^answered How are its droppings/ })).toHaveCount(1);
  await expect(list.getByRole('heading')).toContainText(/1 of \d+ answered/);
  // Hidden and shown again it is as it was; an undo takes the answer and its tick away.
  await page.keyboard.press('Alt+y');
  await expect(list).toBeHidden();
  await page.keyboard.press('Alt+y');
  await expect(list.getByRole('heading')).toContainText(/1 of \d+ answered/);
  await page.keyboard.press('Control+z');
  await expect(list.getByRole('heading')).toContainText(/0 of \d+ answered/);
});
