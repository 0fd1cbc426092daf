import { draftOf, expect, openCase, pressKeys, test, words, type Page } from './test';

const fresh = async (page: Page) => {
  await pressKeys(page, ['Escape', 'Control+a', 'Delete']);
};

test('a cue fires by its rules, and one Backspace or undo gives back exactly what was typed', async ({
  signedIn,
}) => {
  const page = await signedIn('Anouk Fell');
  await openCase(page, /Owlet/);
  const { keyboard } = page;

  // The helpline's cues wait for a closing key, which is dropped; within a word they do not fire.
  await keyboard.type('below;so ');
  await expect.poll(() => words(page)).toBe('below;so ');
  await fresh(page);
  await keyboard.type('Bye. ;so ');
  await expect.poll(() => words(page)).toBe('Bye. With kind regards from all at Hollin Marsh');
  await pressKeys(page, ['Backspace']);
  await expect.poll(() => words(page)).toBe('Bye. ;so ');
  await keyboard.type('x');
  await expect.poll(() => words(page)).toBe('Bye. ;so x');

  await fresh(page);
  for (const closer of ['Enter', 'Tab', '.']) {
    await keyboard.type(';SO');
    await pressKeys(page, [closer]);
    await expect.poll(() => words(page)).toBe('With kind regards from all at Hollin Marsh');
    await pressKeys(page, ['Control+z']);
    await expect.poll(() => words(page)).toBe(closer === '.' ? ';SO.' : closer === 'Enter' ? ';SO\n' : ';SO');
    await fresh(page);
  }

  // Over a placement whose first blank is current, Backspace gives back the cue as well.
  await keyboard.type(';ow ');
  await expect(page.getByRole('region', { name: 'Current blank' })).toContainText('Is there danger');
  await expect.poll(() => words(page)).toContain('Dear Petra Lindow,');
  await pressKeys(page, ['Backspace']);
  await expect.poll(() => words(page)).toBe(';ow ');

  // In the middle of a line and in a list, the words join properly.
  await fresh(page);
  await keyboard.type('- Hours:then');
  for (let step = 0; step < 4; step += 1) await pressKeys(page, ['ArrowLeft']);
  await keyboard.type(';hrs ');
  await expect.poll(() => words(page)).toMatch(/^Hours: The hospital .+ can rest\. then$/);
  await expect(draftOf(page).getByRole('listitem')).toHaveCount(1);
});

test('dates of the record stay the same day west and east of Greenwich', async ({ browser, server }) => {
  for (const timezoneId of ['America/Los_Angeles', 'Pacific/Auckland']) {
    const page = await (await browser.newContext({ timezoneId })).newPage();
    await page.goto(server.url);
    await page.getByRole('button', { name: 'Imke Tarrow' }).click();
    await openCase(page, /Bramble/);
    await fresh(page);
    await page.keyboard.type(',adm');
    const answered = await page.evaluate(async () => {
      const found = await fetch('/api/cases/hedgehog-bramble');
      const { record } = (await found.json()) as {
        record: { details: { path: string; value: { date?: string } }[] };
      };
      return record.details.find(({ path }) => path === 'admitted')!.value.date!;
    });
    const [year, month, day] = answered.split('-').map(Number);
    const names =
      'January February March April May June July August September October November December'.split(' ');
    await expect.poll(() => words(page)).toContain(`admitted on ${day} ${names[month! - 1]} ${year}`);
  }
});
