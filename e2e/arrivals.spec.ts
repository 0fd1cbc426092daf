import {
  Document,
  HeadingLevel,
  ImageRun,
  Packer,
  Paragraph,
  Table,
  TableCell,
  TableRow,
  TextRun,
} from 'docx';
import { strToU8, zipSync } from 'fflate';
import { draftOf, expect, expectAccessible, test, words, type Page } from './test';

/** The smallest PNG there is: one dot. */
const DOT = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
);

const report = (): Promise<Buffer> =>
  Packer.toBuffer(
    new Document({
      sections: [
        {
          children: [
            new Paragraph({ heading: HeadingLevel.HEADING_1, text: 'Survey of the east reed bed' }),
            new Paragraph({
              children: [
                new TextRun('Two '),
                new TextRun({ text: 'bitterns', bold: true }),
                new TextRun(' were heard.'),
              ],
            }),
            new Paragraph({ bullet: { level: 0 }, text: 'At dawn' }),
            new Paragraph({ bullet: { level: 0 }, text: 'At dusk' }),
            new Table({
              rows: [
                new TableRow({
                  children: ['Bed', 'Birds'].map(
                    (text) => new TableCell({ children: [new Paragraph(text)] }),
                  ),
                }),
              ],
            }),
            new Paragraph({
              children: [new ImageRun({ type: 'png', data: DOT, transformation: { width: 10, height: 10 } })],
            }),
          ],
        },
      ],
    }),
  );

const drop = (page: Page, ...files: { name: string; buffer: Buffer }[]) =>
  page
    .getByLabel('Files')
    .setInputFiles(files.map((file) => ({ ...file, mimeType: 'application/octet-stream' })));

test('documents dropped on the desk begin leaves, several at once; what cannot be read is told and keeps no other out', async ({
  signedIn,
}) => {
  const page = await signedIn('Desta Wynne');
  await drop(
    page,
    { name: 'Reed bed survey.docx', buffer: await report() },
    {
      name: 'Ringing.md',
      buffer: Buffer.from(
        '# Ringing day\n\nWe ringed **12** birds.\n\n1. Wren\n2. Robin\n\n<script>alert(1)</script>',
      ),
    },
    { name: 'half.docx', buffer: (await report()).subarray(0, 900) },
    { name: 'Nodiadau.txt', buffer: Buffer.from('Dŵr uchel.\n\nAdar y gors.') },
    { name: 'owl.png', buffer: DOT },
    { name: 'bomb.docx', buffer: Buffer.from(zipSync({ 'word/document.xml': new Uint8Array(100_000_001) })) },
    {
      name: 'week.zip',
      buffer: Buffer.from(zipSync({ 'in/Tuesday.txt': strToU8('Tides.'), 'in/tides.csv': strToU8('a,b') })),
    },
    { name: 'empty.txt', buffer: Buffer.from(' \n') },
  );
  const told = page.getByRole('region', { name: 'From a file' });
  await expect(told.getByText('There is no text in empty.txt.', { exact: false })).toBeVisible();
  // Of a document that could be commented on it is asked.
  const asked = told.getByRole('region', { name: 'What to do with them' });
  await expect(asked.getByRole('listitem')).toHaveText(['Reed bed survey.docx', 'owl.png', 'bomb.docx']);
  await expect(asked.getByRole('button', { name: 'Comment on them' })).toBeFocused();
  await expectAccessible(page);
  await asked.getByRole('button', { name: 'Write on them' }).click();
  // A picture can be named, marked, or just saved.
  await expect(asked.getByRole('listitem')).toHaveText(['owl.png']);
  await asked.getByRole('button', { name: 'Save it with a case' }).click();
  await expect(told.getByText(/A leaf was begun/)).toHaveCount(4);
  await expect(told.getByText('One picture was left out.')).toHaveCount(1);
  await expect(told.getByText(/half\.docx is broken/)).toBeVisible();
  const keeping = told.getByRole('form', { name: 'Save files with a case' });
  await expect(keeping.getByRole('listitem')).toHaveText([
    /^tides\.csv: a table, /,
    /^owl\.png: a picture, /,
  ]);
  await expect(told.getByText(/bomb\.docx would unpack to more than/)).toBeVisible();
  await expectAccessible(page);
  // What nothing reads is kept with a case, in one step, and is there for all it is given to.
  await keeping.getByRole('combobox', { name: 'Save with' }).focus();
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expect(told.getByText('2 files saved.')).toBeVisible();
  await told.getByRole('link', { name: 'Open the case' }).click();
  await expect(draftOf(page)).toBeFocused();
  const files = page.getByRole('region', { name: 'Files of this case' });
  await files.getByRole('button', { name: 'Files, 2' }).click();
  await expect(files.getByRole('listitem')).toHaveText([/^tides\.csv/, /^owl\.png/]);
  await expectAccessible(page);
  await page.getByRole('link', { name: 'Desk', exact: true }).click();

  await page.getByRole('link', { name: /^Reed bed survey/ }).click();
  await expect(draftOf(page)).toBeFocused();
  await expect(draftOf(page).getByRole('heading', { name: 'Survey of the east reed bed' })).toBeVisible();
  await expect(draftOf(page).locator('strong')).toHaveText('bitterns');
  await expect(draftOf(page).getByRole('listitem')).toHaveText(['At dawn', 'At dusk']);
  await expect(draftOf(page).getByRole('cell')).toHaveText(['Bed', 'Birds']);
  // It is written on as any leaf.
  await page.keyboard.press('Control+Home');
  await page.keyboard.type('Seen by Desta. ');
  await expect(page.getByRole('status', { name: 'Saving' })).toHaveText('Saved');
  await page.getByRole('link', { name: 'Desk', exact: true }).click();
  await page.getByRole('link', { name: /^Ringing/ }).click();
  await expect(draftOf(page)).toBeFocused();
  await expect(draftOf(page).getByRole('listitem')).toHaveText(['Wren', 'Robin']);
  expect(await words(page)).toContain('<script>alert(1)</script>');
  await page.getByRole('link', { name: 'Desk', exact: true }).click();
  await page.getByRole('link', { name: /^Nodiadau/ }).click();
  await expect(draftOf(page)).toBeFocused();
  expect(await words(page)).toBe('Dŵr uchel.\nAdar y gors.');
});

test('scans dropped at once become one tray, and are open in it', async ({ signedIn }) => {
  const page = await signedIn('Desta Wynne');
  await drop(page, { name: 'one.png', buffer: DOT }, { name: 'two.png', buffer: DOT });
  const told = page.getByRole('region', { name: 'From a file' });
  await told.getByRole('button', { name: 'Name them' }).click();
  await expect(told.getByText('A case was made: 2 scans.')).toBeVisible();
  await told.getByRole('link', { name: 'Open it' }).click();
  await expect(page.getByRole('list', { name: 'Files' }).getByRole('listitem')).toHaveText([
    /one\.png/,
    /two\.png/,
  ]);
  await expect(page.getByRole('img', { name: 'not open on this computer' })).toHaveCount(0);
});
