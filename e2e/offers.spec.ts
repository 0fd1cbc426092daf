import { draftOf, expect, expectAccessible, openCase, test, words, type Page, pressKeys } from './test';

const offers = (page: Page) => page.getByRole('region', { name: 'Offers' });
/** Types as a person does, and waits for what is offered for just that. */
async function typeFor(page: Page, text: string, offer: string): Promise<void> {
  await page.keyboard.type(text);
  await expect(offers(page)).toHaveAttribute('data-line', new RegExp(`${text.replace(/[+.]/g, '\\$&')}$`));
  await expect(offers(page).getByRole('listitem').first()).toContainText(offer);
}
const reads = (page: Page, text: string) => expect.poll(() => words(page)).toBe(text);

test('offers while typing: by beginning, consonants, initials and date; undo gives back what was typed', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  const { keyboard } = page;
  await openCase(page, /Dune/);
  await typeFor(page, 'The hedgeh', 'hedgehog');
  await expectAccessible(page);
  await keyboard.press('Alt+j');
  await reads(page, 'The hedgehog');
  // Right after, its endings are offered; one Backspace gives back what was typed, and it is offered again.
  await expect(offers(page).getByRole('listitem')).toHaveText([/hedgehogs/]);
  await keyboard.press('Backspace');
  await reads(page, 'The hedgeh');
  await typeFor(page, 'o', 'hedgehog');
  await keyboard.press('Control+z');
  await keyboard.press('Control+a');
  await keyboard.press('Delete');

  await typeFor(page, 'A hdghg', 'hedgehog');
  await keyboard.press('Alt+j');
  await typeFor(page, ' and a gcg', 'great crested grebe');
  await keyboard.press('Alt+j');
  await typeFor(page, ' seen on 4mar', '4 March');
  await keyboard.press('Alt+l');
  await expect.poll(() => words(page)).toMatch(/^A hedgehog and a great crested grebe seen on \d{4}-03-04$/);

  // The arrows go through the list only after it was entered on purpose.
  await typeFor(page, '. Ham', 'hammer');
  await keyboard.press('Alt+ArrowDown');
  await keyboard.press('ArrowDown');
  const second = offers(page).locator('[aria-current]');
  const chosen = (await second.locator('span').nth(1).textContent())!;
  await keyboard.press('Enter');
  await expect.poll(() => words(page)).toContain(`. H${chosen.slice(1)}`);
  await typeFor(page, ' and bandag', 'bandage');
  await keyboard.press('Escape');
  await expect(offers(page)).toBeHidden();
  await keyboard.press('Enter');
  await expect.poll(() => words(page)).toMatch(/bandag\n$/);
  await expect(page.getByRole('status', { name: 'Saving' })).toHaveText('Saved');
});

test('a medicine that can be taken for another is read back and asks for its key once more', async ({
  signedIn,
}) => {
  const page = await signedIn('Odile Brandt');
  await openCase(page, /Dune/);
  await typeFor(page, 'Gave ketamine 5', 'ketamine 50 mg/ml');
  await page.keyboard.press('Alt+j');
  await expect(offers(page).getByRole('alert')).toContainText('ketamine 50 mg/ml, not 100 mg/ml');
  await reads(page, 'Gave ketamine 5');
  await page.keyboard.press('Alt+j');
  await reads(page, 'Gave ketamine 50 mg/ml');
});

test(
  'an entry is offered by its title, a slip in its cue, and a forgotten lead-in',
  { tag: '@alone' },
  async ({ signedIn }) => {
    const page = await signedIn('Imke Tarrow');
    await openCase(page, /Dune/);
    await typeFor(page, 'Keep hand', 'Keep handling to a minimum');
    await page.keyboard.press('Alt+j');
    await expect.poll(() => words(page)).toContain('Handling is kept to a minimum');
    await page.keyboard.press('Backspace');
    await reads(page, 'Keep hand');
    await draftOf(page).press('Control+a');
    await typeFor(page, ',amd', 'admission');
    await page.keyboard.press('Control+a');
    await typeFor(page, 'Then wt ', 'Weight');
  },
);

test('reach is switched by typing and remembered for that work; a term is kept from the leaf', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  const { keyboard } = page;
  await openCase(page, /Dune/);
  await keyboard.press('Alt+r');
  const reach = page.getByRole('region', { name: 'In reach' });
  await keyboard.type('species');
  await expect(reach.getByRole('option', { name: /Species/ })).toHaveAttribute('aria-selected', 'true');
  await expectAccessible(page);
  await keyboard.press('Enter');
  const species = reach.getByRole('option', { name: /Species/ });
  await expect(species).toHaveAttribute('aria-selected', 'false');
  // What is in reach is kept as a set, which a few letters and Enter bring back.
  await reach.getByText('Sets of collections and glossaries').press('Enter');
  await reach.getByRole('textbox', { name: 'Keep what is in reach now as a set' }).fill('Swans');
  await keyboard.press('Enter');
  await expect(reach.getByRole('button', { name: 'Remove the set Swans' })).toBeVisible();
  await reach.getByRole('combobox').press('Enter');
  await expect(species).toHaveAttribute('aria-selected', 'true');
  await reach.getByRole('combobox').fill('swans');
  await expect(reach.getByRole('option', { name: /Swans/ })).toBeVisible();
  await expectAccessible(page);
  await keyboard.press('Enter');
  await reach.getByRole('combobox').fill('species');
  await expect(species).toHaveAttribute('aria-selected', 'false');
  await keyboard.press('Escape');
  await typeFor(page, 'A bittern and a bitt', 'bitt');
  await expect(offers(page)).not.toContainText('Species');
  // Quicker than the server says what was switched: the switch is made from that, not from what is meant for all.
  let answer = () => {};
  const held = new Promise<void>((release) => (answer = release));
  await page.route('**/api/preferences', async (route) => {
    await held;
    await route.continue();
  });
  await page.goto(page.url());
  await expect(draftOf(page)).toBeFocused();
  await keyboard.press('Alt+r');
  await keyboard.type('species');
  await expect(reach.getByRole('option', { name: /Species/ })).toBeVisible();
  await keyboard.press('Enter');
  answer();
  await expect(reach.getByRole('option', { name: /Species/ })).toHaveAttribute('aria-selected', 'true');
  await keyboard.press('Escape');
  await typeFor(page, ' and a bitte', 'bittern');

  await keyboard.type(' and a reedwhistle');
  await keyboard.press('Alt+m');
  const slip = page.getByRole('form', { name: 'Save a term' });
  await expect(slip.getByLabel('Offer this from now on')).toHaveValue('reedwhistle');
  await slip.getByLabel('In').selectOption('Species of the marsh');
  await keyboard.press('Enter');
  await expect(page.getByText('“reedwhistle” is offered from Species of the marsh now.')).toBeVisible();
  await typeFor(page, ', reedwh', 'reedwhistle');
});

test('a transcriber takes the first offer with the space that follows, and a word as typed stays', async ({
  signedIn,
}) => {
  const page = await signedIn('Ruan Pellow');
  await page.getByRole('link', { name: 'Bank', exact: true }).click();
  await page.getByRole('link', { name: 'Glossaries', exact: true }).click();
  const bySpace = page.getByRole('radio', { name: /^by the space after it/ });
  await bySpace.click();
  await expect(bySpace).toBeChecked();
  await page.getByRole('link', { name: 'Desk' }).click();
  await openCase(page, /interview/i);
  const { keyboard } = page;
  await typeFor(page, 'We heard a grnshnk', 'greenshank');
  await keyboard.press('Space');
  await typeFor(page, 'and a bldr', 'balder');
  await page.keyboard.press('Escape');
  await keyboard.press('Space');
  await reads(page, 'We heard a greenshank and a bldr ');
  // A whole word is not turned into another; one Backspace after a take gives back what was typed.
  await typeFor(page, 'hen', 'hen harrier');
  await keyboard.press('Space');
  await reads(page, 'We heard a greenshank and a bldr hen ');
});

test(
  'text commands: told with what they touch before they are closed, and undone in one step',
  { tag: '@alone' },
  async ({ signedIn }) => {
    const page = await signedIn('Ruan Pellow');
    const { keyboard } = page;
    // Off until they are asked for: what looks like one is text.
    await openCase(page, /interview/i);
    await keyboard.type('It was weighed and fed. It slept well //e.2 ');
    await reads(page, 'It was weighed and fed. It slept well //e.2 ');
    for (const _ of '//e.2 ') await keyboard.press('Backspace');
    await page.getByRole('link', { name: 'Bank', exact: true }).click();
    await page.getByRole('link', { name: 'Glossaries', exact: true }).click();
    await page.getByRole('checkbox', { name: 'Text commands, typed at the start of a word' }).click();
    await expect(page.getByLabel('They begin with')).toHaveValue('//');
    await page.getByRole('link', { name: 'Desk' }).click();
    await openCase(page, /interview/i);
    await keyboard.press('Control+End');

    await keyboard.type('//erase.2.words');
    const told = page.getByRole('status', { name: 'Text command' });
    await expect(told).toContainText('Delete 2 words back');
    await expect(told).toContainText('“slept well”');
    await expectAccessible(page);
    await keyboard.press('Space');
    await reads(page, 'It was weighed and fed. It ');
    await keyboard.press('Backspace');
    await reads(page, 'It was weighed and fed. It slept well //erase.2.words');
    // Escape leaves what was typed as text.
    await keyboard.press('Escape');
    await keyboard.press('Space');
    await reads(page, 'It was weighed and fed. It slept well //erase.2.words ');
    for (const _ of '//erase.2.words ') await keyboard.press('Backspace');
    await keyboard.type('//e.2 ');
    await reads(page, 'It was weighed and fed. It ');
    await keyboard.type('ate //swap ');
    await reads(page, 'It was weighed and fed. ate It ');
    await keyboard.type('//cap.2 ');
    await reads(page, 'It was weighed and fed. Ate It ');
    await keyboard.type('//cut.s.st ');
    await reads(page, 'It was weighed and fed. ');
    await keyboard.press('Enter');
    await keyboard.type('//paste ');
    await reads(page, 'It was weighed and fed. \nAte It ');
    await keyboard.type('//join.p');
    await keyboard.press('Enter');
    await reads(page, 'It was weighed and fed. Ate It ');
    await keyboard.type('//go.p.st ');
    await keyboard.type('Then: ');
    await reads(page, 'Then: It was weighed and fed. Ate It ');
  },
);

test('what was typed in full though a cue would bring it is told once; what is saved is counted and shown', async ({
  signedIn,
}) => {
  const page = await signedIn('Anouk Fell');
  const { keyboard } = page;
  await openCase(page, /Owlet/);
  await keyboard.type('With kind regards from all at Hollin Marsh');
  await expect(page.getByRole('status').filter({ hasText: ';so and Space brings it' })).toBeVisible();
  await keyboard.press('Control+a');
  await keyboard.press('Delete');
  const counted = page.waitForResponse(
    (response) => response.url().endsWith('/api/uses') && response.request().method() === 'POST',
  );
  await keyboard.type(';so ');
  await reads(page, 'With kind regards from all at Hollin Marsh');
  await keyboard.press('F9');
  await expect(page.getByRole('region', { name: 'Finished' })).toBeVisible();
  await counted;
  await page.getByRole('link', { name: 'Bank', exact: true }).click();
  await page.getByRole('link', { name: 'Glossaries', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Glossaries', level: 1 })).toBeVisible();
  // 42 characters for the three of the cue and the space that closes it.
  const saved = page.getByRole('region', { name: 'Keys saved' });
  await page.reload();
  await expect(saved.getByRole('row').nth(1)).toHaveText(/138$/);
});

/** What a transcriber types of a dictation, and what the space after it makes of that; a word as it is stays. */
const DICTATION: [typed: string, made?: string][] = [
  ['We'],
  ['heard'],
  ['the'],
  ['bttrn', 'bittern'],
  ['twice'],
  ['before'],
  ['dawn'],
  ['and'],
  ['a'],
  ['grnshnk', 'greenshank'],
  ['near'],
  ['the'],
  ['hrbr', 'harbour'],
  ['where'],
  ['a'],
  ['gcg', 'great crested grebe'],
  ['was'],
  ['lndng', 'landing'],
];

test('a minute of dictation typed with offers alone comes out as it was said', async ({ signedIn }) => {
  const page = await signedIn('Ruan Pellow');
  await page.getByRole('link', { name: 'Bank', exact: true }).click();
  await page.getByRole('link', { name: 'Glossaries', exact: true }).click();
  const bySpace = page.getByRole('radio', { name: /^by the space after it/ });
  await bySpace.click();
  await expect(bySpace).toBeChecked();
  await page.getByRole('link', { name: 'Desk' }).click();
  await openCase(page, /interview/i);
  for (const [typed, made] of DICTATION) {
    if (made) await typeFor(page, typed, made);
    else {
      await page.keyboard.type(typed);
      // What is offered for the letters before must not be taken for the word as it is.
      await page.keyboard.press('Escape');
    }
    await page.keyboard.press('Space');
  }
  const said = DICTATION.map(([typed, made]) => made ?? typed).join(' ');
  await reads(page, `${said} `);
  const keys = DICTATION.reduce((sum, [typed]) => sum + typed.length + 1, 0);
  expect(keys).toBeLessThan(said.length);
});

test('offers and cues leave an input method alone, and work within a word, in a list and in a table cell', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  const { keyboard } = page;
  await openCase(page, /Dune/);
  const client = await page.context().newCDPSession(page);
  for (const text of [',', ',w', ',wt'])
    await client.send('Input.imeSetComposition', {
      text,
      selectionStart: text.length,
      selectionEnd: text.length,
    });
  // Still being composed: the cue has not fired, and nothing is offered.
  await reads(page, ',wt');
  await expect(offers(page)).toBeHidden();
  await client.send('Input.insertText', { text: 'hedgeh' });
  await reads(page, 'hedgeh');
  await expect(offers(page)).toContainText('hedgehog');
  await keyboard.press('Control+a');
  await keyboard.press('Delete');

  // Within a word: what stands behind the caret stays.
  await keyboard.type('A s in the pen');
  await page.evaluate(() => getSelection()!.collapse(getSelection()!.focusNode, 2));
  await typeFor(page, 'hedgeh', 'hedgehog');
  await keyboard.press('Alt+j');
  await reads(page, 'A hedgehogs in the pen');
  await pressKeys(page, ['Control+End', 'Enter']);
  await keyboard.type('- ');
  await typeFor(page, 'a bttrn', 'bittern');
  await keyboard.press('Alt+j');
  await expect(draftOf(page).locator('li')).toHaveText('a bittern');
  await keyboard.press('Enter');
  await keyboard.type(',app');
  await expect(draftOf(page).locator('li').nth(1)).toContainText('droppings');
  await keyboard.press('Backspace');
  await expect(draftOf(page).locator('li').nth(1)).toHaveText(',app');
});
