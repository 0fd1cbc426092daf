import { draftOf, expect, expectAccessible, openCase, test, words } from './test';

test('entries that say nearly the same: found, merged in one act, followed by a draft, and taken apart again', async ({
  signedIn,
}) => {
  const [imke, anouk] = [await signedIn('Imke Tarrow'), await signedIn('Anouk Fell')];
  await openCase(anouk, /Wants to volunteer/);
  const saved = anouk.waitForResponse(
    (response) => response.request().postData()?.includes('our help') ?? false,
  );
  await anouk.keyboard.type(';hog ');
  await expect(draftOf(anouk)).toContainText('nearly always needs our help');
  await saved;

  await imke.getByRole('link', { name: 'Bank' }).click();
  await imke.getByRole('link', { name: 'Tidy the bank' }).click();
  await imke.getByRole('button', { name: 'Check the bank' }).click();
  const found = imke.getByRole('region', { name: 'Entries that say nearly the same' });
  await expect(found.getByRole('status')).toHaveText(/^One group among \d+ entries\.$/);
  const used = found.getByRole('region', { name: 'Hedgehog seen by day' });
  await expect(used).toContainText('placed once by one member');
  // The one in use is left unless one chooses otherwise.
  const other = found.getByRole('region', { name: 'Hedgehog out in daylight' });
  await other.getByRole('radio').click();
  await expect(used.getByRole('insertion').first()).toBeVisible();
  await expectAccessible(imke);
  await found.getByRole('button', { name: 'Merge 2 into one' }).click();
  const done = found.getByRole('status').filter({ hasText: 'went into “Hedgehog out in daylight”' });
  await expect(done).toBeVisible();

  // Its cue brings the one that is left; the draft that held it says so, and takes it over with its answers.
  const newer = anouk.getByRole('status').filter({ hasText: 'has become “Hedgehog out in daylight”' });
  await newer.getByRole('button', { name: 'Use the new wording' }).click();
  await expect.poll(() => words(anouk)).toContain('nearly always needs help');
  await expect(newer).toBeHidden();
  await anouk.getByRole('link', { name: 'Bank' }).click();
  await anouk
    .getByRole('region', { name: 'Collections' })
    .getByRole('link', { name: /^Helpline replies/ })
    .click();
  await anouk.getByRole('link', { name: /Hedgehog out in daylight/ }).click();
  await expect(anouk.getByRole('region', { name: 'Cues' }).getByRole('textbox').last()).toHaveValue('hog');
  await expect(anouk.getByRole('region', { name: 'History of “Hedgehog seen by day”' })).toContainText(
    'Start of the bank',
  );

  await done.getByRole('button', { name: 'Undo' }).click();
  await expect(found.getByRole('button', { name: 'Merge 2 into one' })).toBeVisible();
  await anouk.getByRole('link', { name: 'Bank' }).click();
  await anouk
    .getByRole('region', { name: 'Collections' })
    .getByRole('link', { name: /^Helpline replies/ })
    .click();
  await expect(anouk.getByRole('link', { name: /Hedgehog seen by day/ })).toBeVisible();
});

test('what is typed again and again: found in the drafts, made into an entry with its differing word open, or ignored', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  const write = async (title: RegExp, sentence: string) => {
    await openCase(page, title);
    const saved = page.waitForResponse(
      (response) => response.request().postData()?.includes('gauze overnight') ?? false,
    );
    await page.keyboard.type(sentence);
    await saved;
    await page.getByRole('link', { name: 'Desk' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(/desk/);
  };
  const said = (side: string) =>
    `We flushed the ${side} wing with warm saline and packed it with gauze overnight`;
  await write(/Bramble/, `Quiet. ${said('left')}.`);
  await write(/Keel/, `Restless. ${said('right')}, all day.`);
  await write(/Dune/, `Bright. ${said('left')}!`);
  await write(/Sorrel/, `Asleep. ${said('right')} (again).`);
  await page.keyboard.press('F2');
  await page.keyboard.type('tidy the bank');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Check the drafts' }).click();
  const section = page.getByRole('region', { name: 'Typed again and again' });
  const first = section.getByRole('listitem');
  await expect(first).toHaveCount(1);
  await expect(first).toContainText(/We flushed the (left|right) \/ (left|right) wing with warm saline/);
  await expect(first).toContainText('in 4 drafts');
  await expectAccessible(page);
  await first.getByRole('button', { name: 'Not worth it' }).click();
  await section.getByRole('button', { name: 'Undo' }).click();
  await section.getByRole('button', { name: 'Make it an entry' }).click();
  await expect(page.getByRole('textbox', { name: 'Wording', exact: true })).toContainText('We flushed the');
  await page.getByRole('combobox', { name: 'Collection' }).selectOption({ label: 'Ward notes' });
  await page.keyboard.press('F9');
  await expect(page.getByRole('status').filter({ hasText: 'Saved as revision 1' })).toBeVisible();

  // It is in the bank now, and no more to be made.
  await page.goto(new URL('/order', page.url()).href);
  await page.getByRole('button', { name: 'Check the drafts' }).click();
  await expect(section.getByRole('status')).toContainText('4 drafts were read');
  await expect(section.getByRole('listitem')).toHaveCount(0);
});

test('do we have something for this: the nearest entries to a message, or one made from it', async ({
  signedIn,
}) => {
  const page = await signedIn('Anouk Fell');
  await page.getByRole('link', { name: 'Bank' }).click();
  await page.getByRole('link', { name: 'Find wording for a message' }).click();
  const asked = page.getByRole('textbox', { name: 'What it is about' });
  await expect(asked).toBeFocused();
  await page.keyboard.insertText(
    'Good morning! There is a hedgehog on our lawn in full daylight. Should I offer it milk or lift it into a box?',
  );
  const near = page.getByRole('list', { name: 'Nearest entries' });
  const first = near.getByRole('listitem').first();
  await expect(first).toContainText('Hedgehog');
  await expect(first.locator('mark').filter({ hasText: 'milk' })).toBeVisible();
  await expectAccessible(page);
  await asked.fill('Tractor gearbox whines uphill');
  await expect(page.getByRole('status').filter({ hasText: 'Nothing is near enough' })).toBeVisible();
  await page.getByRole('button', { name: 'Make an entry from it' }).click();
  await expect(page.getByRole('textbox', { name: 'Wording', exact: true })).toHaveText(
    'Tractor gearbox whines uphill',
  );
});

test('personal details in shared wording: made into a field and taken back, or let stand with a reason', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  await page.getByRole('link', { name: 'Bank' }).click();
  await page.getByRole('link', { name: 'Write an entry' }).click();
  await page.getByRole('textbox', { name: 'Title' }).fill('Night call');
  await page.getByRole('textbox', { name: 'Wording', exact: true }).click();
  await page.keyboard.type('Bramble was restless, so we rang Odile. She came at two.');
  await page.getByRole('combobox', { name: 'Collection' }).selectOption({ label: 'Ward notes' });
  await page.keyboard.press('F9');
  await expect(page.getByRole('status').filter({ hasText: 'Saved as revision 1' })).toBeVisible();
  const entry = page.url();
  await page.goto(new URL('/order', entry).href);
  await page.getByRole('button', { name: 'Find personal details' }).click();
  const places = page.getByRole('list', { name: 'In Night call' }).getByRole('listitem');
  await expect(places.locator('mark')).toHaveText(['Bramble', 'Odile', 'She']);
  await expectAccessible(page);
  await places
    .filter({ hasText: 'he or she of one case' })
    .getByRole('button', { name: 'Make it a field' })
    .click();
  const section = page.getByRole('region', { name: 'Personal details in shared wording' });
  await section.getByRole('button', { name: 'Check again' }).click();
  await expect(places.locator('mark')).toHaveText(['Bramble', 'Odile']);
  await places
    .filter({ hasText: 'rang Odile' })
    .last()
    .getByRole('button', { name: 'This is fine …' })
    .click();
  await page.getByRole('textbox', { name: 'Reason to allow “Odile”' }).fill('She is always on call');
  await page.keyboard.press('Enter');
  await expect(section.getByRole('status').filter({ hasText: 'is allowed' })).toBeVisible();
  await section.getByRole('button', { name: 'Check again' }).click();
  await expect(places.locator('mark')).toHaveText(['Bramble']);
  await places.getByRole('button', { name: 'Make it a field' }).click();
  await section.getByRole('button', { name: 'Undo' }).click();
  await expect(places.locator('mark')).toHaveText(['Bramble']);
});

test('what is used: one’s own placing is counted, in charts with their tables', async ({ signedIn }) => {
  const page = await signedIn('Anouk Fell');
  await openCase(page, /Owlet/);
  const counted = page.waitForResponse(
    (response) => response.url().endsWith('/api/uses') && response.request().method() === 'POST',
  );
  await page.keyboard.type(';so ');
  await expect(draftOf(page)).toContainText('With kind regards');
  await page.keyboard.press('F9');
  await expect(page.getByRole('region', { name: 'Finished' })).toBeVisible();
  await counted;
  await page.getByRole('link', { name: 'Bank', exact: true }).click();
  await page.getByRole('link', { name: 'Usage' }).click();
  const row = page.getByRole('table', { name: 'By entry' }).getByRole('row', { name: /Sign-off/ });
  await expect(row.getByRole('cell').nth(0)).toHaveText('1');
  await expect(row.getByRole('cell').nth(1)).toHaveText('1');
  await expect(page.getByRole('region', { name: 'Never placed' })).toContainText('Hedgehog');
  await expectAccessible(page);
});
