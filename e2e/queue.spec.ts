import { expect, expectAccessible, test, type Page } from './test';

const toQueue = async (page: Page) => {
  await page.goto(new URL('/queue', page.url()).href);
  await expect(page.getByRole('heading', { name: 'Queue', level: 1 })).toBeVisible();
};
const under = (page: Page, heading: string) => page.getByRole('region', { name: heading, exact: true });
const line = (page: Page, title: string) => page.getByRole('main').getByRole('button', { name: title });

test('two at one queue: what one takes the other sees at once; it is handed on with a word, put off, noted and found', async ({
  signedIn,
}) => {
  const anouk = await signedIn('Anouk Fell');
  const desta = await signedIn('Desta Wynne');
  await toQueue(anouk);
  await toQueue(desta);
  const crowd = under(desta, 'New').getByRole('listitem');
  await expect.poll(() => crowd.count()).toBeGreaterThan(20);
  await expectAccessible(anouk);

  // By keys alone: the line, then the key that takes it; its leaf opens, the message above.
  await line(desta, 'Seal on the beach').focus();
  await line(anouk, 'Seal on the beach').focus();
  await anouk.keyboard.press('t');
  await expect(anouk.getByRole('region', { name: 'Messages' })).toContainText(
    'A young seal is lying on the beach',
  );
  await expect(
    under(desta, 'Answered by others now').getByRole('button', { name: 'Seal on the beach' }),
  ).toBeVisible();
  const beside = desta.getByRole('region', { name: 'Seal on the beach below the lighthouse' });
  await expect(beside).toContainText('Anouk Fell answers it.');
  await expect(beside.getByRole('button', { name: 'Take and answer' })).toBeHidden();

  await toQueue(anouk);
  await line(anouk, 'Seal on the beach').click();
  await anouk.getByLabel('Pass it on to').selectOption('Desta Wynne');
  await anouk.getByLabel('With a message').fill('You know the lighthouse.');
  await anouk.keyboard.press('Enter');
  await expect(under(desta, 'Yours').getByRole('button', { name: 'Seal on the beach' })).toBeVisible();
  await expect(beside.getByRole('list', { name: 'Notes' })).toContainText('You know the lighthouse.');
  await expect(under(anouk, 'Answered by others now')).toContainText('Desta Wynne');

  await beside.getByLabel('Put it off to').fill('2099-01-01');
  await expect(under(desta, 'Put off').getByRole('button', { name: 'Seal on the beach' })).toBeVisible();
  await beside.getByRole('button', { name: 'Show it now' }).click();
  await expect(under(desta, 'Yours').getByRole('button', { name: 'Seal on the beach' })).toBeVisible();

  // What is nobody's business to answer goes with one click; words of a message find it.
  await line(anouk, 'Grow your reach').click();
  await anouk.getByRole('button', { name: 'Nothing to answer' }).click();
  await expect(under(desta, 'Answered').getByRole('button', { name: 'Grow your reach' })).toBeVisible();
  await desta.getByRole('searchbox').fill('kastanie EULE');
  await expect(desta.getByRole('main').getByRole('listitem')).toHaveCount(1);
  await expect(line(desta, 'Junge Eule am Boden')).toBeVisible();
  await desta.getByLabel('Note for colleagues').fill('The neighbours have a cat.');
  await desta.keyboard.press('Enter');
  await expect(desta.getByRole('list', { name: 'Notes' })).toContainText('The neighbours have a cat.');
  await expectAccessible(desta);

  // A message that asks two things has a tick for each, which is there still when one comes back.
  await desta.getByRole('searchbox').fill('two questions');
  await line(desta, 'Two questions').focus();
  await desta.keyboard.press('t');
  const questions = desta.getByRole('region', { name: 'Questions' }).getByRole('checkbox');
  await expect(questions).toHaveCount(2);
  await questions.first().check();
  await expectAccessible(desta);
  await desta.reload();
  await expect(questions.first()).toBeChecked();
  await expect(questions.last()).not.toBeChecked();
});
