import { spawnSync } from 'node:child_process';
import fs from 'node:fs';
import { Document, Packer, Paragraph, Table, TableCell, TableRow, TextRun } from 'docx';
import { PDFDocument } from '@cantoo/pdf-lib';
import { strFromU8, unzipSync } from 'fflate';
import { draftOf, expect, expectAccessible, pressKeys, test, type Page } from './test';

const DOCX = 'application/vnd.openxmlformats-officedocument.wordprocessingml.document';

/** A report as somebody hands it in: a heading, text that is formed, a table; as long as one likes. */
const report = (name: string, more = 0, last = 'The wind was not written down.') => {
  const cell = (text: string) => new TableCell({ children: [new Paragraph(text)] });
  const children = [
    new Paragraph({ text: 'Saltmarsh transect', heading: 'Heading1' }),
    new Paragraph(`By ${name}, second block.`),
    new Paragraph({
      children: [
        new TextRun('We walked the transect '),
        new TextRun({ text: 'twice', bold: true }),
        new TextRun('. The tide was low.'),
      ],
    }),
    new Table({ rows: [new TableRow({ children: [cell('Redshank'), cell('14')] })] }),
    new Paragraph(`Nothing else was seen. ${last}`),
    ...Array.from({ length: more }, () => new Paragraph('More.')),
  ];
  return Packer.toBuffer(new Document({ sections: [{ children }] }));
};

const reading = (page: Page) => page.getByRole('textbox', { name: 'Submission' });
const comments = (page: Page) => page.getByRole('group', { name: /^Comment on/ });

/** What pandoc reads of a docx: a reader that is not ours. */
function readByPandoc(docx: Uint8Array): string {
  const { stdout, stderr, status } = spawnSync(
    'pandoc',
    ['--track-changes=all', '--wrap=none', '-f', 'docx', '-t', 'markdown', '-'],
    { input: docx, encoding: 'utf8' },
  );
  expect([status, stderr]).toEqual([0, '']);
  return stdout;
}

async function newAssignment(page: Page, title: string, sharedWith: string | null): Promise<void> {
  await page.getByRole('link', { name: 'New assignment' }).press('Enter');
  await page.getByRole('textbox', { name: 'Title' }).fill(title);
  await page.getByRole('textbox', { name: 'Words at most' }).fill('20');
  await page.getByRole('textbox', { name: /^People/ }).fill('Tomos Hale, FS-07\nIngrid Vale');
  if (sharedWith) await page.getByRole('checkbox', { name: sharedWith }).press('Space');
  await page.getByRole('textbox', { name: 'Title' }).press('Enter');
  await expect(page.getByRole('heading', { level: 1, name: title })).toBeVisible();
}

async function takeIn(page: Page, files: { name: string; buffer: Buffer }[]): Promise<void> {
  await page
    .getByLabel('Submissions', { exact: true })
    .setInputFiles(files.map((file) => ({ ...file, mimeType: DOCX })));
}

test('a class is commented by keyboard, from the desk to the zip: files find their people, comments stand on their words', async ({
  signedIn,
}) => {
  const page = await signedIn('Desta Wynne');
  await newAssignment(page, 'Saltmarsh', null);
  await takeIn(page, [
    { name: 'hale_saltmarsh.docx', buffer: await report('Tomos Hale') },
    { name: 'second.docx', buffer: await report('somebody', 4000) },
    { name: 'broken.docx', buffer: Buffer.from('PK\u0003\u0004 no') },
  ]);
  await expect(page.getByText('1 file taken in.')).toBeVisible();
  await expect(page.getByText(/broken\.docx is broken/)).toBeVisible();
  // Nobody of the class is named in it: it is asked, and nobody is taken for them.
  const asked = page.getByRole('combobox', { name: 'Whose is it?' });
  await expect(asked).toHaveValue('');
  await asked.selectOption('Ingrid Vale');
  await page.getByRole('button', { name: 'Take it in' }).press('Enter');
  await expect(page.getByRole('row', { name: /^Ingrid Vale/ })).toContainText('over by 4,007');
  await expectAccessible(page);

  await page.getByRole('link', { name: 'Tomos Hale', exact: true }).press('Enter');
  await expect(reading(page)).toBeFocused();
  // The heading, the line of the name; then the sentence after the first.
  await pressKeys(page, ['Control+ArrowDown', 'Control+ArrowDown', 'Alt+ArrowDown']);
  await page.keyboard.type(';un ');
  // Its blank is filled where it stands.
  await expect(comments(page)).toContainText('The units are missing in');
  await page.keyboard.type('table 1');
  await page.keyboard.press('Enter');
  await expect(comments(page)).toContainText('The units are missing in table 1');
  await page.keyboard.press('Escape');
  await expect(reading(page)).toBeFocused();
  // Placed a second time it points back to the first; asked for in whole, it is, with its own blank.
  await pressKeys(page, ['Control+ArrowDown']);
  await page.keyboard.type(';un ');
  await expect(comments(page).last()).toContainText('As in paragraph 2.');
  await page.keyboard.press('Alt+z');
  await expect(comments(page).last()).toContainText('The units are missing in table 1');
  await pressKeys(page, ['Control+z']);
  await expect(comments(page).last()).toContainText('As in paragraph 2.');
  await pressKeys(page, ['Escape', 'Delete', 'Control+ArrowUp']);
  await expect(comments(page)).toHaveCount(1);
  // Selected word by word, a comment written by hand; nothing of the submission is changed.
  await pressKeys(page, ['Home', 'Control+Shift+ArrowRight', 'Control+Shift+ArrowRight']);
  await page.keyboard.type('Who?');
  await expect(comments(page).filter({ hasText: 'Who?' })).toHaveAccessibleName('Comment on “We walked”');
  await expect(reading(page)).toContainText('We walked the transect twice. The tide was low.');
  await expectAccessible(page);
  // It is put on other words, deleted, and brought back.
  await page.keyboard.press('Alt+e');
  await expect(reading(page)).toBeFocused();
  await pressKeys(page, ['Control+Shift+ArrowRight', 'Control+Shift+ArrowRight', 'Enter']);
  await expect(comments(page).filter({ hasText: 'Who?' })).toHaveAccessibleName(/“We walked the transect”/);
  await pressKeys(page, ['Escape', 'Delete']);
  await expect(comments(page)).toHaveCount(1);
  await page.keyboard.press('Control+z');
  await expect(comments(page)).toHaveCount(2);
  await pressKeys(page, ['Alt+t', 'Alt+t']);
  await page.keyboard.type(' And when?');
  await expect(comments(page).last()).toContainText('And when?');
  // The summing-up beneath.
  await draftOf(page).getByRole('paragraph').last().click();
  await page.keyboard.type('Well walked.');
  await page.keyboard.press('F9');
  await expect(page.getByRole('button', { name: 'Download with comments' })).toBeFocused();
  await expectAccessible(page);
  await page.keyboard.press('Alt+v');
  await expect(page.getByText('That was the last submission.')).toBeVisible();
  await page.getByRole('link', { name: 'Saltmarsh', exact: true }).press('Enter');
  await expect(page.getByRole('row', { name: /^Tomos Hale/ })).toContainText('Finished');

  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Download all with comments' }).press('Enter');
  const files = unzipSync(fs.readFileSync(await (await download).path()));
  expect(Object.keys(files)).toEqual(['Tomos Hale.docx']);
  const read = readByPandoc(files['Tomos Hale.docx']!);
  const commented = [...read.matchAll(/\[([^\]]*)\]\{\.comment-start[^}]*\}([\s\S]*?)\[\]\{\.comment-end/g)];
  expect(commented.map(([, , on]) => on!.replace(/[*[\]]|\{[^}]*\}/g, '').trim())).toEqual(
    expect.arrayContaining(['The tide was low.']),
  );
  for (const words of ['Summing-up', 'Well walked.', 'Who?', 'The units are missing in table 1'])
    expect(read).toContain(words);
  // All else is the file that was handed in.
  const [before, after] = [unzipSync(await report('Tomos Hale')), unzipSync(files['Tomos Hale.docx']!)];
  expect(strFromU8(after['word/styles.xml']!)).toBe(strFromU8(before['word/styles.xml']!));
});

test('criteria, signs and the class: what would fit is walked, counts stand at the head, a level brings its words', async ({
  signedIn,
}) => {
  const page = await signedIn('Desta Wynne');
  await page.getByRole('link', { name: 'New assignment' }).press('Enter');
  await page.getByRole('textbox', { name: 'Title' }).fill('Creek');
  await page.getByRole('textbox', { name: /^People/ }).fill('Tomos Hale');
  await page.getByRole('button', { name: 'Add a criterion' }).press('Enter');
  await page.keyboard.type('Figures');
  await page.getByRole('button', { name: 'Add a level to Figures' }).press('Enter');
  await page.keyboard.type('clear');
  await page.getByRole('textbox', { name: 'Points' }).fill('2,5');
  await page.getByRole('textbox', { name: 'Words for the summing-up' }).fill('Your figures can be read.');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Make it' }).press('Enter');
  const buffer = await report('Tomos Hale', 0, 'The water was 14. The mud was 3 and cold.');
  await takeIn(page, [{ name: 'hale.docx', buffer }]);
  await page.getByRole('link', { name: 'Tomos Hale', exact: true }).press('Enter');
  await expect(reading(page)).toBeFocused();

  // The places without a unit are walked; the first is let be, the second taken, as it is at hand.
  const sign = page.getByRole('region', { name: 'Sign' });
  await expect(async () => {
    await page.keyboard.press('Alt+.');
    await expect(sign).toBeVisible({ timeout: 1000 });
  }).toPass();
  await expect(sign).toContainText('Units missing');
  await expect(sign).toContainText('1 of 2');
  await expectAccessible(page);
  await page.keyboard.press('Delete');
  await expect(sign).toContainText('1 of 1');
  await page.keyboard.press('Enter');
  await expect(comments(page)).toHaveAccessibleName('Comment on “3”');
  await page.keyboard.type('line 4');
  await page.keyboard.press('Enter');
  await expect(comments(page)).toContainText('The units are missing in line 4');
  const tally = page.getByRole('region', { name: 'Tally' });
  await expect(tally).toContainText('Figuresone fault');
  await pressKeys(page, ['Alt+,']);
  await expect(tally).toContainText('1 praised');
  await pressKeys(page, ['Control+z']);
  await expect(tally).toContainText('one fault');

  // Finishing asks for the level; chosen, its words are in the summing-up, once.
  await page.keyboard.press('F9');
  const level = page.getByRole('combobox', { name: 'Level for Figures' });
  await expect(level).toBeFocused();
  await level.selectOption('clear (2.5 points)');
  await expect(draftOf(page)).toContainText('Your figures can be read.');
  await expect(tally).toContainText('2.5 of 2.5 points');
  await page.keyboard.press('F9');
  await expect(page.getByRole('button', { name: 'Download with comments' })).toBeFocused();

  await page.getByRole('link', { name: 'Creek', exact: true }).press('Enter');
  const byCriterion = page.getByRole('region', { name: 'By criterion' });
  await expect(byCriterion.getByRole('row', { name: /^Tomos Hale/ })).toContainText('clearone fault');
  await expect(page.getByRole('table', { name: 'Commonest slips', exact: true })).toContainText(
    'Units missing',
  );
  await page.getByRole('button', { name: 'Hide names' }).press('Enter');
  await expect(byCriterion).not.toContainText('Tomos Hale');
  await expectAccessible(page);
  await page.getByRole('button', { name: /^Make a leaf to the class/ }).press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('To the class: Creek');
  await expect(draftOf(page)).toContainText('The units are missing in');

  // What an entry is as a comment is said on its page.
  await page.goto(new URL('/bank/units', page.url()).href);
  const use = page.getByRole('region', { name: 'As a comment' });
  await expect(use.getByRole('combobox', { name: 'Criterion' })).toHaveValue('Figures');
  await use.getByRole('button', { name: 'Add something to look for' }).press('Enter');
  await page.getByRole('menuitem', { name: 'A pattern' }).press('Enter');
  await page.keyboard.type('in (');
  await expect(use.getByRole('alert')).toContainText('missing closing )');
  await page.keyboard.type('feet|yards)');
  await expect(use.getByRole('alert')).toHaveCount(0);
  await expectAccessible(page);
  await page.keyboard.press('F9');
  await expect(page.getByRole('status').filter({ hasText: 'Saved as revision' })).toBeVisible();
});

test('two tutors comment on one submission at once: each sees whose comment is whose, and both go back', async ({
  signedIn,
}) => {
  const [desta, imke] = [await signedIn('Desta Wynne'), await signedIn('Imke Tarrow')];
  await newAssignment(desta, 'Owls', 'Imke Tarrow');
  await takeIn(desta, [{ name: 'Tomos Hale.docx', buffer: await report('Tomos Hale') }]);
  await desta.getByRole('link', { name: 'Tomos Hale', exact: true }).click();
  await imke.getByRole('link', { name: /^Owls, Tomos Hale/ }).click();
  await Promise.all([expect(reading(desta)).toBeFocused(), expect(reading(imke)).toBeFocused()]);
  for (const [page, words] of [
    [desta, 'Which block?'],
    [imke, 'Which tide?'],
  ] as const) {
    await pressKeys(page, ['Control+ArrowDown']);
    await page.keyboard.type(words);
  }
  await expect(desta.getByRole('region', { name: /^Comment of Imke Tarrow/ })).toContainText('Which tide?');
  await expect(imke.getByRole('region', { name: /^Comment of Desta Wynne/ })).toContainText('Which block?');
  await expectAccessible(imke);
  await desta.keyboard.press('F9');
  const download = desta.waitForEvent('download');
  await desta.getByRole('button', { name: 'Download with comments' }).click();
  const read = readByPandoc(fs.readFileSync(await (await download).path()));
  expect(read).toMatch(/Which tide\?\]\{\.comment-start[^}]*author="Imke Tarrow"/);
  expect(read).toMatch(/Which block\?\]\{\.comment-start[^}]*author="Desta Wynne"/);
});

test('another version is handed in: comments go to where their words are, and say where these are gone', async ({
  signedIn,
}) => {
  const page = await signedIn('Desta Wynne');
  await page.getByRole('link', { name: /Saltmarsh transect, report 4/ }).click();
  await expect(draftOf(page)).toBeFocused();
  await page.getByRole('button', { name: 'Take a submission in' }).click();
  await page.getByRole('button', { name: 'Paste its text instead' }).click();
  await page.getByRole('textbox', { name: 'The text' }).fill('We counted.\n\nThe tide was low.');
  await page.getByRole('button', { name: 'Take it in' }).click();
  await expect(reading(page)).toBeFocused();
  await page.keyboard.type('How?');
  await pressKeys(page, ['Escape', 'Control+ArrowDown']);
  await page.keyboard.type('When?');
  await page.getByRole('button', { name: 'New version' }).click();
  await page.getByRole('button', { name: 'Paste its text instead' }).click();
  await page.getByRole('textbox', { name: 'The text' }).fill('At dawn.\n\nThe tide was low.');
  await page.getByRole('button', { name: 'Take it in' }).click();
  await expect(reading(page)).toContainText('At dawn.');
  await expect(page.getByText('Was on “We counted.”, which is gone')).toBeVisible();
  await expect(comments(page).filter({ hasText: 'When?' })).not.toContainText('gone');
});

/** The comments that a PDF holds, as a reader that is not ours tells them: what kind each is, what it says, how many lines it marks. */
async function annotationsIn(bytes: Uint8Array): Promise<[string, string, number][]> {
  const { getDocument } = await import('pdfjs-dist/legacy/build/pdf.mjs');
  const pdf = await getDocument({ data: new Uint8Array(bytes), verbosity: 0 }).promise;
  const found: [string, string, number][] = [];
  for (let number = 1; number <= pdf.numPages; number += 1) {
    const all = (await (await pdf.getPage(number)).getAnnotations()) as {
      subtype: string;
      contentsObj?: { str: string };
      quadPoints?: ArrayLike<number>;
    }[];
    for (const { subtype, contentsObj, quadPoints } of all)
      found.push([subtype, contentsObj?.str ?? '', (quadPoints?.length ?? 0) / 8]);
  }
  await pdf.loadingTask.destroy();
  return found;
}

test('a PDF dropped on the desk is commented by keyboard, and comes back as it was with the comments on its words', async ({
  signedIn,
}) => {
  const page = await signedIn('Desta Wynne');
  const handedIn = fs.readFileSync('demo/lived/feedback/saltmarsh/orla-penhale.pdf');
  const scan = await PDFDocument.create();
  scan.addPage([300, 400]);
  const told = page.getByRole('region', { name: 'From a file' });
  await told.getByLabel('Files', { exact: true }).setInputFiles([
    { name: 'orla-penhale.pdf', mimeType: 'application/pdf', buffer: handedIn },
    { name: 'scan.pdf', mimeType: 'application/pdf', buffer: Buffer.from(await scan.save()) },
    { name: 'half.pdf', mimeType: 'application/pdf', buffer: handedIn.subarray(0, 500) },
  ]);
  // A PDF may also be a scan to be named, or a page to be marked.
  await told.getByRole('button', { name: 'Comment on them' }).click();
  await expect(told.getByText(/half\.pdf cannot be read: .* not the whole of one/)).toBeVisible();
  await told.getByRole('link', { name: 'Open it' }).first().press('Enter');
  await expect(reading(page)).toBeFocused();
  await expect(reading(page).getByRole('cell', { name: 'Rosettes' })).toBeVisible();
  // The heading, the line of the name, the next heading; then the second sentence of the summary, which runs over two lines.
  await pressKeys(page, ['Control+ArrowDown', 'Control+ArrowDown', 'Control+ArrowDown', 'Alt+ArrowDown']);
  await page.keyboard.type('How far in?');
  await expect(comments(page)).toHaveAccessibleName(/“On the side where sheep go/);
  await page.getByRole('button', { name: 'Show pages' }).press('Enter');
  await expect(page.getByRole('region', { name: 'Pages as they look' })).toContainText('Page 1 of 2');
  await expectAccessible(page);
  await draftOf(page).getByRole('paragraph').last().click();
  await page.keyboard.type('Well walked.');
  await page.keyboard.press('F9');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Download with comments' }).press('Enter');
  const file = await download;
  expect(file.suggestedFilename()).toBe('orla-penhale.pdf');
  const out = fs.readFileSync(await file.path());
  expect(out.subarray(0, handedIn.length).equals(handedIn)).toBe(true);
  expect(await annotationsIn(out)).toEqual([
    ['Text', 'Summing-up\n\nWell walked.', 0],
    ['Highlight', 'How far in?', 2],
  ]);

  // A scan stands by its pages, and is commented by them.
  await page.getByRole('link', { name: 'Desk', exact: true }).click();
  await page.getByRole('link', { name: /^scan/ }).press('Enter');
  await expect(reading(page).getByRole('img', { name: 'Page 1' })).toBeVisible();
  await page.keyboard.type('Nothing is on it.');
  await expect(comments(page)).toContainText('Nothing is on it.');
  await expectAccessible(page);
});
