import { draftOf, expect, expectAccessible, openCase, test } from './test';

test('files kept with a case, by keyboard alone: added, opened, deleted and brought back; a colleague has them, words go on', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  await openCase(page, /Bramble/);
  await page.keyboard.type('Brighter today. ');
  const files = page.getByRole('region', { name: 'Files of this case' });
  const chosen = page.waitForEvent('filechooser');
  await files.getByRole('button', { name: 'Add files' }).focus();
  await page.keyboard.press('Enter');
  const film = Buffer.alloc(3_000_000, 5);
  await (
    await chosen
  ).setFiles([
    { name: 'Wound.txt', mimeType: 'text/plain', buffer: Buffer.from('left ear, 4 mm') },
    { name: 'Night camera.bin', mimeType: 'application/octet-stream', buffer: film },
    { name: 'page.html', mimeType: 'text/html', buffer: Buffer.from('<script>alert(1)</script>') },
  ]);
  const lines = files.getByRole('listitem');
  await expect(lines).toHaveText([
    /^Wound\.txt.*14 bytes/,
    /^Night camera\.bin.*3 MB/,
    /^page\.html.*a text file/,
  ]);
  const told = await page.request.get(
    new URL((await lines.nth(1).getByRole('link').getAttribute('href'))!, page.url()).href,
  );
  expect((await told.body()).equals(film)).toBe(true);

  await files.getByRole('button', { name: 'Delete Wound.txt' }).focus();
  await page.keyboard.press('Enter');
  await expect(lines).toHaveCount(2);
  // The undo has the keys, and then the text has them again, which was not touched by any of it.
  await expect(files.getByRole('button', { name: 'Undo' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(lines).toHaveCount(3);
  await expect(draftOf(page)).toBeFocused();
  await page.keyboard.type('It ate.');
  await expect(draftOf(page)).toHaveText('Brighter today. It ate.');

  const odile = await signedIn('Odile Brandt');
  await openCase(odile, /Bramble/);
  await odile.getByRole('button', { name: 'Files, 3' }).click();
  await expect(odile.getByRole('region', { name: 'Files of this case' }).getByRole('listitem')).toHaveCount(
    3,
  );
});

test('a file that cannot be sent says so, and what else is sent is kept; without a connection it waits, and goes again by itself', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  await openCase(page, /Keel/);
  const files = page.getByRole('region', { name: 'Files of this case' });
  await page.route('**/api/cases/*/files/*', async (route) =>
    decodeURIComponent((await route.request().headerValue('elderleaf-name')) ?? '') === 'Lost.txt'
      ? route.abort('connectionfailed')
      : route.continue(),
  );
  await files.getByLabel('Files for this case').setInputFiles([
    { name: 'Lost.txt', mimeType: 'text/plain', buffer: Buffer.from('a') },
    { name: 'Kept.txt', mimeType: 'text/plain', buffer: Buffer.from('b') },
  ]);
  await expect(files.getByRole('listitem')).toHaveText([/^Kept\.txt/]);
  await expect(files.getByRole('alert')).toContainText('The server cannot be reached');

  await page.context().setOffline(true);
  const sent = { name: 'Later.txt', mimeType: 'text/plain', buffer: Buffer.from('c') };
  await files.getByLabel('Files for this case').setInputFiles([sent]);
  const onTheirWay = files.getByRole('list', { name: 'Files being sent' });
  await expect(onTheirWay).toContainText('waits until the server can be reached');
  await page.context().setOffline(false);
  await expect(files.getByRole('link', { name: /^Later\.txt/ })).toBeVisible();
  await expect(onTheirWay).toBeHidden();
});

test('files that are all too large are refused before a case is made for them', async ({ signedIn }) => {
  const page = await signedIn('Imke Tarrow');
  await page.route('**/api/files/limits', (route) => route.fulfill({ json: { mostBytes: 100 } }));
  const told = page.getByRole('region', { name: 'From a file' });
  await told.getByLabel('Files', { exact: true }).setInputFiles([
    { name: 'Night camera.raw', mimeType: 'application/octet-stream', buffer: Buffer.alloc(2000, 1) },
    { name: 'Day camera.raw', mimeType: 'application/octet-stream', buffer: Buffer.alloc(3000, 1) },
  ]);
  await told.getByRole('button', { name: 'Save them' }).click();
  await expect(told.getByRole('alert')).toHaveText(
    'Night camera.raw has 2 kB, and 100 bytes is the most. It was not saved.',
  );
  await expect(page.getByRole('link', { name: /camera/ })).toHaveCount(0);
  await expect(told.getByRole('listitem')).toHaveCount(2);
});

test('a file goes along with an entry: placed, listed with the finished text, handed on and taken over by another', async ({
  signedIn,
  server,
}, info) => {
  const imke = await signedIn('Imke Tarrow');
  const bank = (await (await imke.request.get(`${server.url}/api/bank`)).json()) as {
    entries: { id: string; collection: string; content: { title: string } }[];
  };
  const entry = bank.entries.find(({ collection }) => collection === 'helpline')!;
  await imke.goto(`${server.url}/bank/${entry.id}`);
  const files = imke.getByRole('region', { name: 'Files', exact: true });
  const leaflet = {
    name: 'Finding a hoglet.txt',
    mimeType: 'text/plain',
    buffer: Buffer.from('Keep it warm.'),
  };
  const again = { ...leaflet, name: 'The same again.txt' };
  const large = { name: 'Film.mp4', mimeType: 'video/mp4', buffer: Buffer.alloc(20_000_001, 1) };
  await files.getByLabel('Files for this entry').setInputFiles([leaflet, again, large]);
  // What holds the same is one file; what is too large keeps no other out.
  await expect(files.getByRole('listitem')).toHaveText([/^Finding a hoglet\.txt.*13 bytes/]);
  await expect(files.getByRole('alert')).toHaveText(
    'Film.mp4 has 20 MB, and 20 MB is the most. It was not saved.',
  );
  // As many at once as an entry may have, and two more: each of the twelve is there.
  const scans = Array.from({ length: 13 }, (_, at) => ({
    name: `Scan ${at}.txt`,
    mimeType: 'text/plain',
    buffer: Buffer.from(`Page ${at}`),
  }));
  await files.getByLabel('Files for this entry').setInputFiles(scans);
  await expect(files.getByRole('listitem')).toHaveText([
    /^Finding/,
    ...scans.slice(0, 11).map(({ name }) => new RegExp(`^${name.replace('.', '\\.')}`)),
  ]);
  await expect(files.getByRole('alert')).toHaveText(
    'An entry has 12 files at the most: 2 files were not added.',
  );
  for (const { name } of scans.slice(0, 11))
    await files.getByRole('button', { name: `Remove ${name}`, exact: true }).press('Enter');
  await imke.keyboard.press('F9');
  await expect(imke.getByText(/Saved as revision/)).toBeVisible();
  await expect(files.getByRole('link', { name: /Finding a hoglet/ })).toBeVisible();
  await expectAccessible(imke);

  // Handed on it is in the file; Ruan, who has nothing of the helpline, takes it over and places it.
  await imke.goto(`${server.url}/collections/helpline`);
  const download = imke.waitForEvent('download');
  await imke.getByRole('button', { name: 'Save as a file for another team' }).click();
  const path = info.outputPath('helpline.json');
  await (await download).saveAs(path);
  const ruan = await signedIn('Ruan Pellow');
  await ruan.goto(`${server.url}/bank/bring-in`);
  await ruan.getByLabel('File to bring in').setInputFiles(path);
  await ruan.getByRole('button', { name: /^Bring in \d+ entries/ }).click();
  await expect(ruan.getByRole('link', { name: 'See it in the bank' })).toBeVisible();
  await ruan.getByRole('link', { name: 'Desk' }).click();
  await ruan.getByRole('button', { name: 'New leaf' }).click();
  await expect(draftOf(ruan)).toBeFocused();
  await ruan.keyboard.press('F2');
  await ruan.keyboard.type(entry.content.title);
  await ruan
    .getByRole('option', { name: new RegExp(`^${entry.content.title}`) })
    .first()
    .click();
  const along = ruan.getByRole('list', { name: 'Attached files' });
  const address = await along.getByRole('link', { name: /Finding a hoglet/ }).getAttribute('href');
  // It is to be had from the draft as soon as that is saved.
  await expect
    .poll(async () => (await ruan.request.get(`${server.url}${address}`)).text())
    .toBe('Keep it warm.');
});
