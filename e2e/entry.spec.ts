import { draftOf, expect, openCase, pressKeys, test, words } from './test';

test('an entry written from nothing: blanks, a choice, a cue of its own rules; then used', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  await page.getByRole('link', { name: 'Bank' }).click();
  await page.getByRole('link', { name: 'Write an entry' }).click();
  await page.getByRole('textbox', { name: 'Title' }).fill('Stool sample');
  await page.getByRole('textbox', { name: 'Wording' }).click();
  await page.keyboard.type('The sample showed worms.');
  await pressKeys(page, ['ArrowLeft', 'Shift+Control+ArrowLeft', 'F4']);
  const fields = page.getByRole('region', { name: 'Fields' });
  await fields.getByLabel('Answer comes from').selectOption({ label: 'a choice' });
  await fields.getByLabel('Question asked in the margin').fill('What did it show?');
  await fields.getByLabel('Option 1', { exact: true }).fill('worms');
  await fields.getByRole('button', { name: 'Add an option' }).click();
  await fields.getByLabel('Option 2', { exact: true }).fill('nothing');
  await fields.getByLabel('Words of option 2').fill('no parasites');
  await page.getByRole('button', { name: 'Add a cue' }).click();
  const cue = page.getByRole('group', { name: 'Cue ss' });
  await expect(cue.getByRole('textbox')).toHaveValue('ss');
  await cue.getByLabel('Fires').selectOption('closing');
  await cue.getByLabel('keep the key').check();
  await expect(page.getByRole('region', { name: 'How it reads' })).toContainText('Worms');
  await page.getByRole('button', { name: /^Save/ }).click();
  await expect(page.getByText('Saved as revision 1. Type ,ss and Space to place it.')).toBeVisible();

  await page.getByRole('link', { name: 'Desk' }).click();
  await openCase(page, /Dune/);
  await page.keyboard.type(',ss');
  await expect.poll(() => words(page)).toBe(',ss');
  await page.keyboard.type(' ');
  await expect(page.getByRole('region', { name: 'Current blank' })).toContainText('What did it show?');
  await pressKeys(page, ['2', 'Enter']);
  await expect.poll(() => words(page)).toBe('The sample showed no parasites. ');
});

test('a change not saved waits on this computer, and placing by the look-up goes over the selection', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  await page.getByRole('link', { name: 'Bank' }).click();
  await page.getByRole('link', { name: /Wound cleaned/ }).click();
  await page.getByRole('textbox', { name: 'When to use it' }).fill('Any wound, bites too');
  await page.getByRole('link', { name: 'Desk' }).click();
  await openCase(page, /Dune/);
  await page.keyboard.type('Keep it quiet please.');
  await pressKeys(page, ['Shift+Home', 'F2']);
  await page.keyboard.type('handling');
  await page.keyboard.press('Enter');
  await expect(draftOf(page)).toBeFocused();
  await expect.poll(() => words(page)).toMatch(/^Handling is kept to a minimum.+cleaning\.$/);
  await page.getByRole('link', { name: 'Bank' }).click();
  await page.getByRole('link', { name: /Wound cleaned/ }).click();
  await expect(page.getByText('Not saved yet; on this computer')).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'When to use it' })).toHaveValue('Any wound, bites too');
  await page.context().clearCookies();
  await page.getByRole('button', { name: /^Save/ }).click();
  const told = page.getByRole('alert').filter({ hasText: 'Your session has run out' });
  await told.getByRole('button', { name: 'Imke Tarrow' }).click();
  await expect(page.getByText('Saved as revision 2')).toBeVisible();
});

test('dates, times, numbers and yes or no: typed in shorthand, read back, each place in its own form', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  await openCase(page, /Sorrel/);
  const { keyboard } = page;
  const blank = page.getByRole('region', { name: 'Current blank' });
  await keyboard.type(',ho');
  await expect(blank).toContainText('Day, 1 of 4');
  await keyboard.type('4 mar 2027');
  await expect(blank).toContainText('Thursday, 4 March 2027');
  await keyboard.press('Tab');
  await keyboard.type('230pm');
  // The species came from the record, so Tab goes on to the doses.
  await keyboard.press('Tab');
  await keyboard.type('90');
  await expect(blank.getByRole('alert')).toContainText('It must be from 0 to 60 doses');
  await keyboard.press('Tab');
  await keyboard.press('n');
  await expect
    .poll(() => words(page))
    .toBe(
      'Handed over on Thursday, 4 March 2027 at 2.30 pm: a tawny owl with  of medicine. They have still to be shown how to give it. Next check a week after 4 March.',
    );
  // What was typed is still there, and holds back finishing until it is mended.
  await pressKeys(page, ['F9']);
  await expect(page.getByRole('textbox', { name: 'How many doses go with it?' })).toHaveValue('90');
  await keyboard.type('12');
  await pressKeys(page, ['F9']);
  await expect(page.getByRole('region', { name: 'Finished' })).toBeVisible();
  await expect.poll(() => words(page)).toContain('with twelve doses of medicine');
});

test('a choice takes none of its options, or words of its own beside them', async ({ signedIn }) => {
  const page = await signedIn('Imke Tarrow');
  await openCase(page, /Bramble/);
  await page.keyboard.type(',adm');
  await pressKeys(page, ['1', 'Tab', '1', 'Tab', 'n']);
  await expect.poll(() => words(page)).toContain('Examination found no outward sign of injury.');
  await pressKeys(page, ['t', 'o']);
  await expect(page.getByRole('textbox', { name: 'Other words' })).toBeFocused();
  await page.keyboard.type('mites');
  await expect.poll(() => words(page)).toContain('Examination found ticks and mites.');
  await pressKeys(page, ['Enter']);
  await expect(page.getByRole('textbox', { name: 'What happens next?' })).toBeFocused();
});

test(
  'person words come from the record, else they are asked once and agree everywhere',
  { tag: '@alone' },
  async ({ signedIn }) => {
    const page = await signedIn('Imke Tarrow');
    await openCase(page, /Bramble/);
    await page.keyboard.type(',app');
    await expect.poll(() => words(page)).toContain('Overnight she ate');
    await page.getByRole('link', { name: 'Desk' }).click();
    await openCase(page, /Sorrel/);
    await page.keyboard.type(',app');
    await expect(page.getByRole('region', { name: 'Current blank' })).toContainText(
      'Is it he, she, they or it?',
    );
    await pressKeys(page, ['h', 'Tab', '1', 'Tab', 'n']);
    await expect
      .poll(() => words(page))
      .toBe('Overnight he ate everything offered. His droppings were normal.');
    await pressKeys(page, ['Shift+Tab', 'Shift+Tab', 't']);
    await expect
      .poll(() => words(page))
      .toBe('Overnight they ate everything offered. Their droppings were normal.');
  },
);
