import type { Batch, Sending } from '../contracts';
import { expect, expectAccessible, pressKeys, test, type Page } from './test';

/** Forty people who applied: one without an address, one with work there is not, one nobody has decided about. */
const table = (): string => {
  const rows = Array.from({ length: 40 }, (_, at) => {
    const name = `Person ${String.fromCharCode(65 + (at % 26))}${at} Marl`;
    const decision = at === 8 ? 'ask Jory' : at % 2 === 0 ? 'yes' : 'no';
    return [
      name,
      at === 6 ? '' : `person${at}@marsh.example`,
      at === 10 ? 'singing' : 'driving',
      '3 December',
      'Your letter to us',
      decision,
    ];
  });
  return [['Name', 'Email', 'Work', 'Evening', 'Subject', 'Decision'], ...rows]
    .map((row) => row.join(';'))
    .join('\r\n');
};

const letters = (page: Page) => page.getByRole('listbox', { name: 'Letters' });
const line = (page: Page, name: string) => letters(page).getByRole('option', { name });
const draft = (page: Page) => page.getByRole('textbox', { name: 'Draft' });
const part = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Parts of the batch' }).getByRole('link', { name }).click();

async function ask<T>(page: Page, path: string): Promise<T> {
  return (await page.request.get(new URL(path, page.url()).href)).json() as Promise<T>;
}

/** Goes to a row in the list, by its keys. */
async function goTo(page: Page, row: number): Promise<void> {
  await letters(page).focus();
  await pressKeys(page, ['Home', ...Array.from({ length: row }, () => 'ArrowDown')]);
}

/** Picks the entry of a rule by words of it. */
async function pick(page: Page, rule: string, words: string): Promise<void> {
  const kept = page.waitForResponse((one) => one.request().method() === 'PUT');
  await page.getByRole('combobox', { name: `Entry of ${rule}` }).fill(words);
  await expect(page.getByRole('listbox', { name: 'Entries found' })).toBeVisible();
  await page.keyboard.press('Enter');
  await kept;
}

test('a table of forty becomes letters: decided by a column, checked, three by hand, killed while they go out, and each goes once', async ({
  server,
  signedIn,
}) => {
  const page = await signedIn('Anouk Fell');
  await page.goto(new URL('/outbox', page.url()).href);
  const saved = page.waitForResponse((one) => one.request().method() === 'PUT');
  await page.getByLabel('A letter waits before it goes').selectOption('0');
  await saved;

  // A table that is dropped on the desk becomes a batch; what is no table says so.
  await page.goto(new URL('/', page.url()).href);
  const told = page.getByRole('region', { name: 'From a file' });
  const file = { name: 'Volunteers.csv', mimeType: 'text/csv', buffer: Buffer.from(table()) };
  await told.getByLabel('Files', { exact: true }).setInputFiles(file);
  await told.getByRole('link', { name: 'Open it' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Volunteers');

  // A column decides; what no value of it fits is a pile of its own.
  await page.getByLabel('A column decides').selectOption({ label: 'Decision' });
  await pick(page, 'Rule 1', 'visiting the hospital');
  await pick(page, 'Rule 2', 'offering to volunteer');
  const outcome = page.getByRole('region', { name: 'What comes of it' });
  await expect(outcome).toContainText('39 of 40 rows have a letter.');
  await page.getByRole('button', { name: 'Remove Rule 3' }).click();
  await expectAccessible(page);
  await part(page, 'Table');
  const problems = page.getByRole('region', { name: 'Problems' });
  await expect(problems).toContainText('Row 7: no email address');
  await expectAccessible(page);
  await part(page, 'Who gets what');
  await outcome.getByRole('button', { name: 'Decide one row by hand' }).click();
  await expect(line(page, 'Person I8')).toContainText('no letter yet');
  await expect(letters(page)).toBeFocused();
  await page.keyboard.press('2');
  await expect(page.getByText('No letter is in this state any more.')).toBeVisible();

  // Checked one by one: Enter brings the next; H holds one back; a gap is gone to.
  await part(page, 'Letters');
  await expect(line(page, 'Person I8')).toContainText('to check');
  await goTo(page, 0);
  await expect(draft(page)).toContainText('help with driving');
  await pressKeys(page, ['Enter', 'h', 'ArrowDown', 'ArrowDown']);
  await expect(line(page, 'Person A0')).toContainText('checked');
  await expect(line(page, 'Person B1')).toContainText('held back');
  await expect(draft(page)).toContainText('Dear Person D3 Marl');
  await expectAccessible(page);
  for (const [row, words] of [
    [2, ' Bring a friend.'],
    [4, ' Mind the gate.'],
    [6, ' Rang on Monday.'],
  ] as const) {
    await goTo(page, row);
    await page.keyboard.press('w');
    await expect(draft(page)).toBeFocused();
    await pressKeys(page, ['Control+End']);
    await page.keyboard.type(words);
    await expect(
      letters(page)
        .getByRole('option')
        .filter({ hasText: `${String.fromCharCode(65 + row)}${row} Marl` }),
    ).toContainText('by hand');
  }
  await expect(page.getByText('3 of 40 are changed by hand; they keep that.')).toBeVisible();
  await page.keyboard.press('Alt+v');
  await goTo(page, 10);
  await pressKeys(page, ['Enter']);
  await expect(page.getByText('It has a gap: Work.')).toBeVisible();
  await expect(draft(page)).toBeFocused();
  await pressKeys(page, ['1', 'Alt+Enter']);
  await expect(line(page, 'Person K10')).toContainText('checked');

  // A sample is checked, and the rest let go by a plain act.
  await page.getByLabel('Letters in the sample').fill('2');
  await page.getByRole('button', { name: 'Check a sample' }).click();
  await expect(letters(page)).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByText('1 of the sample of 2 still to check.')).toBeVisible();
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: /^Let these \d+ go unread/ }).click();
  await expect(page.getByText('39 of 40 checked')).toBeVisible();

  // The wording changes: what was checked reads otherwise now, what was changed by hand stays, and takes the change in.
  const [, id] = /cases\/([^?]+)/.exec(page.url())!;
  const batch = await ask<Batch>(page, `/api/cases/${id}/batch`);
  const entry = batch.setup!.rules[1]!.entry;
  const now = await ask<{ revision: number; content: object }>(page, `/api/entries/${entry}`);
  const content = JSON.parse(
    JSON.stringify(now.content).replace('in the barn', 'in the boathouse'),
  ) as object;
  const kept = await page.request.put(new URL(`/api/entries/${entry}`, page.url()).href, {
    headers: { 'If-Match': `"${now.revision}"`, Origin: server.url },
    data: { content, reason: 'The barn is let' },
  });
  expect(kept.status()).toBe(200);
  await goTo(page, 0);
  await expect(draft(page)).toContainText('in the boathouse');
  await expect(line(page, 'Person A0')).toContainText('to check');
  await goTo(page, 2);
  await expect(draft(page)).toContainText('in the barn');
  await page.getByRole('button', { name: 'Take the change in' }).click();
  await expect(draft(page)).toContainText('in the boathouse');
  await expect(draft(page)).toContainText('Bring a friend.');
  await page.getByLabel('Shown').selectOption('to-check');
  await letters(page).focus();
  await expect(async () => {
    await page.keyboard.press('Enter');
    await expect(page.getByText('39 of 40 checked')).toBeVisible({ timeout: 200 });
  }).toPass();

  // They go out; the server is killed in the middle, and they go on by themselves; stopped, and gone on with.
  await part(page, 'Going out');
  const mail = page.getByRole('region', { name: 'By mail' });
  await mail.getByRole('button', { name: 'Send 39 letters' }).click();
  await expect(mail.getByRole('alert')).toContainText('Person G6 Marl: Nobody is named to whom it goes.');
  const sent = async () => (await ask<Sending[]>(page, '/api/sendings')).map(({ state }) => state);
  await expect.poll(async () => (await sent()).filter((state) => state === 'gone').length).toBeGreaterThan(0);
  await server.kill();
  await server.again();
  await page.reload();
  await expect(mail.getByRole('status')).toContainText('on the way');
  await expectAccessible(page);
  await mail.getByRole('button', { name: 'Stop' }).click();
  await expect(mail).toContainText('They can be sent any time');
  expect(await sent()).not.toContain('waiting');
  await page.getByLabel('Letters a minute').fill('600');
  await mail.getByRole('heading').click();
  await mail.getByRole('button', { name: /^Send \d+ letters/ }).click();
  const where = page.getByRole('region', { name: 'Where they are' });
  await expect(where).toContainText(/gone out3[78]/);

  // Each at most once; none forgotten; what was held back and what has no address stayed.
  const out = (await ask<Sending[]>(page, '/api/sendings')).filter(({ state }) => state !== 'taken-back');
  const to = out.map((one) => one.to[0]!.address);
  expect(new Set(to).size).toBe(to.length);
  expect(to).toHaveLength(38);
  expect(to).not.toContain('person1@marsh.example');
  const mended = out.find((one) => one.to[0]!.address === 'person2@marsh.example')!;
  const message = await page.request.get(new URL(`/api/sendings/${mended.id}/message`, page.url()).href);
  expect((await message.text()).replace(/=\r\n/g, '')).toContain('Bring a friend.');
});
