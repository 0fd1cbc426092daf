import type { Page } from '@playwright/test';
import { expect, expectAccessible, test } from './test';

const tree = (page: Page) => page.getByRole('region', { name: 'Collections' });
const lines = (page: Page) => tree(page).getByRole('listitem');

async function makeCollection(page: Page, name: string, within?: string): Promise<void> {
  await page.getByRole('link', { name: 'Bank', exact: true }).click();
  if (within) {
    await tree(page).getByRole('link', { name: within }).click();
    await page.getByRole('link', { name: `Settings of ${within}` }).click();
  }
  await page.getByLabel(within ? 'New collection inside' : 'New collection').fill(name);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name, level: 1 })).toBeVisible();
}

test('collections in each other: made, put in order by keys, taken back; never into themselves', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  await makeCollection(page, 'Letters');
  await makeCollection(page, 'Thanks', 'Letters');
  await expect(page.getByRole('navigation', { name: 'What it is in' })).toContainText('Letters');
  await expectAccessible(page);
  await page.getByRole('link', { name: 'Bank', exact: true }).click();
  await expectAccessible(page);
  await expect(lines(page).last()).toContainText('My own wording');
  await expect(lines(page).nth(-2)).toContainText('Thanks');
  await tree(page)
    .getByRole('link', { name: /^Letters/ })
    .focus();
  await page.keyboard.press('Alt+ArrowUp');
  await expect(lines(page).nth(3)).toContainText('Letters');
  await expect(lines(page).nth(4)).toContainText('Thanks');
  await expect(page.getByRole('status').filter({ hasText: '“Letters” has moved' })).toBeVisible();
  await expect(tree(page).getByRole('link', { name: /^Letters/ })).toBeFocused();
  await tree(page)
    .getByRole('link', { name: /^Thanks/ })
    .focus();
  await page.keyboard.press('Alt+ArrowLeft');
  const told = page.getByRole('status').filter({ hasText: '“Thanks” is at the top now' });
  await expect(lines(page).nth(4)).toContainText('Thanks');
  await told.getByRole('button', { name: 'Undo' }).click();
  await expect(told).toBeHidden();
  await tree(page)
    .getByRole('link', { name: /^Thanks/ })
    .click();
  await page.getByRole('link', { name: 'Settings of Thanks' }).click();
  await expect(page.getByRole('navigation', { name: 'What it is in' })).toContainText('Letters');

  // By its handle: down past the helpline's, and to the right, into it.
  await page.getByRole('link', { name: 'Bank', exact: true }).click();
  await tree(page).getByRole('button', { name: 'Move Letters' }).hover();
  await page.mouse.down();
  const over = (await tree(page)
    .getByRole('link', { name: /^Helpline/ })
    .boundingBox())!;
  await page.mouse.move(over.x + 40, over.y + over.height / 2, { steps: 8 });
  await page.mouse.up();
  await expect(
    page.getByRole('status').filter({ hasText: '“Letters” is in “Helpline replies” now' }),
  ).toBeVisible();
});

test(
  'sharing, seen at once by those it concerns: given, passed down, narrowed, taken away',
  { tag: '@alone' },
  async ({ signedIn }) => {
    const [imke, ruan] = [await signedIn('Imke Tarrow'), await signedIn('Ruan Pellow')];
    await ruan.getByRole('link', { name: 'Bank', exact: true }).click();
    await expect(lines(ruan)).toHaveCount(2);
    await makeCollection(imke, 'Letters');
    await makeCollection(imke, 'Thanks', 'Letters');
    await imke
      .getByRole('navigation', { name: 'What it is in' })
      .getByRole('link', { name: 'Letters' })
      .click();
    await expect(imke.getByRole('heading', { name: 'Letters', level: 1 })).toBeVisible();
    const sharing = imke.getByRole('form', { name: 'Sharing' });
    await sharing.getByLabel('Share with').selectOption('Ruan Pellow');
    await sharing.getByLabel('Ruan Pellow', { exact: true }).selectOption('may propose changes');
    await expectAccessible(imke);
    await sharing.getByRole('button', { name: 'Save' }).click();
    await expect(lines(ruan)).toHaveText([
      /^Archive/,
      /^LettersYou may use it and propose/,
      /^ThanksYou may use/,
      /^My own/,
    ]);

    // Narrowed: what is in it is not his any more.
    await imke.getByRole('region', { name: 'In it' }).getByRole('link', { name: 'Thanks' }).click();
    await expect(imke.getByRole('heading', { name: 'Thanks', level: 1 })).toBeVisible();
    await expect(imke.getByRole('region', { name: 'Sharing' })).toContainText('Ruan Pellow may propose');
    await sharing.getByLabel('Share with').selectOption('Ruan Pellow');
    await sharing.getByLabel('Ruan Pellow', { exact: true }).selectOption('may not see it');
    await sharing.getByRole('button', { name: 'Save' }).click();
    await expect(lines(ruan)).toHaveText([/^Archive/, /^Letters/, /^My own/]);

    // To leave it to nobody is refused; nothing is lost by it.
    await imke
      .getByRole('navigation', { name: 'What it is in' })
      .getByRole('link', { name: 'Letters' })
      .click();
    await expect(imke.getByRole('heading', { name: 'Letters', level: 1 })).toBeVisible();
    await sharing.getByRole('button', { name: 'Remove Imke Tarrow from the list' }).click();
    await expect(sharing).toContainText('You would no longer be a keeper');
    await sharing.getByRole('button', { name: 'Save' }).click();
    await expect(sharing).toContainText('It needs a keeper');
    await sharing.getByLabel('Ruan Pellow', { exact: true }).selectOption('keeps it');
    await sharing.getByRole('button', { name: 'Save' }).click();
    await expect(imke.getByRole('heading', { name: 'There is nothing here' })).toBeVisible();
    await expect(lines(ruan).nth(1)).toContainText('You keep it');
  },
);

test('a collection remembers what it was set to, by whom and why; what it was can be brought back', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  await page.goto(new URL('/collections/ward', page.url()).href);
  const form = page.getByRole('form', { name: 'Settings' });
  await form.getByLabel('Lead-in').fill('#');
  await form.getByLabel('Reason for the change').fill('Commas are typed too often');
  await page.keyboard.press('Enter');
  const history = page.getByRole('region', { name: 'History' });
  await history.getByRole('button', { name: /^Now: Imke.*Commas are typed too often/ }).click();
  await expect(history).toContainText('Lead-in: , #');
  await expectAccessible(page);
  await history.getByRole('button', { name: /^Revision 1/ }).click();
  await history.getByRole('button', { name: 'Bring these settings back' }).click();
  await expect(form.getByLabel('Lead-in')).toHaveValue(',');
  await form.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(history.getByRole('button', { name: /^Revision 2/ })).toBeVisible();
});

test('two who change one collection: what does not touch is made one, of what does the second chooses', async ({
  signedIn,
}) => {
  const [imke, odile] = [await signedIn('Imke Tarrow'), await signedIn('Odile Brandt')];
  for (const page of [imke, odile]) {
    await page.goto(new URL('/collections/ward', page.url()).href);
    await expect(page.getByRole('heading', { name: 'Ward notes', level: 1 })).toBeVisible();
  }
  const [first, second] = [imke, odile].map((page) => page.getByRole('form', { name: 'Settings' }));
  await second!.getByLabel('Name', { exact: true }).fill('Notes of the ward');
  await first!.getByLabel('Lead-in').fill('#');
  await imke.keyboard.press('Enter');
  await expect(second!.getByLabel('Lead-in')).toHaveValue('#');
  await expect(second!.getByLabel('Name', { exact: true })).toHaveValue('Notes of the ward');
  await first!.getByLabel('Name', { exact: true }).fill('Ward');
  await first!.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(second!).toContainText('Someone else saved this meanwhile');
  await second!.getByRole('button', { name: /Keep mine/ }).click();
  await second!.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(imke.getByRole('heading', { name: 'Notes of the ward', level: 1 })).toBeVisible();
  await expect(first!.getByLabel('Lead-in')).toHaveValue('#');
});

test('a right withdrawn while the entry is open: it goes, and what was being written goes on as one’s own', async ({
  signedIn,
}) => {
  const [imke, odile] = [await signedIn('Imke Tarrow'), await signedIn('Odile Brandt')];
  await odile.getByRole('link', { name: 'Bank', exact: true }).click();
  await odile.getByRole('link', { name: /Wound cleaned/ }).click();
  await odile.getByRole('textbox', { name: 'Wording' }).focus();
  await odile.keyboard.press('Control+End');
  await odile.keyboard.type(' Seen again at noon.');
  await expect(odile.getByText('Not saved yet')).toBeVisible();
  await imke.goto(new URL('/collections/ward', imke.url()).href);
  const sharing = imke.getByRole('form', { name: 'Sharing' });
  await sharing.getByRole('button', { name: 'Remove Odile Brandt from the list' }).click();
  await sharing.getByRole('button', { name: 'Save' }).click();
  const kept = odile.getByRole('region', { name: 'What you had changed' });
  await expect(kept).toContainText('Seen again at noon.');
  await expectAccessible(odile);
  await kept.getByRole('button', { name: 'Save it in my own wording' }).click();
  await expect(odile.getByRole('textbox', { name: 'Wording' })).toContainText('Seen again at noon.');
  await expect(odile.getByRole('form', { name: 'Entry' })).toContainText('My own wording');
});
