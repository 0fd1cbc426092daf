import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { RunningServer } from './runningServer';
import { draftOf, expect, openCase, test, words } from './test';

const OTTER = path.join(import.meta.dirname, '../demo/to-drop/otter-tansy.json');

test('a Bundle becomes a case; a malformed one says what is wrong and where', async ({ signedIn }) => {
  const page = await signedIn('Odile Brandt');
  const give = (name: string, text: string) =>
    page.getByLabel('Files').setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text) });
  const otter = fs.readFileSync(OTTER, 'utf8');
  await give('torn.json', otter.slice(0, 400));
  await expect(page.getByRole('alert')).toContainText('torn.json is not JSON');
  await give('odd.json', otter.replace(/"value": \d+(\.\d+)?/, '"value": "much"'));
  await expect(page.getByRole('alert')).toContainText(/Bundle\.entry\[\d+\]\.resource \(Observation\)/);
  await give('huge.json', ' '.repeat(21_000_000));
  await expect(page.getByRole('alert')).toContainText('larger than 20 MB');
  await give('otter.json', otter);
  await page.getByRole('link', { name: 'Open it' }).click();
  await expect(draftOf(page)).toBeFocused();
  await expect(page.getByRole('region', { name: 'Record' })).toContainText('otter');
});

test('pasted HTML is reduced to what a text may hold', async ({ signedIn }) => {
  const page = await signedIn('Imke Tarrow');
  await openCase(page, /Sorrel/);
  const html = `<style>p{color:red}</style><script>window.hurt=1</script>
    <p style="font-size:60px" onclick="hurt=1">Wing <b>strapped</b>, <a href="javascript:hurt=1">see</a>
    <a href="https://hollin.example/owls" class="x">owls</a><img src="x" onerror="hurt=1"></p>
    <table><tr><th>Day</th><td>1</td></tr></table>`;
  await page.evaluate(
    (text) =>
      navigator.clipboard.write([
        new ClipboardItem({ 'text/html': new Blob([text], { type: 'text/html' }) }),
      ]),
    html,
  );
  await page.keyboard.press('Control+v');
  await expect(draftOf(page)).toContainText('Wing strapped, see owls');
  await expect(
    draftOf(page).locator('script, style, img, [style], [onclick], [href^="javascript"]'),
  ).toHaveCount(0);
  await expect(draftOf(page).locator('strong')).toHaveText('strapped');
  await expect(draftOf(page).getByRole('link')).toHaveAttribute('href', 'https://hollin.example/owls');
  await expect(draftOf(page).getByRole('cell', { name: '1' })).toBeVisible();
  await expect(page.getByRole('status', { name: 'Saving' })).toHaveText('Saved');
  expect(await page.evaluate(() => 'hurt' in window)).toBe(false);
});

test('a taken cue and an empty wording are told, and the slip keeps what was written', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  await openCase(page, /Bramble/);
  await page.keyboard.press('F4');
  await expect(page.getByRole('complementary')).toContainText('Select the words to keep first');
  await page.keyboard.type('Fed by hand at dusk.');
  await page.keyboard.press('Shift+Home');
  await page.keyboard.press('F4');
  const slip = page.getByRole('form', { name: 'Save wording' });
  await slip.getByRole('textbox', { name: /^Cue/ }).fill('ADM');
  await page.keyboard.press('Enter');
  await expect(slip.getByRole('alert')).toContainText('already brings “Hedgehog admission”');
  await slip.getByRole('button', { name: /^Use ,/ }).click();
  await slip.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('complementary')).toContainText('Saved: “Fed by hand at dusk”');

  await page.getByRole('link', { name: 'Bank' }).click();
  await page.getByRole('link', { name: /Fed by hand/ }).click();
  await page.getByRole('textbox', { name: 'Wording' }).press('Control+a');
  await page.keyboard.press('Delete');
  await page.keyboard.press('F9');
  await expect(page.getByRole('alert')).toContainText('There is no wording yet');
  await page.getByRole('button', { name: 'Discard changes' }).click();
  await expect(page.getByRole('textbox', { name: 'Wording' })).toHaveText('Fed by hand at dusk.');
});

test('a new team: the first page makes the owner; a wrong password and a second process are refused', async ({
  page,
}) => {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'elderleaf-team-'));
  const server = await RunningServer.start(folder, { demo: null });
  try {
    await expect(RunningServer.start(folder)).rejects.toThrow(/is in use by another Elderleaf/);
    await page.goto(server.url);
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Begin your bank');
    await page.getByLabel('Your name').fill('Imke Tarrow');
    await page.getByLabel('Email').fill('imke@hollin.example');
    await page.getByLabel('Password').fill('short');
    await page.getByRole('button', { name: 'Make the account' }).click();
    await expect(page.getByText('use at least 10 characters')).toBeVisible();
    await page.getByLabel('Password').fill('tide over marsh');
    await page.getByRole('button', { name: 'Make the account' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Set up your team');
    await page.getByRole('link', { name: 'To the desk' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Imke’s desk');
    await expect(page.getByText('Your desk is empty')).toBeVisible();
    // Nobody else is there, and nothing is in the bank: a first leaf is written on all the same.
    await page.getByRole('button', { name: 'New leaf' }).click();
    await expect(draftOf(page)).toBeFocused();
    await page.keyboard.type('Our first words.');
    await expect(page.getByRole('status', { name: 'Saving' })).toHaveText('Saved');
    await page.getByRole('link', { name: 'Desk', exact: true }).click();
    await expect(page.getByRole('link', { name: /^Our first words/ })).toBeVisible();
    await page.getByRole('link', { name: 'Bank' }).click();
    await expect(page.getByText('The bank is empty')).toBeVisible();
    await page.context().clearCookies();
    await page.reload();
    await page.getByLabel('Email').fill('imke@hollin.example');
    await page.getByLabel('Password').fill('tide over the marsh');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('alert')).toContainText('Check the email and the password');
    await page.getByLabel('Password').fill('tide over marsh');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('heading', { name: 'The bank' })).toBeVisible();
  } finally {
    await server.kill();
    fs.rmSync(folder, { recursive: true, force: true });
  }
});

test('words with blanks pasted into another draft come as plain words', async ({ signedIn }) => {
  const page = await signedIn('Imke Tarrow');
  await openCase(page, /Bramble/);
  await page.keyboard.type(',wt');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+a');
  await page.keyboard.press('Control+c');
  await page.getByRole('link', { name: 'Desk' }).click();
  await openCase(page, /Keel/);
  await page.keyboard.press('Control+v');
  await expect.poll(() => words(page)).toContain('Bramble weighed 512 g');
  await expect(draftOf(page).locator('.blank')).toHaveCount(0);
});
