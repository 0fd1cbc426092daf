import { draftOf, expect, expectAccessible, openCase, pressKeys, test, words } from './test';

test('a colleague sees what is kept and changed, and is told in the draft that holds it', async ({
  signedIn,
}) => {
  const [imke, odile] = [await signedIn('Imke Tarrow'), await signedIn('Odile Brandt')];
  await openCase(odile, /Keel/);
  await odile.keyboard.type(',hnd');
  await expect(draftOf(odile)).toContainText('speak quietly');

  // Imke keeps a new entry: it fires for Odile without a reload.
  await openCase(imke, /Dune/);
  await imke.keyboard.type('Offer whole fish.');
  await imke.keyboard.press('Shift+Home');
  await imke.keyboard.press('F4');
  const slip = imke.getByRole('form', { name: 'Save wording' });
  await slip.getByRole('textbox', { name: /^Cue/ }).fill('fsh');
  await imke.keyboard.press('Enter');
  await expect(imke.getByRole('complementary')).toContainText('Type ,fsh');
  await pressKeys(odile, ['Control+End', 'Enter']);
  await expect(odile.getByRole('region', { name: 'Wording in reach' })).toContainText(',fsh');
  await odile.keyboard.type(',fsh');
  await expect(draftOf(odile)).toContainText('Offer whole fish.');

  // Imke changes the wording Odile has placed: Odile is told, and takes it over.
  await imke.getByRole('link', { name: 'Bank' }).click();
  await imke.getByRole('link', { name: /Keep handling to a minimum/ }).click();
  await imke.getByRole('textbox', { name: 'Wording' }).focus();
  await imke.keyboard.press('Control+End');
  await imke.keyboard.type(' Two people at the most.');
  await imke.getByRole('textbox', { name: 'Reason for the change' }).fill('Fewer hands');
  await imke.keyboard.press('F9');
  const newer = odile.getByRole('status').filter({ hasText: 'has a newer wording' });
  await expect(newer).toContainText('Fewer hands');
  await expect(newer.getByRole('insertion')).toHaveText(/^\s*Two people at the most\.$/);
  await newer.getByRole('button', { name: 'Use the new wording' }).click();
  await expect.poll(() => words(odile)).toContain('combine weighing with cleaning. Two people at the most.');
  await expect(newer).toBeHidden();
});

test('the second of two who save one entry is told, sees both, and loses nothing', async ({ signedIn }) => {
  const [imke, odile] = [await signedIn('Imke Tarrow'), await signedIn('Odile Brandt')];
  for (const page of [imke, odile]) {
    await page.getByRole('link', { name: 'Bank' }).click();
    await page.getByRole('link', { name: /Wound cleaned/ }).click();
    await page.getByRole('textbox', { name: 'Wording' }).focus();
    await page.keyboard.press('Control+End');
  }
  await odile.keyboard.type(' By Odile.');
  await imke.keyboard.type(' By Imke.');
  await imke.keyboard.press('F9');
  await expect(imke.getByRole('status').filter({ hasText: 'Saved as revision 2' })).toBeVisible();
  await odile.keyboard.press('F9');
  const told = odile.getByRole('alert').filter({ hasText: 'Imke Tarrow saved this entry' });
  await expect(told).toContainText('You both changed: Wording.');
  await expect(told.getByRole('insertion').last()).toHaveText('Imke');
  await expect(told.getByRole('deletion')).toHaveText('Odile');
  await expectAccessible(odile);
  await expect(odile.getByRole('textbox', { name: 'Wording' })).toContainText('By Odile.');
  await told.getByRole('button', { name: 'Save mine' }).click();
  const history = odile.getByRole('region', { name: 'History' });
  await expect(history.getByRole('listitem')).toHaveCount(3);
  await history.getByRole('button', { name: /Revision 2: Imke/ }).click();
  await expect(history.getByRole('insertion')).toHaveText(/By Imke\./);
  // Beside what stands now, hers gives way to what was written instead.
  await history.getByLabel('Compare with').selectOption('the current revision');
  await expect(history.getByRole('deletion')).toHaveText('Imke');
  await expect(history.getByRole('insertion')).toHaveText('Odile');
  await expectAccessible(odile);
  await history.getByLabel('Compare with').selectOption('nothing (show it all)');
  await expect(history).toContainText('By Imke.');
});

test(
  'two who change one entry see each other there; changes that do not touch are put together',
  { tag: '@alone' },
  async ({ signedIn }) => {
    const [imke, odile] = [await signedIn('Imke Tarrow'), await signedIn('Odile Brandt')];
    for (const page of [imke, odile]) {
      await page.goto(new URL('/bank/wound', page.url()).href);
      await expect(page.getByRole('textbox', { name: 'Wording', exact: true })).toBeVisible();
    }
    await expect(imke.getByText('Odile Brandt has this entry open too.')).toBeVisible();
    await odile.getByRole('textbox', { name: 'When to use it' }).fill('Any wound at all');
    await imke.getByRole('textbox', { name: 'Wording', exact: true }).focus();
    await imke.keyboard.press('Control+End');
    await imke.keyboard.type(' By Imke.');
    await imke.keyboard.press('F9');
    await expect(imke.getByRole('status').filter({ hasText: 'Saved as revision 2' })).toBeVisible();
    const told = odile.getByRole('alert').filter({ hasText: 'Imke Tarrow saved this entry' });
    await told.getByRole('button', { name: 'Combine, mine where both changed' }).click();
    await expect(odile.getByRole('textbox', { name: 'Wording', exact: true })).toContainText('By Imke.');
    await odile.keyboard.press('F9');
    await expect(odile.getByRole('status').filter({ hasText: 'Saved as revision 3' })).toBeVisible();
    await expect(imke.getByRole('textbox', { name: 'When to use it' })).toHaveValue('Any wound at all');
    await odile.getByRole('link', { name: 'Desk' }).click();
    await expect(imke.getByText('has this entry open too')).toBeHidden();
  },
);

test('a newer wording is taken over with what was changed by hand; a change by hand is proposed, a fault noted', async ({
  signedIn,
}) => {
  const [imke, odile] = [await signedIn('Imke Tarrow'), await signedIn('Odile Brandt')];
  await openCase(odile, /Keel/);
  await odile.keyboard.type(',hnd');
  await expect(draftOf(odile)).toContainText('combine weighing with cleaning.');
  // A change by hand inside it: before its last word.
  await pressKeys(odile, ['Control+End', 'ArrowLeft', 'Control+ArrowLeft']);
  await odile.keyboard.type('thorough ');
  await expect.poll(() => words(odile)).toContain('with thorough cleaning.');
  await imke.goto(new URL('/bank/handling', imke.url()).href);
  await imke.getByRole('textbox', { name: 'Wording', exact: true }).focus();
  await imke.keyboard.press('Control+End');
  await imke.keyboard.type(' Two people at the most.');
  await imke.keyboard.press('F9');
  const newer = odile.getByRole('status').filter({ hasText: 'has a newer wording' });
  await newer.getByRole('button', { name: 'Use the new wording' }).click();
  await expect
    .poll(() => words(odile))
    .toContain('combine weighing with thorough cleaning. Two people at the most.');

  const placed = odile.getByRole('region', { name: 'Placed wording' });
  await draftOf(odile).getByText('thorough').click();
  await placed.getByRole('button', { name: 'Save what I changed here' }).click();
  const change = odile.getByRole('form', { name: 'Save the change' });
  await expect(change.getByRole('insertion')).toHaveText(/thorough/);
  await expect(change.getByRole('deletion')).toHaveCount(0);
  await expectAccessible(odile);
  await change.getByLabel('Reason').fill('Half cleaned is not clean');
  await odile.keyboard.press('Enter');
  await expect(imke.getByRole('textbox', { name: 'Wording', exact: true })).toContainText(
    'with thorough cleaning. Two people at the most.',
  );
  await draftOf(odile).getByText('thorough').click();
  await placed.getByRole('button', { name: 'Report a mistake' }).click();
  await odile.keyboard.type('Overlaps with the wound entry');
  await odile.keyboard.press('Enter');
  const note = imke.getByRole('article', { name: 'Note by Odile Brandt' });
  await expect(note).toContainText('Overlaps with the wound entry');
  await note.getByRole('textbox', { name: 'Answer' }).fill('I will part them');
  await imke.keyboard.press('Enter');
  await note.getByRole('button', { name: 'Close' }).click();
  await odile.goto(new URL('/proposals', odile.url()).href);
  await expect(odile.getByRole('region', { name: 'Notes' })).toContainText('I will part them');
});

test(
  "one's own variation is used in place of the shared entry, told when that changes, and brought back to it",
  { tag: '@alone' },
  async ({ signedIn }) => {
    const [imke, odile] = [await signedIn('Imke Tarrow'), await signedIn('Odile Brandt')];
    await odile.goto(new URL('/bank/handling', odile.url()).href);
    await odile.getByText('Make my own version').click();
    await odile.getByRole('button', { name: 'Make a variation' }).click();
    const variation = odile.getByRole('region', { name: 'Variation' });
    await expect(variation).toContainText('This is a variation.');
    await expect(odile.getByText('It uses the same cues as the shared entry.')).toBeVisible();
    await odile.getByRole('textbox', { name: 'Wording', exact: true }).focus();
    await odile.keyboard.press('Control+End');
    await odile.keyboard.type(' Hum softly.');
    await odile.keyboard.press('F9');
    await expect(odile.getByRole('status').filter({ hasText: 'Saved as revision 2' })).toBeVisible();
    await expectAccessible(odile);
    const here = odile.url();
    await odile.goto(new URL('/', here).href);
    await openCase(odile, /Keel/);
    await odile.keyboard.type(',hnd');
    await expect(draftOf(odile)).toContainText('with cleaning. Hum softly.');

    await imke.goto(new URL('/bank/handling', imke.url()).href);
    await imke.getByRole('textbox', { name: 'When to use it' }).fill('Every swan, every time');
    await imke.keyboard.press('F9');
    await odile.goto(here);
    await expect(variation).toContainText('has changed since');
    await variation.getByRole('button', { name: 'Done' }).click();
    await expect(variation).not.toContainText('has changed since');
    await variation.getByRole('button', { name: 'Compare' }).click();
    await expect(variation.getByRole('insertion').last()).toHaveText(/Hum softly\./);
    await variation.getByRole('button', { name: 'Replace the shared entry with it' }).click();
    await expect(odile.getByText('A variation is used in its place.')).toBeVisible();
    await expect(odile.getByRole('textbox', { name: 'Wording', exact: true })).toContainText('Hum softly.');
    await odile.keyboard.press('F9');
    await expect(imke.getByRole('textbox', { name: 'Wording', exact: true })).toContainText('Hum softly.');
  },
);

test('what one member keeps for themselves, and cases not given, do not exist for others', async ({
  signedIn,
}) => {
  const ruan = await signedIn('Ruan Pellow');
  await expect(ruan.getByRole('link', { name: /Bramble/ })).toHaveCount(0);
  await ruan.goto(new URL('/cases/hedgehog-bramble', ruan.url()).href);
  await expect(ruan.getByRole('alert')).toContainText('not given to you');
  await ruan.goto(new URL('/bank/owlet', ruan.url()).href);
  await expect(ruan.getByRole('heading', { name: 'No such entry' })).toBeVisible();
});

test('eight windows of one member all hear, and all can save: one of them listens for the others', async ({
  signedIn,
}) => {
  const [odile, imke] = [await signedIn('Odile Brandt'), await signedIn('Imke Tarrow')];
  const windows = [odile];
  for (let more = 0; more < 7; more += 1) windows.push(await odile.context().newPage());
  for (const page of windows) {
    await page.goto(new URL('/bank/wound', odile.url()).href);
    await expect(page.getByRole('textbox', { name: 'When to use it' })).toHaveValue(/Any wound/);
  }
  await imke.goto(new URL('/bank/wound', imke.url()).href);
  const change = async (words: string) => {
    await imke.getByRole('textbox', { name: 'When to use it' }).fill(words);
    await imke.keyboard.press('F9');
    await expect(imke.getByRole('status').filter({ hasText: 'Saved as revision' })).toBeVisible();
  };
  await change('Told to all windows');
  for (const page of windows)
    await expect(page.getByRole('textbox', { name: 'When to use it' })).toHaveValue('Told to all windows');
  // The one that listened closes: another takes over.
  await windows.shift()!.close();
  await change('Told to the others still');
  for (const page of windows)
    await expect(page.getByRole('textbox', { name: 'When to use it' })).toHaveValue(
      'Told to the others still',
    );
  await windows[6]!.bringToFront();
  await windows[6]!.getByRole('textbox', { name: 'When to use it' }).fill('Saved from the last');
  await windows[6]!.keyboard.press('F9');
  await expect(imke.getByRole('textbox', { name: 'When to use it' })).toHaveValue('Saved from the last');
});
