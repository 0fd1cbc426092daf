import { draftOf, expect, expectAccessible, openCase, test } from './test';

test('every screen is accessible, light and dark', async ({ server, signedIn, page: nobody }) => {
  test.setTimeout(300_000);
  await nobody.goto(server.url);
  await expect(nobody.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await expectAccessible(nobody);

  const page = await signedIn('Imke Tarrow');
  await expectAccessible(page);

  await openCase(page, /Bramble/);
  await expectAccessible(page);
  await page.keyboard.type('Bramble is brighter. ,adm');
  await expect(page.getByRole('region', { name: 'Current blank' })).toBeVisible();
  await expectAccessible(page);
  await page.keyboard.press('F9');
  await expect(page.getByRole('list', { name: 'Gaps' })).toBeVisible();
  await page.keyboard.press('F2');
  await expect(page.getByRole('combobox')).toBeFocused();
  await page.keyboard.type('weight');
  await expectAccessible(page);
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+a');
  await page.keyboard.press('F4');
  await expect(page.getByRole('form', { name: 'Save wording' })).toBeVisible();
  await expectAccessible(page);
  await page.keyboard.press('Escape');
  await draftOf(page).press('Control+a');
  await page.keyboard.type('All well.');
  await page.keyboard.press('F9');
  await expect(page.getByRole('region', { name: 'Finished' })).toBeVisible();
  await expectAccessible(page);

  await page.getByRole('link', { name: 'Bank' }).click();
  await expect(page.getByRole('heading', { name: 'The bank' })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('link', { name: /Hedgehog admission/ }).click();
  await page.getByRole('button', { name: /^Signs/ }).click();
  await page.getByRole('button', { name: /^Now/ }).click();
  await expectAccessible(page);
  await page.goto(new URL('/keys', page.url()).href);
  await expect(page.getByRole('heading', { name: 'Keys' })).toBeVisible();
  await expectAccessible(page);
  // What is new is told by a dot until it has been looked at; to who has never looked all is new.
  const own = page.getByRole('button', { name: 'Imke Tarrow' });
  await expect(own).not.toContainText('something is new');
  await page.goto(new URL('/news', page.url()).href);
  await expect(page.getByRole('heading', { name: 'News', exact: true })).toBeVisible();
  await expectAccessible(page);
  const preferences = new URL('/api/preferences', page.url()).href;
  const seen = async () =>
    ((await (await page.request.get(preferences)).json()) as { newsSeen?: number }).newsSeen;
  await expect.poll(seen).toBeGreaterThan(0);
  const before = { ...((await (await page.request.get(preferences)).json()) as object), newsSeen: 0 };
  await page.request.put(preferences, { data: before });
  await page.goto(new URL('/bank', page.url()).href);
  await expect(own).toContainText('something is new');
  await page.goto(new URL('/news', page.url()).href);
  await expect(own).not.toContainText('something is new');
  await page.goto(new URL('/nowhere', page.url()).href);
  await expect(page.getByRole('heading', { name: 'There is nothing here' })).toBeVisible();
  await expectAccessible(page);
});

/** What is one's own is at none of the places of the team. */
const ONES_OWN = ['/account', '/wastebasket', '/news', '/keys', '/pedal'];

test(
  'every screen says where one is, and nothing runs off the side of a phone',
  { tag: '@alone' },
  async ({ signedIn }) => {
    const page = await signedIn('Imke Tarrow');
    await page.setViewportSize({ width: 390, height: 800 });
    const overflow = () => page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    for (const path of [
      '/',
      '/bank',
      '/bank/hedgehog-admission',
      '/collections/ward',
      '/proposals',
      '/people',
      '/account',
      '/post',
      '/trail',
      '/wastebasket',
      '/bank/rows',
      '/bank/nearest',
      '/bank/bring-in',
      '/order',
      '/usage',
      '/order/words',
      '/order/term',
      '/order/ageing',
      '/practice',
      '/bank/print',
      '/news',
      '/cases/hedgehog-bramble',
      '/keys',
      '/cues',
      '/glossaries',
      '/glossaries/medicines',
      '/pedal',
    ]) {
      await page.goto(new URL(path, page.url()).href);
      // Each says where one is: one heading, which is the title of the tab too, and its place marked in the head line.
      const heading = page.getByRole('heading', { level: 1 });
      await expect(heading).toHaveCount(1);
      // What a screen is called may come with what it shows: both are asked for until they say the same.
      const said = async () => (await heading.textContent())!.replace(/\s+/g, ' ').trim();
      await expect
        .poll(async () => (await page.title()) === `${await said()} · Elderleaf`, { message: path })
        .toBe(true);
      const marked = page.getByRole('navigation', { name: 'Main' }).locator('[aria-current=page]');
      await expect(marked).toHaveCount(ONES_OWN.includes(path) ? 0 : 1);
      expect(await overflow(), path).toBeLessThanOrEqual(0);
    }
    // Nor does a question cover the line it asks about, however low that stands: at the size of a phone, and at 200%.
    await page.goto(new URL('/cases/hedgehog-bramble', page.url()).href);
    await expect(draftOf(page)).toBeFocused();
    for (let line = 0; line < 20; line += 1) await page.keyboard.press('Enter');
    await page.keyboard.type(',fl');
    const question = page.getByRole('region', { name: 'Current blank' });
    await expect(question).toContainText('How many millilitres?');
    const between = () =>
      page.evaluate(() => {
        const asked = document.querySelector('.margin-level')!.getBoundingClientRect();
        const blank = document.querySelector('.blank.is-current')!.getBoundingClientRect();
        return [blank.top > 0, blank.bottom < asked.top];
      });
    await expect.poll(between).toEqual([true, true]);
    await page.setViewportSize({ width: 640, height: 400 });
    await page.keyboard.press('F8');
    await expect(question).toContainText('By which route?');
    await expect.poll(between).toEqual([true, true]);
  },
);
