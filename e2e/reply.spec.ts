import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { draftOf, expect, expectAccessible, pressKeys, test, words, type Page } from './test';

const DOT =
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==';
const OWLET = path.join(process.cwd(), 'demo/to-drop/owlet.eml');

/** Selects words of the message as one does by the mouse, and gives the keys to nothing else. */
const select = (page: Page, from: string, to: string) =>
  page.evaluate(
    ([first, last]) => {
      const text = document.querySelector('[data-message-text] div')!.firstChild!;
      const all = text.textContent!;
      document
        .getSelection()!
        .setBaseAndExtent(text, all.indexOf(first!), text, all.indexOf(last!) + last!.length);
    },
    [from, to],
  );

test('a message that is dropped is answered: what came along is saved, the nearest wording placed, words quoted by a key', async ({
  signedIn,
}) => {
  const page = await signedIn('Anouk Fell');
  const asked: string[] = [];
  page.on('request', (request) => asked.push(new URL(request.url()).host));
  const told = page.getByRole('region', { name: 'From a file' });
  const html =
    '<p>Hello</p><img src="http://elsewhere.example/seen.png"><script>document.title = "run"</script>';
  await told.getByLabel('Files', { exact: true }).setInputFiles([
    { name: 'owlet.eml', mimeType: 'message/rfc822', buffer: await readFile(OWLET) },
    { name: 'no message.eml', mimeType: 'message/rfc822', buffer: Buffer.from('Nothing of a message.') },
    {
      name: 'rich.eml',
      mimeType: 'message/rfc822',
      buffer: Buffer.from(
        [
          'From: a@marsh.example',
          'Subject: Rich',
          'MIME-Version: 1.0',
          'Content-Type: multipart/related; boundary=x',
          '',
          '--x',
          'Content-Type: text/html',
          '',
          html,
          '--x',
          'Content-Type: image/png; name="dot.png"',
          'Content-ID: <dot@x>',
          'Content-Disposition: inline; filename="dot.png"',
          'Content-Transfer-Encoding: base64',
          '',
          DOT,
          '--x--',
        ].join('\r\n'),
      ),
    },
  ]);
  await expect(told.getByText('no message.eml is not an email message', { exact: false })).toBeVisible();
  await expect(told.getByText('A case was made: Rich.')).toBeVisible();
  await told.getByRole('link', { name: 'Open it' }).first().press('Enter');

  const message = page.getByRole('region', { name: 'Messages' });
  await expect(message).toContainText('Petra Lindow <petra.lindow@marsh.example>');
  await expect(message.getByText('Marsh Lane', { exact: false })).toBeHidden();
  await message.getByText('Earlier messages').click();
  await expect(message.getByText('young tawny owls often leave the nest', { exact: false })).toBeVisible();
  await expect(page.getByText('Files, 2')).toBeVisible();
  await expect(
    page.getByRole('list', { name: 'Near to the message' }).getByRole('listitem').first(),
  ).toContainText('Owlet on the ground');
  await expectAccessible(page);

  // Before a word is typed the key places the nearest wording, filled from the head of the message.
  await draftOf(page).click();
  await page.keyboard.press('Alt+.');
  await expect.poll(() => words(page)).toContain('Dear Petra Lindow,');
  await pressKeys(page, ['Control+z']);
  expect(await words(page)).toBe('');

  await select(page, 'Should I', 'overnight?');
  await page.keyboard.press('Alt+t');
  await page.keyboard.type('Leave it where it is.');
  await expect(draftOf(page).locator('blockquote')).toHaveText(
    /^Should I put it back up in the tree.*overnight\?$/,
  );
  await expect(draftOf(page)).toContainText('Leave it where it is.');

  // Of rich messages the words are read: nothing in them is run, and nothing is fetched for them.
  await page.goto(new URL('/', page.url()).href);
  await page.getByRole('link', { name: 'Rich' }).click();
  await expect(message).toContainText('Hello');
  await expect(page).not.toHaveTitle(/run/);
  // A picture that came within it is shown.
  const picture = message.getByRole('img', { name: 'dot.png' });
  await expect.poll(() => picture.evaluate((one: HTMLImageElement) => one.naturalWidth)).toBe(1);
  expect([...new Set(asked)]).toEqual([new URL(page.url()).host]);
});
