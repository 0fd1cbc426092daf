import { execFileSync } from 'node:child_process';
import path from 'node:path';
import { draftOf, expect, expectAccessible, pressKeys, test, words } from './test';

const OWLET = path.join(process.cwd(), 'demo/to-drop/owlet.eml');

/** A message as a reader of mail that is none of ours finds it: Python's. */
const READ = `
import email, email.policy, json, sys
m = email.message_from_binary_file(sys.stdin.buffer, policy=email.policy.default)
body = lambda kind: m.get_body((kind,)).get_content()
print(json.dumps({'to': m['to'], 'subject': m['subject'], 'answers': m['in-reply-to'], 'plain': body('plain'), 'html': body('html'), 'defects': len(m.defects)}))
`;

test('a reply is sent by keyboard alone, stays with a gap or a doubt, is taken back and sent; another reader of mail reads it', async ({
  signedIn,
}) => {
  const page = await signedIn('Anouk Fell');
  const { keyboard } = page;
  await page.goto(new URL('/outbox', page.url()).href);
  const wait = page.getByLabel('A letter waits before it goes');
  const setTo = async (seconds: string) => {
    const saved = page.waitForResponse((one) => one.request().method() === 'PUT');
    await wait.selectOption(seconds);
    await saved;
  };
  await setTo('120');
  await expect(page.getByText('You have sent no letter yet', { exact: false })).toBeVisible();
  await page.goto(new URL('/', page.url()).href);
  const told = page.getByRole('region', { name: 'From a file' });
  await told.getByLabel('Files', { exact: true }).setInputFiles(OWLET);
  await told.getByRole('link', { name: 'Open it' }).press('Enter');
  await expect(page.getByRole('region', { name: 'Messages' })).toContainText('Petra Lindow');
  const near = page.getByRole('list', { name: 'Near to the message' });
  await expect(near.getByRole('listitem').first()).toContainText('Owlet on the ground');
  const leafAt = page.url();

  // With a gap it stays, and the gap is gone to.
  await draftOf(page).click();
  await keyboard.press('Alt+.');
  await expect.poll(() => words(page)).toContain('Dear Petra Lindow,');
  await keyboard.press('Alt+Enter');
  await expect(page.getByRole('alert')).toContainText('2 gaps are left');
  await keyboard.type('the churchyard');
  await pressKeys(page, ['Enter', '1', 'Control+End', 'Enter']);
  await keyboard.type('The map is enclosed.');

  // An address that is none is told where it is written; with a doubt it stays as well.
  await page.getByLabel('Cc').fill('the vet');
  await expect(page.getByRole('alert').filter({ hasText: '“the vet”: no address for mail' })).toBeVisible();
  await page.getByLabel('Cc').fill('vet@hollin.example');
  await keyboard.press('Alt+Enter');
  const before = page.getByRole('alert', { name: 'Before it goes' });
  await expect(before).toContainText('It says “enclosed”, and nothing is sent along.');
  await expectAccessible(page);
  await keyboard.press('Enter');
  await expect(before).toBeHidden();
  await expect(draftOf(page)).toBeFocused();

  await keyboard.press('Alt+Enter');
  await expect(before).toBeVisible();
  // Its answer is lost on the way: that it is sent is heard all the same.
  await page.route(
    '**/api/drafts/*/sendings',
    async (route) => {
      await route.fetch();
      await route.abort();
    },
    { times: 1 },
  );
  await pressKeys(page, ['Tab', 'Enter']);
  const sent = page.getByRole('region', { name: 'Sent' });
  await expect(sent).toContainText(/It goes in 1\d\d seconds/);
  await expect(page.getByRole('alert')).toHaveCount(0);
  await expectAccessible(page);
  // Taken back it is written on where one was.
  await keyboard.press('F9');
  await expect(draftOf(page)).toHaveAttribute('contenteditable', 'true');
  await keyboard.type(' It is on page two.');
  await expect.poll(() => words(page)).toContain('enclosed. It is on page two.');
  await page.getByRole('button', { name: 'As it goes out' }).click();
  const looked = page.getByRole('region', { name: 'As it goes out' });
  await looked.getByLabel('as plain text').check();
  await expect(looked.locator('pre')).toContainText('It is on page two.');
  await expect(looked).toContainText('vet@hollin.example');

  await page.goto(new URL('/outbox', page.url()).href);
  await expect(page.getByText('It was taken back', { exact: false })).toBeVisible();
  await setTo('0');
  await page.goto(leafAt);
  await expect.poll(() => words(page)).toContain('It is on page two.');
  await draftOf(page).click();
  await keyboard.press('Alt+Enter');
  await expect(before).toBeVisible();
  await pressKeys(page, ['Tab', 'Enter']);
  await expect(sent).toContainText('It was put in the outbox');
  await page.goto(new URL('/outbox', page.url()).href);
  await page.getByRole('button', { name: 'Read it as it arrives' }).first().press('Enter');
  await expect(page.getByRole('article').first()).toContainText('The map is enclosed. It is on page two.');
  await expectAccessible(page);
  const address = await page
    .getByRole('link', { name: /^Download the message/ })
    .first()
    .getAttribute('href');
  const file = await page.request.get(new URL(address!, page.url()).href);
  const read = JSON.parse(
    execFileSync('python3', ['-c', READ], { input: await file.body() }).toString(),
  ) as Record<string, string>;
  expect(read).toMatchObject({
    ...{ to: 'Petra Lindow <petra.lindow@marsh.example>', defects: 0, answers: '<owlet-2@marsh.example>' },
    subject: 'Re: Owlet on the ground by the churchyard',
  });
  expect(read.plain).toContain('The map is enclosed. It is on page two.');
  expect(read.html).toContain('<p>Dear Petra Lindow,</p>');
});
