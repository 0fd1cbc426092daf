import { draftOf, expect, expectAccessible, openCase, test, words } from './test';

test('invited by a letter from the post room, joined by its link, put into a group, made an owner, leaving again', async ({
  signedIn,
  browser,
}) => {
  const imke = await signedIn('Imke Tarrow');
  await imke.getByRole('link', { name: 'Team', exact: true }).click();
  const invite = imke.getByRole('form', { name: 'Invite someone' });
  await invite.getByLabel('Name', { exact: true }).fill('Wilma Reed');
  await invite.getByLabel('Email').fill('odile@hollin.example');
  await invite.getByRole('button', { name: 'Invite' }).click();
  await expect(invite.getByText('This address has an account already')).toBeVisible();
  await invite.getByLabel('Email').fill('wilma@hollin.example');
  await invite.getByLabel('Ward staff').check();
  await expectAccessible(imke);
  await invite.getByRole('button', { name: 'Invite' }).click();
  await expect(imke.getByRole('region', { name: 'Invited' })).toContainText(
    'wilma@hollin.example · Ward staff',
  );
  await invite.getByRole('link', { name: 'post room' }).click();
  const letter = imke.getByRole('article', { name: 'Imke Tarrow invites you to Elderleaf' });
  await expectAccessible(imke);
  const link = (await letter.getByRole('link').getAttribute('href'))!;

  const wilma = await (await browser.newContext()).newPage();
  await wilma.goto(link);
  await expect(wilma.getByText('You will sign in as wilma@hollin.example.')).toBeVisible();
  expect(wilma.url()).not.toContain('#');
  await wilma.getByLabel('Password').fill('short');
  await wilma.keyboard.press('Enter');
  await expect(wilma.getByText('use at least 10 characters')).toBeVisible();
  await expectAccessible(wilma);
  await wilma.getByLabel('Password').fill('a quiet owl at dusk');
  await wilma.keyboard.press('Enter');
  await expect(wilma.getByRole('heading', { level: 1 })).toHaveText(/desk/);
  const again = await (await browser.newContext()).newPage();
  await again.goto(link);
  await expect(again.getByText('It was used already, or is too old.')).toBeVisible();

  // Her own details sign what she places; where she is signed in is hers to see.
  await wilma.goto(new URL('/account', wilma.url()).href);
  await expect(wilma.getByRole('region', { name: 'Where you are signed in' })).toContainText('here');
  await wilma.getByLabel('Phone').fill('extension 330');
  await wilma.getByRole('button', { name: 'Save your details' }).click();
  await expect(wilma.getByText('Saved.')).toBeVisible();
  await expectAccessible(wilma);

  await imke.goto(new URL('/people', imke.url()).href);
  const team = imke.getByRole('list', { name: 'The team' });
  const row = team.getByRole('listitem').filter({ hasText: 'Wilma Reed' });
  await expect(row).toContainText('extension 330 · Ward staff');
  const change = async (who: string, what: string) => {
    await imke.getByRole('button', { name: `Manage ${who}` }).click();
    await imke.getByRole('menuitem', { name: what }).click();
  };
  await change('Imke Tarrow', 'Make a member');
  await expect(imke.getByText('A team needs an owner.')).toBeVisible();
  await change('Wilma Reed', 'Make an owner');
  await expect(row).toContainText('owner');
  await wilma.getByRole('link', { name: 'Team', exact: true }).click();
  await expect(wilma.getByRole('link', { name: 'Trail' })).toBeVisible();

  const groups = imke.getByRole('region', { name: 'Groups' });
  await groups.getByLabel('A new group').fill('Night watch');
  await imke.keyboard.press('Enter');
  const group = imke.getByRole('form', { name: 'The group Night watch' });
  await group.getByLabel('Wilma Reed').check();
  await group.getByRole('button', { name: 'Save the group' }).click();
  await expect(row).toContainText('Night watch, Ward staff');

  await change('Ruan Pellow', 'Hand over');
  const leaving = imke.getByRole('form', { name: 'Hand over what Ruan Pellow keeps' });
  await leaving.getByRole('button', { name: 'End the membership' }).click();
  await expect(leaving).toContainText('would have no keeper');
  await leaving.getByLabel('Who takes over').selectOption('Wilma Reed');
  await leaving.getByRole('button', { name: 'End the membership' }).click();
  await expect(team.getByRole('listitem').filter({ hasText: 'Ruan Pellow' })).toContainText('left');
  await wilma.keyboard.press('Escape');
  await wilma.getByRole('link', { name: 'Bank', exact: true }).click();
  await expect(wilma.getByRole('region', { name: 'Collections' })).toContainText('ArchiveYou keep it');

  await imke.goto(new URL('/trail', imke.url()).href);
  const trail = imke.getByRole('list', { name: 'What was done' });
  await expect(trail).toContainText('Imke Tarrow ended the membership of Ruan Pellow');
  await imke.getByLabel('About').selectOption('wording');
  await expect(trail).not.toContainText('Ruan Pellow ended');
  await imke.getByLabel('About').selectOption('people');
  await expect(trail).toContainText('Wilma Reed joined as Wilma Reed: member');
  await expectAccessible(imke);
  const download = imke.waitForEvent('download');
  await imke.getByRole('button', { name: 'Save as CSV' }).click();
  expect((await download).suggestedFilename()).toBe('Trail.csv');
});

test('a session ended elsewhere asks to sign in; a forgotten password is chosen anew by a letter', async ({
  signedIn,
  browser,
}) => {
  const [odile, imke] = [await signedIn('Odile Brandt'), await signedIn('Imke Tarrow')];
  const elsewhere = await signedIn('Odile Brandt');
  await odile.goto(new URL('/account', odile.url()).href);
  const places = odile.getByRole('region', { name: 'Where you are signed in' });
  await places.getByRole('button', { name: 'Sign out there' }).first().click();
  await expect(places.getByRole('listitem')).toHaveCount(1);
  await elsewhere.getByRole('link', { name: 'Team', exact: true }).click();
  await elsewhere.reload();
  await expect(elsewhere.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await elsewhere.getByRole('button', { name: 'I have forgotten my password' }).click();
  await elsewhere.getByLabel('Your email').fill('odile@hollin.example');
  await expectAccessible(elsewhere);
  await elsewhere.keyboard.press('Enter');
  await expect(elsewhere.getByText('If there is an account with this address')).toBeVisible();

  await imke.goto(new URL('/post', imke.url()).href);
  const letter = imke.getByRole('article', { name: 'A new password for Elderleaf' });
  await letter.getByRole('button', { name: 'Read the email to odile@hollin.example' }).click();
  const link = (await letter.getByRole('link').getAttribute('href'))!;
  const fresh = await (await browser.newContext()).newPage();
  await fresh.goto(link);
  await fresh.getByLabel('New password').fill('two swans at dawn');
  await fresh.keyboard.press('Enter');
  await expect(fresh.getByRole('heading', { level: 1 })).toHaveText(/desk/);
});

test('another set of one’s details signs its kind of work, and a case can ask for the account’s', async ({
  signedIn,
}) => {
  const page = await signedIn('Anouk Fell');
  const { keyboard } = page;
  await page.getByRole('button', { name: 'Anouk Fell' }).click();
  await page.getByRole('menuitem', { name: /account/i }).click();
  const form = page.getByRole('form', { name: 'Other details to sign with' });
  await form.getByRole('button', { name: 'Add a set' }).press('Enter');
  await keyboard.type('Evenings');
  await form.getByRole('textbox', { name: 'Role' }).fill('Evening helpline');
  await form.getByRole('checkbox', { name: 'Replies', exact: true }).check();
  await expectAccessible(page);
  await form.getByRole('button', { name: 'Save these sets' }).press('Enter');
  await expect(form.getByText('Saved.')).toBeVisible();

  await page.getByRole('link', { name: 'Desk' }).click();
  await openCase(page, /volunteer/);
  await keyboard.type(';reply ');
  await expect.poll(() => words(page)).toContain('Evening helpline');
  await keyboard.press('Control+z');
  await page.getByRole('button', { name: 'About this case' }).press('Enter');
  const choice = page.getByRole('combobox', { name: 'Sign this case with' });
  await choice.selectOption('the details of your account');
  await choice.press('Enter');
  await expect(choice).toHaveValue('account');
  await draftOf(page).focus();
  await keyboard.press('Control+a');
  await keyboard.type(';reply ');
  await expect.poll(() => words(page)).toContain('Anouk');
  expect(await words(page)).not.toContain('Evening helpline');
});
