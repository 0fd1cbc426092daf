import fs from 'node:fs';
import { expect, expectAccessible, test } from './test';

test('a collection handed on as a file, and taken over: what differs chosen, what is taken given way to, bad files told', async ({
  signedIn,
  server,
}, info) => {
  const imke = await signedIn('Imke Tarrow');
  await imke.goto(`${server.url}/collections/helpline`);
  const download = imke.waitForEvent('download');
  await imke.getByRole('button', { name: 'Save as a file for another team' }).click();
  const path = info.outputPath('helpline.json');
  await (await download).saveAs(path);

  // Someone else has it: as a collection of their own.
  const ruan = await signedIn('Ruan Pellow');
  await ruan.getByRole('link', { name: 'Bank', exact: true }).click();
  await ruan.getByRole('button', { name: 'Add', exact: true }).click();
  await ruan.getByRole('menuitem', { name: 'Bring in a collection' }).click();
  const file = ruan.getByLabel('Collection file');
  await file.setInputFiles({
    name: 'case.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"a": 1}'),
  });
  await expect(
    ruan.getByText('case.json is not a collection saved for another team. Nothing was brought in.'),
  ).toBeVisible();
  await file.setInputFiles({
    name: 'torn.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"form'),
  });
  await expect(ruan.getByText(/torn\.json is not JSON/)).toBeVisible();
  await file.setInputFiles(path);
  await expect(ruan.getByText('New here: 8')).toBeVisible();
  await expectAccessible(ruan);
  await ruan.getByRole('button', { name: 'Bring in 8 entries' }).click();
  await ruan.getByRole('link', { name: 'See it in the bank' }).click();
  const sheet = ruan.getByRole('region', { name: 'Helpline replies' });
  await expect(sheet).toContainText('8 entries');

  // The wording goes another way there, and comes back by a file.
  const changed = fs
    .readFileSync(path, 'utf8')
    .replace('With kind regards from all', 'With our thanks, from all');
  const again = (content: string) => ({
    name: 'again.json',
    mimeType: 'application/json',
    buffer: Buffer.from(content),
  });
  await imke.goto(`${server.url}/bank/take-over`);
  await imke.getByLabel('Collection file').setInputFiles(again(changed));
  await imke.getByLabel('Where it goes').selectOption('into Helpline replies');
  await expect(imke.getByText('Identical: 7')).toBeVisible();
  const differs = imke.getByRole('region', { name: 'Differ from yours' });
  await expect(differs.locator('ins')).toContainText(['our thanks,']);
  await expect(imke.getByRole('button', { name: 'Bring in 0 entries' })).toBeDisabled();
  // Kept beside the one that is here, its cue is taken.
  await differs.getByLabel('Keep both').check();
  await expect(differs).toContainText(';so is taken here: it comes with ;');
  await differs.getByLabel('Use theirs').check();
  await expectAccessible(imke);
  await imke.getByRole('button', { name: 'Bring in one entry' }).click();
  await expect(imke.getByText('0 entries added, and one entry changed.')).toBeVisible();
  await imke.getByRole('link', { name: 'See it in the bank' }).click();
  await expect(imke.getByRole('region', { name: 'Helpline replies' })).toContainText('With our thanks');
});
