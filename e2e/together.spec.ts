import { draftOf, expect, expectAccessible, openCase, test, words } from './test';

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
  const slip = imke.getByRole('form', { name: 'Keep wording' });
  await slip.getByRole('textbox', { name: /^Cue/ }).fill('fsh');
  await imke.keyboard.press('Enter');
  await expect(imke.getByRole('complementary')).toContainText('Type ,fsh');
  await odile.keyboard.press('Control+End');
  await odile.keyboard.press('Enter');
  await expect(odile.getByRole('region', { name: 'Wording in reach' })).toContainText(',fsh');
  await odile.keyboard.type(',fsh');
  await expect(draftOf(odile)).toContainText('Offer whole fish.');

  // Imke changes the wording Odile has placed: Odile is told, and takes it over.
  await imke.getByRole('link', { name: 'Bank' }).click();
  await imke.getByRole('link', { name: /Keep handling to a minimum/ }).click();
  await imke.getByRole('textbox', { name: 'Wording' }).focus();
  await imke.keyboard.press('Control+End');
  await imke.keyboard.type(' Two people at the most.');
  await imke.getByRole('textbox', { name: 'Why you change it' }).fill('Fewer hands');
  await imke.keyboard.press('F9');
  const newer = odile.getByRole('status').filter({ hasText: 'has a newer wording' });
  await expect(newer).toContainText('Fewer hands');
  await expect(newer.getByRole('insertion')).toHaveText(/^\s*Two people at the most\.$/);
  await newer.getByRole('button', { name: 'Take it over' }).click();
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
  const told = odile.getByRole('alert').filter({ hasText: 'Someone saved this entry' });
  await expect(told.getByRole('insertion')).toHaveText('Imke');
  await expect(told.getByRole('deletion')).toHaveText('Odile');
  await expect(odile.getByRole('textbox', { name: 'Wording' })).toContainText('By Odile.');
  await told.getByRole('button', { name: 'Save mine' }).click();
  const history = odile.getByRole('region', { name: 'History' });
  await expect(history.getByRole('listitem')).toHaveCount(3);
  await history.getByRole('button', { name: /Revision 2: Imke/ }).click();
  await expect(history.getByRole('insertion')).toHaveText(/By Imke\./);
  // Beside what stands now, hers gives way to what was written instead.
  await history.getByLabel('Shown').selectOption('beside what stands now');
  await expect(history.getByRole('deletion')).toHaveText('Imke');
  await expect(history.getByRole('insertion')).toHaveText('Odile');
  await expectAccessible(odile);
  await history.getByLabel('Shown').selectOption('as it read, whole');
  await expect(history).toContainText('By Imke.');
});

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
