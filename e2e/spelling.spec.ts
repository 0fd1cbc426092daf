import { draftOf, expect, expectAccessible, openCase, pressKeys, test, words, type Page } from './test';

/** The words that are marked in sight, as the browser has them. */
const marked = (page: Page) =>
  page.evaluate(() =>
    [...(CSS.highlights.get('misspelt') ?? [])].map((range) => (range as unknown as Range).toString()),
  );

test('small words come by their letters; spelling is marked while one writes, put right by keys and undone; in entries and on the slip too', async ({
  signedIn,
}) => {
  const page = await signedIn('Odile Brandt');
  const { keyboard } = page;
  await openCase(page, /Bramble/);
  // Small words that go together, by their first letters.
  await keyboard.type('Hw');
  await expect(page.getByRole('region', { name: 'Offers' }).getByRole('listitem').first()).toContainText(
    'he was',
  );
  await keyboard.press('Alt+j');
  await keyboard.type(' seen by teh vet and hasnt eaten; alot of teh food was left. Zolithine 5mg.');
  // A dose is no word. The word at the caret is still being written.
  await expect.poll(() => marked(page)).toEqual(['teh', 'hasnt', 'alot', 'teh', 'Zolithine']);

  await pressKeys(page, ['Control+Home']);
  await keyboard.press('Alt+-');
  const slip = page.getByRole('region', { name: 'Spelling' });
  const put = slip.getByRole('textbox', { name: 'Change to' });
  await expect(put).toHaveValue('the');
  await expect(slip.getByRole('status')).toHaveText('1 of 5');
  await expectAccessible(page);
  await slip.getByRole('button', { name: 'Change all 2' }).click();
  await expect(put).toHaveValue("hasn't");
  await expect(slip.getByRole('status')).toHaveText('1 of 3');
  await keyboard.press('Enter');
  await expect(put).toHaveValue('a lot');
  await keyboard.press('ArrowDown');
  await expect(put).not.toHaveValue('a lot');
  await keyboard.press('ArrowUp');
  await keyboard.press('Enter');
  await expect(slip.getByRole('status')).toHaveText('1 of 1');
  await slip.getByRole('button', { name: 'Right for me' }).click();
  await expect(slip.getByRole('status')).toHaveText('All words are known.');
  await keyboard.press('Escape');
  await expect(draftOf(page)).toBeFocused();
  const right = "He was seen by the vet and hasn't eaten; a lot of the food was left. Zolithine 5mg.";
  expect(await words(page)).toBe(right);
  await expect.poll(() => marked(page)).toEqual([]);
  await pressKeys(page, ['Control+z', 'Control+z', 'Control+z']);
  await expect.poll(() => marked(page)).toEqual(['teh', 'hasnt', 'alot', 'teh']);

  // On the slip of words that are saved: what is ticked is saved as it should be, and its title with it.
  await pressKeys(page, ['Control+a']);
  await keyboard.press('F4');
  const save = page.getByRole('form', { name: 'Save wording' });
  // By its key: what is found later moves the lines, and a click would fall beside it.
  await save.getByRole('checkbox', { name: /^teh/ }).press('Space');
  await expect(save.getByRole('checkbox', { name: /^teh/ })).toBeChecked();
  await expect(save.getByLabel('The wording as it is saved')).toContainText('by the vet and hasnt');
  await expect(save.getByRole('textbox', { name: 'Title' })).toHaveValue(/ the /);
  await keyboard.press('Escape');

  // In an entry each is told with what was likely meant; one step puts it right, and undo takes that back.
  await page.goto(new URL('/bank/new', page.url()).href);
  await page.getByRole('textbox', { name: 'Title' }).fill('A swan');
  const wording = page.getByRole('textbox', { name: 'Wording' });
  await wording.click();
  await keyboard.type('The swan was thier guest.');
  await expect.poll(() => marked(page)).toEqual(['thier']);
  await page.getByRole('button', { name: 'Write “their”' }).click();
  await expect(wording).toHaveText('The swan was their guest.');
  await expect.poll(() => marked(page)).toEqual([]);

  // Who wants no marks has none, and those of the browser are not switched off then.
  await page.goto(new URL('/glossaries', page.url()).href);
  const saved = page.waitForResponse((answer) => answer.request().method() === 'PUT');
  await page.getByRole('checkbox', { name: /^Mark words that no dictionary/ }).click();
  await saved;
  await page.goto(new URL('/', page.url()).href);
  await openCase(page, /Bramble/);
  await expect(draftOf(page)).toHaveAttribute('spellcheck', 'true');
  await keyboard.press('Alt+-');
  await expect(slip.getByRole('status')).toContainText('switched off');
});
