import { draftOf, expect, expectAccessible, openCase, pressKeys, test, words } from './test';

/** A day so many days before this one, as a leaf writes it. The demo's hedgehog was last weighed two days ago. */
const dayInWords = (daysAgo: number) =>
  new Intl.DateTimeFormat('en-GB', { dateStyle: 'long', timeZone: 'UTC' }).format(
    Date.now() - daysAgo * 86_400_000,
  );
const [YESTERDAY, LAST_WEIGHED] = [dayInWords(1), dayInWords(2)];

test('a leaf begun with nothing asked, and a case begun by hand, by keyboard alone; a colleague has it too', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  const { keyboard } = page;
  await keyboard.press('F2');
  await expect(page.getByRole('combobox')).toBeFocused();
  await keyboard.type('New leaf');
  await keyboard.press('Enter');
  await expect(draftOf(page)).toBeFocused();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('A new leaf');
  await keyboard.type('Rang the vet about the owl. She comes at noon.');
  await expect(page.getByRole('status', { name: 'Saving' })).toHaveText('Saved');
  // Cues of every collection fire: it is of no one kind.
  await keyboard.type(' ,ho');
  await expect.poll(() => words(page)).not.toContain(',ho');

  await keyboard.press('F2');
  await keyboard.type('New case');
  await keyboard.press('Enter');
  const form = page.getByRole('form', { name: 'A new case' });
  await expect(form.getByRole('textbox', { name: 'Title' })).toBeFocused();
  await expect(page.getByRole('link', { name: /^Rang the vet about the owl/ })).toBeVisible();
  await keyboard.press('Enter');
  await expect(form.getByRole('alert').first()).toContainText('give it a title');
  await keyboard.type('Moth, hedgehog');
  await form.getByRole('combobox', { name: 'Kind of work' }).selectOption('Admission');
  await form.getByRole('textbox', { name: 'Name', exact: true }).fill('Moth');
  await form.getByRole('textbox', { name: 'Date of birth' }).fill('in the spring');
  await form.getByRole('combobox', { name: 'Give the case to a colleague too' }).selectOption('Odile Brandt');
  await expectAccessible(page);
  // What is written stays when one goes elsewhere and comes back.
  await page.getByRole('link', { name: 'Bank', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'The bank' })).toBeVisible();
  await page.goBack();
  await expect(form.getByRole('textbox', { name: 'Name', exact: true })).toHaveValue('Moth');
  await form.getByRole('textbox', { name: 'Title' }).press('Enter');
  await expect(form.getByRole('alert')).toContainText('Not a date yet');
  await form.getByRole('textbox', { name: 'Date of birth' }).fill('4 mar 2026');
  await expect(form).toContainText('4 March 2026');
  await form.getByRole('textbox', { name: 'Date of birth' }).press('Enter');
  await expect(draftOf(page)).toBeFocused();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Moth, hedgehog');
  await expect(page.getByRole('region', { name: 'Record' })).toContainText(/\d (weeks|months|years)/);

  const odile = await signedIn('Odile Brandt');
  await odile.getByRole('link', { name: /^Moth, hedgehog/ }).click();
  await expect(draftOf(odile)).toBeFocused();
});

test('the desk that is opened before the last words are saved shows them as soon as they are', async ({
  signedIn,
}) => {
  const page = await signedIn('Ruan Pellow');
  await page.getByRole('button', { name: 'New leaf' }).click();
  await expect(draftOf(page)).toBeFocused();
  let send = () => {};
  const deskAsked = new Promise<void>((resolve) => (send = resolve));
  await page.route('**/api/drafts/*', async (route) => {
    if (route.request().method() === 'PUT') await deskAsked;
    await route.continue();
  });
  await page.keyboard.type('The reed bed was cut in March.');
  await page.getByRole('link', { name: 'Desk', exact: true }).click();
  await expect(page.getByRole('link', { name: /^A new leaf/ })).toBeVisible();
  send();
  await expect(page.getByRole('link', { name: /^The reed bed was cut/ })).toBeVisible();
});

test('with the connection down a case is begun on this computer; sent when it is back, it is one case', async ({
  server,
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  // What draws a leaf is there by then.
  await openCase(page, /Dune/);
  await page.getByRole('link', { name: 'Desk', exact: true }).click();
  await page.getByRole('button', { name: 'New case' }).click();
  const form = page.getByRole('form', { name: 'A new case' });
  await form.getByRole('textbox', { name: 'Title' }).fill('Dune transect');
  await server.kill();
  await form.getByRole('button', { name: 'Begin the case' }).click();
  await expect(draftOf(page)).toBeFocused();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^Dune transect/);
  await page.keyboard.type('Begun without a line.');
  await expect(page.getByText(/One leaf waits to be sent/)).toBeVisible();
  await server.again();
  await expect(page.getByText(/One leaf waits to be sent/)).toBeHidden();
  await expect(page.getByRole('status', { name: 'Saving' })).toHaveText('Saved');
  await page.reload();
  await expect(draftOf(page)).toHaveText('Begun without a line.');
  await page.getByRole('link', { name: 'Desk', exact: true }).click();
  await expect(page.getByRole('link', { name: /^Dune transect/ })).toHaveCount(1);
});

test('a record corrected by hand: what is placed follows, here and at a colleague’s, and nothing written is lost', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  await openCase(page, /Bramble/);
  await page.keyboard.type('Seen today. ,adm');
  await expect.poll(() => words(page)).toContain('Bramble, a female hedgehog');
  const odile = await signedIn('Odile Brandt');
  await openCase(odile, /Bramble/);
  await odile.keyboard.type('Noted. ,adm');
  await expect.poll(() => words(odile)).toContain('a female hedgehog');

  await page.getByRole('button', { name: 'Correct the record' }).click();
  const record = page.getByRole('region', { name: 'Correct the record' });
  await record.getByRole('textbox', { name: 'Name', exact: true }).fill('Brambly');
  await page.keyboard.press('Enter');
  await expect.poll(() => words(page)).toContain('Seen today. Brambly, a female hedgehog');
  await expect(page.getByText('The record was corrected. One blank follows.')).toBeVisible();
  await expect(record.getByText(/said Bramble\./)).toBeVisible();
  await expectAccessible(page);
  await expect.poll(() => words(odile)).toContain('Noted. Brambly, a female hedgehog');

  const born = record.getByRole('textbox', { name: 'Admitted' });
  await born.fill('soon');
  await page.keyboard.press('Enter');
  await expect(record.getByRole('alert')).toContainText('Not a date yet');
  await born.fill('18 nov 2026');
  await page.keyboard.press('Enter');
  await expect.poll(() => words(page)).toContain('admitted on 18 November 2026');
  await record.getByRole('button', { name: 'Back to that' }).first().click();
  await expect.poll(() => words(page)).toContain('Seen today. Bramble, a female hedgehog');
  // What was written is there, on the server too.
  await expect(page.getByRole('status', { name: 'Saving' })).toHaveText('Saved');
  await page.reload();
  await expect(draftOf(page)).toBeFocused();
  expect(await words(page)).toContain('Seen today. Bramble, a female hedgehog');
});

test('a weight written into the record by keys: doubted, corrected, followed by what is placed, taken out and put back', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  const { keyboard } = page;
  await openCase(page, /Bramble/);
  await keyboard.type('Seen. ,wt');
  await expect.poll(() => words(page)).toContain(`weighed 512 g on ${LAST_WEIGHED}`);
  const odile = await signedIn('Odile Brandt');
  await openCase(odile, /Bramble/);

  await page.getByRole('button', { name: 'Correct the record' }).press('Enter');
  const weights = page.getByRole('region', { name: 'Measurements' });
  const add = weights.getByRole('button', { name: 'Add a measurement' });
  await add.press('Enter');
  await expect(weights.getByRole('combobox', { name: 'What was measured' })).toBeFocused();
  await keyboard.press('Enter');
  await expect(weights.getByRole('alert').first()).toContainText('Say what it is');
  await keyboard.type('body weight');
  await keyboard.press('Tab');
  await keyboard.type('5300');
  await keyboard.press('Tab');
  await page.keyboard.press('Control+a');
  // As one types it, short and small: how it was read is told.
  await keyboard.type(YESTERDAY.toLowerCase().replace(/([a-z]{3})[a-z]*/, '$1'));
  await expect(weights.getByText(YESTERDAY, { exact: true })).toBeVisible();
  await keyboard.press('Enter');
  await expect(weights.getByText(`It was 512 g on ${LAST_WEIGHED}.`)).toBeVisible();
  await expectAccessible(page);
  await weights.getByRole('textbox', { name: 'Amount' }).fill('530');
  await keyboard.press('Enter');
  await expect(add).toBeFocused();
  await expect(weights.getByText(`Body weight 530 g, ${YESTERDAY}`)).toBeVisible();
  await expect.poll(() => words(page)).toContain(`weighed 530 g on ${YESTERDAY}`);
  await expect(odile.getByText('530 g').first()).toBeVisible();

  await weights.getByRole('button', { name: /^Correct Body weight 512 g/ }).press('Enter');
  await weights.getByRole('textbox', { name: 'Amount' }).fill('521 g');
  await keyboard.press('Enter');
  await expect(weights.getByText(/said Body weight 512 g/)).toBeVisible();
  await weights.getByRole('button', { name: /^Remove Body weight 530 g/ }).press('Enter');
  await expect.poll(() => words(page)).toContain(`weighed 521 g on ${LAST_WEIGHED}`);
  await weights.getByRole('button', { name: 'Back to that' }).press('Enter');
  await expect.poll(() => words(page)).toContain(`weighed 512 g on ${LAST_WEIGHED}`);
  await weights.getByRole('button', { name: /^Put back Body weight 530 g/ }).press('Enter');
  await expect.poll(() => words(page)).toContain(`weighed 530 g on ${YESTERDAY}`);

  // Of two who change one thing the second is told, and what the first wrote stands.
  const problems = page.getByRole('region', { name: 'Problems' });
  await odile.getByRole('button', { name: 'Correct the record' }).press('Enter');
  const hers = odile.getByRole('region', { name: 'Problems' });
  await hers.getByRole('button', { name: /^Correct lungworm/ }).press('Enter');
  await problems.getByRole('button', { name: /^Remove lungworm/ }).press('Enter');
  await expect(problems.getByRole('list', { name: 'Removed' })).toContainText('lungworm');
  await hers.getByRole('combobox', { name: 'State' }).selectOption('resolved');
  await hers.getByRole('button', { name: 'Save' }).press('Enter');
  await expect(hers.getByText(/Somebody changed this meanwhile/)).toBeVisible();
});

test('a case is renamed, given, closed and reopened on both desks; taken back, and handed on', async ({
  signedIn,
}) => {
  const page = await signedIn('Anouk Fell');
  await openCase(page, /volunteer/);
  await page.getByRole('button', { name: 'About this case' }).click();
  const about = page.getByRole('region', { name: 'About this case' });
  await about.getByRole('textbox', { name: 'Title' }).fill('Volunteer for Saturdays');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Volunteer for Saturdays');
  await about.getByRole('combobox', { name: 'Give it to' }).selectOption('Ruan Pellow');
  await expect(about).toContainText('Ruan Pellow');
  await expectAccessible(page);
  const ruan = await signedIn('Ruan Pellow');
  const there = ruan.getByRole('link', { name: /^Volunteer for Saturdays/ });
  await expect(there).toBeVisible();
  await about.getByRole('button', { name: 'Close the case' }).click();
  await expect(there).toBeHidden();
  await ruan.getByText('Closed, 1').click();
  await there.click();
  await expect(draftOf(ruan)).toBeFocused();
  await ruan.getByRole('button', { name: 'About this case' }).click();
  await ruan.getByRole('button', { name: 'Reopen the case' }).click();
  // What Ruan did has reached Anouk, before she does what would refuse it.
  await expect(about.getByRole('button', { name: 'Close the case' })).toBeVisible();
  // Taken back it is on Ruan's desk no more; handed on, Anouk lets go of it herself.
  const given = about.getByRole('list', { name: 'On the desk of' });
  await given.getByRole('button', { name: 'Take the case back from Ruan Pellow' }).press('Enter');
  await expect(given.getByRole('listitem')).toHaveText(['Anouk Fell']);
  await ruan.getByRole('link', { name: 'Desk', exact: true }).click();
  await expect(ruan.getByRole('heading', { level: 1 })).toHaveText(/desk/);
  await expect(there).toHaveCount(0);
  await about.getByRole('combobox', { name: 'Give it to' }).selectOption('Ruan Pellow');
  await given.getByRole('button', { name: 'Leave this case' }).press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/desk/);
  await expect(page.getByRole('link', { name: /^Volunteer for Saturdays/ })).toHaveCount(0);
  await expect(there).toBeVisible();
});

test('details come from the clipboard in one step, into a new case and into a record; what stands there stays', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  await page.context().grantPermissions(['clipboard-read', 'clipboard-write']);
  const copy = (text: string) => page.evaluate((words) => navigator.clipboard.writeText(words), text);
  await copy('Patient name: Thistle\nD.O.B.: 4 Mar 2026\nGender: F\nRef: HH-2001\nSeen twice before.');
  await page.getByRole('button', { name: 'New case' }).click();
  const form = page.getByRole('form', { name: 'A new case' });
  await form.getByRole('combobox', { name: 'Kind of work' }).selectOption('Admission');
  await form.getByRole('textbox', { name: 'Species' }).fill('hedgehog');
  await form.getByRole('button', { name: 'Fill in from the clipboard' }).focus();
  await page.keyboard.press('Enter');
  await expect(form.getByRole('status')).toContainText('Not understood: “Seen twice before.”');
  await expect(form.getByRole('textbox', { name: 'Title' })).toHaveValue('Thistle');
  await expect(form.getByRole('textbox', { name: 'Case number' })).toHaveValue('HH-2001');
  await expect(form.getByRole('combobox', { name: 'Sex' })).toHaveValue('female');
  await expect(form).toContainText('4 March 2026');
  await form.getByRole('textbox', { name: 'Title' }).press('Enter');
  await expect(draftOf(page)).toBeFocused();

  await copy('Ward\tSpecies\tAge\npen 9\thedgehog\t3 weeks');
  await page.getByRole('button', { name: 'Correct the record' }).click();
  const correcting = page.getByRole('region', { name: 'Correct the record' });
  await correcting.getByRole('button', { name: 'Fill in from the clipboard' }).click();
  await expect(correcting.getByRole('status').first()).toContainText('Filled in: Ward.');
  await expect(correcting.getByRole('status').first()).toContainText('Already there: Species.');
  await expect(correcting.getByRole('textbox', { name: 'Ward' })).toHaveValue('pen 9');
  await correcting.getByRole('button', { name: 'Undo' }).click();
  await expect(correcting.getByRole('status').first()).toContainText('Undone.');
  await expect(correcting.getByRole('textbox', { name: 'Ward' })).toHaveValue('');
  await correcting.getByRole('button', { name: 'Fill in from the clipboard' }).click();
  await expect(correcting.getByRole('textbox', { name: 'Ward' })).toHaveValue('pen 9');
  // It is in the record, for everyone it is given to.
  await page.reload();
  await expect(draftOf(page)).toBeFocused();
  await pressKeys(page, ['Alt+c']);
  await expect(page.getByRole('region', { name: 'Record', exact: true })).toContainText('pen 9');
});
