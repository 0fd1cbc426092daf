import { draftOf, expect, expectAccessible, openCase, pressKeys, test, words } from './test';

// Of Imke's thirty entries so many that those of the field school and the helpline are away.
test.use({ atHand: 17 });

test('of a large bank a part is at hand: the rest is found, placed, switched in, read on the sheet and changed all the same', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  await openCase(page, /Dune/);
  await expect(page.getByText('2 collections are not loaded')).toBeVisible();
  // Away, its cue brings nothing.
  await page.keyboard.type(';so ');
  expect(await words(page)).toBe(';so ');
  // Found by a word with a slip, and placed with its blanks.
  await page.keyboard.press('F2');
  await page.keyboard.type('owlte');
  await expect(page.getByRole('option', { name: /Owlet on the ground/ })).toBeVisible();
  await expectAccessible(page);
  await page.keyboard.press('Enter');
  await expect(draftOf(page)).toContainText('Thank you for looking out for the owlet');
  await expect(page.getByRole('region', { name: 'Current blank' })).toBeVisible();
  // Switched in by name, its cues fire: here, and wherever she signs in.
  await pressKeys(page, ['Escape', 'Alt+r']);
  await page.keyboard.type('helpl');
  await expect(page.getByRole('option', { name: /Helpline replies/ })).toContainText('not loaded');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('option', { name: /Helpline replies/ })).toHaveAttribute(
    'aria-selected',
    'true',
  );
  await page.keyboard.press('Escape');
  await pressKeys(page, ['Control+End']);
  await page.keyboard.type(' ;so ');
  await expect(draftOf(page)).toContainText('With kind regards from all at Hollin Marsh');
  await expect(page.getByText('Saved')).toBeVisible();

  // The sheet counts all, and asks for what comes to be seen.
  await page.getByRole('link', { name: 'Bank', exact: true }).click();
  const school = page.getByRole('region', { name: 'Field school comments' });
  await page.getByLabel('Search titles').fill('sketch');
  await expect(school.getByRole('link', { name: /sketch/i }).first()).toBeVisible();
  await page.getByLabel('Search titles').fill('');
  await page
    .getByRole('region', { name: 'Collections' })
    .getByRole('link', { name: /^Field school comments/ })
    .click();
  await expect(school).toContainText('10 entries');
  await expect(school.getByRole('listitem')).toHaveCount(10);
  await expect(school).toContainText('What is to be done about a finding');

  // Elsewhere it is changed: what one has of it follows.
  const desta = await signedIn('Desta Wynne');
  await desta.getByRole('link', { name: 'Bank', exact: true }).click();
  await desta
    .getByRole('region', { name: 'Collections' })
    .getByRole('link', { name: /^Field school comments/ })
    .click();
  await desta
    .getByRole('region', { name: 'Field school comments' })
    .getByText('By whom')
    .or(desta.getByText('What is to be done about a finding'))
    .first()
    .click();
  await desta.getByRole('textbox', { name: 'Title' }).fill('Action to take');
  await desta.getByRole('button', { name: /^Save/ }).click();
  await expect(school).toContainText('Action to take');
});

test('an entry that is away is opened by its address, with all around it', async ({ signedIn, server }) => {
  const page = await signedIn('Imke Tarrow');
  await page.goto(`${server.url}/bank/sign-off`);
  await expect(page.getByRole('textbox', { name: 'Title' })).toHaveValue('Sign-off');
  await page.getByLabel('When to use it').fill('At the very end');
  await page.getByRole('button', { name: /^Save/ }).click();
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await page.goto(`${server.url}/bank/no-such-entry`);
  await expect(page.getByRole('heading', { name: 'No such entry' })).toBeVisible();
});
