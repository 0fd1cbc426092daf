import fs from 'node:fs';
import { docxOf, type MadeBlock } from '../web/documents/corpus/documents';
import { draftOf, expect, expectAccessible, test, words } from './test';

/** A document of answers as people keep one: titles in bold, signs for what differs, a telephone number. */
const ANSWERS: MadeBlock[] = [
  { text: 'Answers of the field school', heading: 1 },
  { text: 'Animals', heading: 2 },
  { text: 'Hedgehog by day', bold: true },
  { text: 'Dear [first name], thank you for your call of <<date>>. A hedgehog out by day is often ill.' },
  { text: 'Swan on the road', bold: true },
  { text: 'Please ring 01632 960 411 and keep him/her in sight.' },
  { text: 'Visits', heading: 2 },
  { text: 'Opening hours', bold: true },
  { text: 'We open at [time] on weekdays.' },
];

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
  await ruan.getByRole('menuitem', { name: 'Bring in a file' }).click();
  const file = ruan.getByLabel('File to bring in');
  await file.setInputFiles({
    name: 'case.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"a": 1}'),
  });
  await expect(
    ruan.getByText('There is no list in case.json that entries could be made of. Nothing was brought in.'),
  ).toBeVisible();
  await file.setInputFiles({
    name: 'torn.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"form'),
  });
  await expect(ruan.getByText(/torn\.json is not JSON/)).toBeVisible();
  await file.setInputFiles(path);
  await expect(ruan.getByRole('button', { name: 'New: 8' })).toBeVisible();
  await expectAccessible(ruan);
  await ruan.getByRole('button', { name: 'Bring in 8 entries' }).click();
  await ruan.getByRole('link', { name: 'See it in the bank' }).click();
  const sheet = ruan.getByRole('region', { name: 'Helpline replies' });
  await expect(sheet).toContainText('8 entries');

  // Given back as text files, one for each entry, it comes in as the very same.
  const saved = ruan.waitForEvent('download');
  await ruan.getByRole('button', { name: 'Save as a file' }).click();
  await ruan.getByRole('menuitem', { name: 'Text files' }).click();
  const zip = info.outputPath('Helpline replies.zip');
  await (await saved).saveAs(zip);
  await expect(ruan.getByText('8 entries saved; it leaves out settings of collections.')).toBeVisible();
  await ruan.goto(`${server.url}/bank/bring-in`);
  await ruan.getByLabel('File to bring in').setInputFiles(zip);
  await expect(ruan.getByRole('button', { name: 'Identical: 8' })).toBeVisible();

  // The wording goes another way there, and comes back by a file.
  const changed = fs
    .readFileSync(path, 'utf8')
    .replace('With kind regards from all', 'With our thanks, from all');
  const again = (content: string) => ({
    name: 'again.json',
    mimeType: 'application/json',
    buffer: Buffer.from(content),
  });
  await imke.goto(`${server.url}/bank/bring-in`);
  await imke.getByLabel('File to bring in').setInputFiles(again(changed));
  await imke.getByLabel('Where it goes').selectOption('into Helpline replies');
  await expect(imke.getByRole('button', { name: 'Identical: 7' })).toBeVisible();
  await imke.getByRole('button', { name: 'Different from yours: 1' }).click();
  const differs = imke.getByRole('region', { name: 'Arriving entries' });
  await expect(differs.locator('ins')).toContainText(['our thanks,']);
  await expect(imke.getByRole('button', { name: 'Bring in 0 entries' })).toBeDisabled();
  // Kept beside the one that is here, its cue is taken.
  await differs.getByLabel('Keep both').check();
  await expect(differs).toContainText('The cue ;so is taken: it comes with ;');
  await differs.getByLabel('Use theirs').check();
  await expectAccessible(imke);
  await imke.getByRole('button', { name: 'Bring in one entry' }).click();
  await expect(imke.getByText('1 entry changed.', { exact: true })).toBeVisible();
  await imke.getByRole('link', { name: 'See it in the bank' }).click();
  await expect(imke.getByRole('region', { name: 'Helpline replies' })).toContainText('With our thanks');
});

test('a document of stock answers becomes entries with fields, whose cues fire; days later the file is taken back, but for what was changed', async ({
  signedIn,
  server,
}) => {
  const page = await signedIn('Desta Wynne');
  await page.goto(`${server.url}/bank/bring-in`);
  await page.getByLabel('File to bring in').setInputFiles({
    name: 'answers.docx',
    mimeType: 'application/vnd.openxmlformats-officedocument.wordprocessingml.document',
    buffer: Buffer.from(docxOf(ANSWERS)),
  });
  // Its shape is seen at once; what it becomes can be changed by picking.
  await expect(page.getByRole('combobox', { name: 'Layout' })).toContainText('Bold lines');
  const blanks = page.getByRole('region', { name: 'Blanks' });
  await expect(blanks.getByRole('textbox', { name: 'Field for <<date>>' })).toHaveValue('Date');
  await expect(blanks.getByRole('combobox', { name: 'Answer to <<date>>' })).toHaveValue('date');
  const personal = page.getByRole('region', { name: 'Personal details' });
  await expect(personal.getByRole('checkbox', { name: /01632 960 411/ })).toBeChecked();
  await expectAccessible(page);
  const list = page.getByRole('region', { name: 'Arriving entries' });
  await expect(list.getByRole('textbox', { name: 'Title of Hedgehog by day' })).toBeVisible();
  await list.getByRole('textbox', { name: 'Title of Opening hours' }).fill('When we are open');
  await page.keyboard.press('Tab');
  await list.getByRole('button', { name: 'Propose cues' }).click();
  await expect(list.getByRole('textbox', { name: 'Cue of Hedgehog by day' })).toHaveValue('hd');
  await page.getByRole('button', { name: 'Bring in 3 entries' }).click();
  await expect(page.getByText('3 entries added.', { exact: true })).toBeVisible();

  // On a leaf a cue brings what came, with its blanks.
  await page.getByRole('link', { name: 'Desk' }).click();
  await page.getByRole('button', { name: 'New leaf' }).click();
  await expect(draftOf(page)).toBeFocused();
  await page.keyboard.type(',hd ');
  await expect(page.getByRole('region', { name: 'Current blank' })).toBeVisible();
  await expect.poll(() => words(page)).toContain('A hedgehog out by day is often ill.');

  // Somebody changes one of them; the rest goes with one act, and that one stays.
  await page.goto(`${server.url}/bank`);
  await page.getByRole('link', { name: /^Visits/ }).click();
  await page.getByRole('link', { name: /When we are open/ }).click();
  await page.getByRole('textbox', { name: 'Title' }).fill('When the gate is open');
  await page.getByRole('button', { name: /^Save/ }).click();
  await expect(page.getByText('Saved as revision 2')).toBeVisible();
  await page.goto(`${server.url}/bank/bring-in`);
  const before = page.getByRole('region', { name: 'Brought in before' });
  await expect(before).toContainText('answers.docx');
  await before.getByRole('button', { name: 'Undo answers.docx' }).click();
  await expect(before.getByRole('status')).toContainText(
    '2 entries moved to the wastebasket. 1 entry changed since: it stays as it is.',
  );
  await expect(before).toContainText('When the gate is open');
});
