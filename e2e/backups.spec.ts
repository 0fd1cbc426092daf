import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { hasPostgres, startPostgres } from '../scripts/postgres.mjs';
import { RunningServer, runCommand } from './runningServer';
import { draftOf, expect, expectAccessible, openCase, signIn, test, words } from './test';

const CUE_OF_HEDGEHOG = 'Hedgehog admission';
/** Another port than that of the tests of the server. */
const PORT = 54_781;

let folder: string;
test.beforeAll(() => {
  folder = fs.mkdtempSync(path.join(os.tmpdir(), 'elderleaf-backed-'));
  fs.cpSync(process.env.E2E_DEMO_FOLDER!, path.join(folder, 'data'), { recursive: true });
});
test.afterAll(() => fs.rmSync(folder, { recursive: true, force: true }));

test('a collection as it was: what was deleted and changed since is shown, brought back by keyboard, and taken back again', async ({
  browser,
}) => {
  const data = path.join(folder, 'data');
  const server = await RunningServer.start(data, { backups: path.join(folder, 'backups') });
  const page = await signIn(await (await browser.newContext()).newPage(), server.url, 'Imke Tarrow');
  await page.getByRole('link', { name: 'Team', exact: true }).click();
  await page.getByRole('link', { name: 'Backups' }).click();
  await page.getByRole('button', { name: 'Make a backup now' }).press('Enter');
  await expect(page.getByText(/The backup is made/)).toBeVisible();
  await expectAccessible(page);
  const download = page.waitForEvent('download');
  await page
    .getByRole('link', { name: /^Download the backup/ })
    .first()
    .press('Enter');
  expect((await download).suggestedFilename()).toMatch(/^elderleaf-.*\.zip$/);

  // One of the ward's entries is deleted.
  await page.getByRole('link', { name: 'Bank', exact: true }).click();
  await page.getByRole('link', { name: CUE_OF_HEDGEHOG }).first().click();
  await page.getByRole('button', { name: 'Delete the entry' }).click();
  await page.getByRole('alertdialog').getByRole('button', { name: 'Delete', exact: true }).click();

  await page.goto(`${server.url}/backups`);
  const made = page.getByRole('listitem').filter({ hasText: 'made by an owner' });
  await made.getByRole('link', { name: /Compare with today/ }).press('Enter');
  const ward = page.getByRole('listitem').filter({ hasText: 'Ward notes' });
  await ward.getByText('1 entry is missing today').press('Enter');
  await expect(ward).toContainText(CUE_OF_HEDGEHOG);
  await expectAccessible(page);
  await page.getByRole('checkbox', { name: 'Ward notes' }).press('Space');
  await page.getByRole('button', { name: 'Bring back what is ticked' }).press('Enter');
  await expect(page.getByText('Brought back: 1 entry.')).toBeVisible();
  await expect(page.getByText('There is nothing to bring back.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).press('Enter');
  await expect(ward).toContainText('1 entry is missing today');

  // Somebody who keeps nothing of it neither sees it nor takes a backup away.
  const anouk = await signIn(await (await browser.newContext()).newPage(), server.url, 'Anouk Fell');
  await anouk.goto(`${server.url}/backups`);
  await expect(anouk.getByRole('link', { name: /Compare with today/ }).first()).toBeVisible();
  await expect(anouk.getByRole('link', { name: /Download/ })).toHaveCount(0);
  await expect(anouk.getByRole('button', { name: 'Make a backup now' })).toHaveCount(0);
  await server.stop();
});

test('from the embedded store to a PostgreSQL server in two steps: the leaf goes on where it was', async ({
  browser,
}) => {
  test.skip(!hasPostgres(), 'no PostgreSQL can be started here');
  const data = path.join(folder, 'data');
  const here = await RunningServer.start(data);
  const page = await signIn(await (await browser.newContext()).newPage(), here.url, 'Imke Tarrow');
  await openCase(page, /Dune/);
  await page.keyboard.type('She sleeps well.');
  const written = await words(page);
  // Left for the desk, all of it is saved.
  await page.getByRole('link', { name: 'Desk', exact: true }).click();
  await expect(page.getByRole('link', { name: /Dune/ })).toContainText('She sleeps well.');
  await here.stop();

  const file = path.join(folder, 'moved.zip');
  runCommand(['backup', file], { ELDERLEAF_DATA: data, ELDERLEAF_DEMO: 'first-day' });
  const { url, stop } = startPostgres(PORT);
  try {
    const elsewhere = path.join(folder, 'elsewhere');
    const said = runCommand(['restore', file], {
      ...{ ELDERLEAF_DATA: elsewhere, ELDERLEAF_DEMO: 'first-day', DATABASE_URL: url },
    });
    expect(said).toMatch(/^Restored [\d,]+ rows and \d+ files/);
    const there = await RunningServer.start(elsewhere, { databaseUrl: url });
    const moved = await signIn(await (await browser.newContext()).newPage(), there.url, 'Imke Tarrow');
    await openCase(moved, /Dune/);
    expect(await words(moved)).toBe(written);
    await moved.keyboard.press('Control+End');
    await moved.keyboard.type(' ,wt ');
    await expect(draftOf(moved)).not.toContainText(',wt');
    await there.stop();
  } finally {
    stop();
  }
});
