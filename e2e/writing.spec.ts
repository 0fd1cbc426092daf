import { draftOf, expect, expectAccessible, openCase, pressKeys, test, words, type Page } from './test';

/** Picks something from the menu that a button opens. */
async function pick(page: Page, button: RegExp, item: string): Promise<void> {
  await page.getByRole('button', { name: button }).click();
  await page.getByRole('menu').getByText(item, { exact: true }).click();
  await expect(page.getByRole('menu')).toBeHidden();
}

test('what one writes is formed where one writes it: tables, links, symbols, and a word typed after each', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  const { keyboard } = page;
  await openCase(page, /Bramble/);
  const draft = draftOf(page);
  await keyboard.type('Findings');
  await page.getByRole('button', { name: 'Format' }).click();
  await expect(page.getByRole('menuitemcheckbox', { name: 'Bold' })).toContainText('Ctrl + B');
  await page.getByRole('menuitemcheckbox', { name: 'Smaller heading' }).click();
  await expect(draft).toBeFocused();
  await keyboard.type(' today');
  await expect(draft.getByRole('heading', { level: 2 })).toHaveText('Findings today');

  await pressKeys(page, ['Enter']);
  await pick(page, /^Format/, 'Table');
  await keyboard.type('Site');
  await pick(page, /^Format/, 'Column after');
  await pick(page, /^Format/, 'Row below');
  await keyboard.type(' seen');
  await expect(draft.getByRole('columnheader').first()).toHaveText('Site seen');
  await expect(draft.getByRole('row')).toHaveCount(3);
  for (const head of ['Size', 'Note']) {
    await pressKeys(page, ['Tab']);
    await keyboard.type(head);
  }
  await pick(page, /^Format/, 'Delete the column');
  await expect(draft.getByRole('columnheader')).toHaveText(['Site seen', 'Size']);
  await pressKeys(page, ['Control+z']);
  await expect(draft.getByRole('columnheader')).toHaveText(['Site seen', 'Size', 'Note']);

  await pressKeys(page, ['Control+End']);
  await keyboard.type('About 35 ');
  await pick(page, /^Format/, 'Symbol…');
  await keyboard.type('deg');
  await expectAccessible(page);
  await keyboard.press('Enter');
  await keyboard.type('C, as on our page');
  await pressKeys(page, ['Shift+Control+ArrowLeft']);
  await page.evaluate(() => navigator.clipboard.writeText('https://hollinmarsh.example/care'));
  await pressKeys(page, ['Control+v', 'End']);
  await keyboard.type(' here.');
  await expect(draft.getByRole('link', { name: 'page' })).toHaveAttribute(
    'href',
    'https://hollinmarsh.example/care',
  );
  await expect.poll(() => words(page)).toContain('About 35 °C, as on our page here.');

  // Words are found and changed by keys alone, what stands in the table too; then one goes on behind them.
  await keyboard.press('Alt+g');
  const slip = page.getByRole('region', { name: 'Find and change' });
  await keyboard.type('site');
  await expect(slip.getByRole('status')).toHaveText('1 of 1.');
  await expectAccessible(page);
  await pressKeys(page, ['Tab']);
  await keyboard.type('place');
  await keyboard.press('Enter');
  await expect(draft.getByRole('columnheader').first()).toHaveText('Place seen');
  await expect(slip.getByRole('status')).toHaveText('Not in this draft.');
  await pressKeys(page, ['Shift+Tab']);
  await keyboard.type('35');
  await pressKeys(page, ['Escape']);
  await keyboard.type(',5');
  await expect.poll(() => words(page)).toContain('About 35,5 °C');

  // By the look-up too, and said where it cannot be done.
  await keyboard.press('F2');
  await keyboard.type('table: delete the row');
  await keyboard.press('Enter');
  await expect(page.getByText('Put the cursor in a table first.')).toBeVisible();
});

test('an answer is offered while it is typed, or is what was selected; collections are walked to an entry by the mouse', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  const { keyboard } = page;
  // The words come late: what was typed before they are there is offered all the same.
  let giveWords = () => undefined as void;
  const wordsWanted = new Promise<void>((resolve) => (giveWords = resolve));
  await page.route('**/english*.tsv', async (route) => {
    await wordsWanted;
    await route.continue();
  });
  await openCase(page, /Keel/);
  await keyboard.type('It came with a torn ear. ,wnd ');
  const margin = page.getByRole('complementary', { name: 'Margin of the leaf' });
  await expect(margin.getByRole('region', { name: 'Current blank' })).toContainText('Where is the wound?');
  await keyboard.type('left abdo');
  await expect(draftOf(page).getByRole('textbox')).toHaveValue(/left abdo$/);
  giveWords();
  const offers = margin.getByRole('region', { name: 'Offers' });
  await expect(offers.getByRole('listitem').first()).toContainText('abdomen');
  await keyboard.press('Alt+j');
  await keyboard.type(', low');
  await expect.poll(() => words(page)).toContain('The wound at the left abdomen, low was clipped');
  await pressKeys(page, ['Control+z']);

  // Selected words answer the next gap, by one key.
  const word = await draftOf(page).evaluate((draft) => {
    const line = document.createTreeWalker(draft, NodeFilter.SHOW_TEXT).nextNode() as Text;
    const range = document.createRange();
    range.setStart(line, line.data.indexOf('torn'));
    range.setEnd(line, line.data.indexOf('torn') + 4);
    const box = range.getBoundingClientRect();
    return { x: box.left + box.width / 2, y: box.top + box.height / 2 };
  });
  await page.mouse.dblclick(word.x, word.y);
  await pressKeys(page, ['Alt+s']);
  await keyboard.type(' and');
  await expect.poll(() => words(page)).toContain('The wound at the torn and was clipped');

  await pressKeys(page, ['Escape', 'Control+End', 'Enter']);
  await keyboard.type('Then ');
  await margin.getByRole('button', { name: /by collection$/ }).click();
  const collections = margin.getByRole('list', { name: 'By collection' });
  await collections.getByRole('button', { name: /Ward notes/ }).click();
  await expectAccessible(page);
  const counted = page.waitForRequest((request) => request.postData()?.includes('"way":"click"') ?? false);
  await collections.getByRole('button', { name: /Keep handling to a minimum/ }).click();
  await expect.poll(() => words(page)).toContain('Then Handling is kept to a minimum');
  await counted;
});

test('words are dragged to the margin to be kept, an entry onto a collection to be moved, with undo', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  await openCase(page, /Sorrel/);
  await page.keyboard.type('Calm throughout and eating well.');
  await pressKeys(page, ['Shift+Home']);
  const from = await page.evaluate(() => {
    const box = getSelection()!.getRangeAt(0).getBoundingClientRect();
    return { x: box.left + 40, y: box.top + box.height / 2 };
  });
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(from.x + 20, from.y + 8, { steps: 4 });
  await page.mouse.move(1000, 500, { steps: 8 });
  await page.mouse.up();
  const slip = page.getByRole('textbox', { name: 'Title' });
  await expect(slip).toHaveValue('Calm throughout and eating well');
  await page.keyboard.press('Escape');
  await expect.poll(() => words(page)).toContain('Calm throughout and eating well.');

  await page.getByRole('link', { name: 'Bank', exact: true }).click();
  await page.getByRole('searchbox').fill('keep handling');
  const entry = page.getByRole('link', { name: /Keep handling to a minimum/ });
  await expect(page.getByTitle(/^Saved/)).toHaveCount(1);
  const collections = page.getByRole('region', { name: 'Collections' });
  await entry.dragTo(collections.getByRole('link', { name: /My own wording/ }));
  await expect(collections).toContainText(
    'is shared: copy it to have wording of your own. Nothing was moved.',
  );
  await entry.dragTo(collections.getByRole('link', { name: /Helpline replies/ }));
  await expect(collections).toContainText('“Keep handling to a minimum” moved to “Helpline replies”.');
  await collections.getByRole('button', { name: 'Undo' }).click();
  await expect(
    page.getByRole('region', { name: 'Ward notes' }).getByRole('link', { name: /^.*Keep handling/ }),
  ).toBeVisible();
});

test('few steps: a date in a wording, five of a kind, a printed list, a fix from the text, words kept', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  let taken = 0;
  /** Clicks and keys count; letters are what one has to say anyway. */
  const step = async (what: () => Promise<unknown>) => {
    taken += 1;
    await what();
  };
  const press = (key: string) => step(() => pressKeys(page, [key]));
  const click = (role: 'button' | 'menuitem' | 'link', name: string | RegExp) =>
    step(() => page.getByRole(role, { name }).first().click());
  const stepsOf = () => {
    const all = taken;
    taken = 0;
    return all;
  };

  await page.getByRole('link', { name: 'Bank', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('The bank');
  await page.getByRole('link', { name: /Keep handling to a minimum/ }).click();
  await page.getByRole('textbox', { name: 'Wording' }).click();
  await pressKeys(page, ['Control+End']);
  await page.keyboard.type(' Since ');
  await click('button', /^Blank/);
  await click('menuitem', 'Today’s date');
  await press('F9');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  expect(stepsOf()).toBeLessThanOrEqual(3);

  await page.getByRole('link', { name: 'Bank', exact: true }).click();
  await page.evaluate(() =>
    navigator.clipboard.writeText(
      ['One', 'Two', 'Three', 'Four', 'Five']
        .map((name) => `Speaker ${name}\tz${name.slice(0, 2).toLowerCase()}\t${name}:`)
        .join('\n'),
    ),
  );
  await click('button', 'Add');
  await click('menuitem', 'Row by row');
  await page.getByLabel('Title of row 1').focus();
  await press('Control+v');
  const rows = page.getByRole('list', { name: 'Rows' });
  await expect(page.getByLabel('Title of row 5')).toHaveValue('Speaker Five');
  await click('button', 'Send all');
  await expect(rows.getByRole('link', { name: 'saved' })).toHaveCount(5);
  expect(stepsOf()).toBeLessThanOrEqual(12);

  await page.getByRole('link', { name: 'Bank', exact: true }).click();
  await click('link', 'Print it');
  await expect(page.getByRole('main', { name: 'As it is printed' })).toContainText('Speaker Five');
  expect(stepsOf()).toBeLessThanOrEqual(1);

  // A fix from the text: what was changed by hand goes to the bank from where it stands.
  await page.getByRole('link', { name: 'Desk', exact: true }).click();
  await openCase(page, /Dune/);
  await page.keyboard.type(',hnd');
  await expect(draftOf(page)).toContainText('combine weighing with cleaning.');
  await pressKeys(page, ['Control+End', 'ArrowLeft', 'Control+ArrowLeft']);
  await page.keyboard.type('thorough ');
  stepsOf();
  await click('button', 'Save what I changed here');
  await page.getByRole('textbox', { name: 'Reason' }).pressSequentially('Half cleaned is not clean');
  await press('Enter');
  await expect(page.getByText(/^Saved as revision \d+, for all who use it/)).toBeVisible();
  expect(stepsOf()).toBeLessThanOrEqual(2);

  await pressKeys(page, ['Escape', 'Control+End', 'Enter']);
  await page.keyboard.type('Seen by all and well. ');
  await press('Shift+Home');
  await press('F4');
  await expect(page.getByRole('textbox', { name: 'Title' })).toHaveValue('Seen by all and well');
  await press('Enter');
  await expect(page.getByText(/^Saved: “Seen by all and well”/)).toBeVisible();
  expect(stepsOf()).toBeLessThanOrEqual(3);
});
