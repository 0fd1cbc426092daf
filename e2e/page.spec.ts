import { execFileSync } from 'node:child_process';
import fs from 'node:fs';
import { PDFArray, PDFDict, PDFDocument, PDFHexString, PDFName, type PDFNumber } from '@cantoo/pdf-lib';
import { DEFAULT_CUE_RULES } from '#core/cue';
import { readEntry } from '#core/notation';
import { expect, expectAccessible, pressKeys, test, type Page } from './test';

const PLAN = 'demo/lived/pages/Plan of the hospital.pdf';

const send = async (page: Page, at: string, data: object) => {
  const headers = { Origin: new URL(page.url()).origin };
  return (await page.request.post(new URL(at, page.url()).href, { data, headers })).json() as Promise<{
    id: string;
  }>;
};

/** A collection for a kind of work, with an entry. */
async function keepEntry(page: Page, kindsOfWork: string[], notation: string): Promise<void> {
  const { id } = await send(page, '/api/collections', {
    ...{ name: `For ${kindsOfWork.join()}`, parent: null, leadIn: ',', language: 'en-GB', kindsOfWork },
    ...{ cueRules: { ...DEFAULT_CUE_RULES, fires: 'last' }, cuesBy: 'initials' },
  });
  const read = readEntry(notation.trim());
  if (!read.ok) throw new Error(notation);
  await send(page, '/api/entries', { collection: id, content: read.value, reason: '' });
}

const FINDING = `
title: Finding
cue: fi

field What: text

== wording Main: en-GB joins=as-is

Finding [number Findings | 1 | n1]: {What}
`;
const OF_THE_WARD = `
title: Of the ward alone
cue: wa

== wording Main: en-GB

only on the ward
`;

/** A case for a page to be marked, opened; gives where it is. */
async function newPage(page: Page, given: string[] = []): Promise<string> {
  const about = { kind: 'marking', title: 'Inspection', number: null, details: [], given };
  const { id } = await send(page, '/api/cases', { id: crypto.randomUUID(), ...about });
  const at = new URL(`/cases/${id}`, page.url()).href;
  await page.goto(at);
  return at;
}

const pane = (page: Page, number = 1) => page.getByRole('region', { name: `Page ${number} of 2` });
const marks = (page: Page) => page.locator('[data-marking]:visible');
/** The words of the markings that are shown, without what stands beneath blanks. */
const words = (page: Page) =>
  marks(page).evaluateAll((all) =>
    all.map((one) => {
      const copy = one.cloneNode(true) as HTMLElement;
      for (const name of copy.querySelectorAll('.blank-name')) name.remove();
      return copy.textContent;
    }),
  );
/** Where each marking stands, in points of the page. */
const places = (page: Page) =>
  marks(page).evaluateAll((all) => {
    const sheet = document.querySelector<HTMLElement>('.page-sheet')!;
    // The plan is an A4 page on its side.
    const scale = sheet.offsetWidth / 841.92;
    return all.map((one) => [
      parseFloat((one as HTMLElement).style.left) / scale,
      parseFloat((one as HTMLElement).style.top) / scale,
    ]);
  });

test('a plan is marked by pointing and typing, numbers renew themselves, and annotations go out where they stand', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  await keepEntry(page, ['marking'], FINDING);
  await keepEntry(page, ['admission'], OF_THE_WARD);
  await newPage(page);
  // What is no page is refused before it is saved.
  await page.getByLabel('Page', { exact: true }).setInputFiles({
    name: 'half.pdf',
    mimeType: 'application/pdf',
    buffer: fs.readFileSync(PLAN).subarray(0, 400),
  });
  await expect(page.getByText(/half\.pdf cannot be read: .* not the whole of one/)).toBeVisible();
  await expectAccessible(page);
  await page.getByLabel('Page', { exact: true }).setInputFiles(PLAN);
  await expect(pane(page)).toBeFocused();

  // A click, a cue, an answer: it stands there. A cue of other work does not fire.
  await pane(page).click({ position: { x: 300, y: 250 } });
  await page.keyboard.type(',fifire door');
  await page.keyboard.press('Enter');
  await expect(pane(page)).toBeFocused();
  await page.keyboard.type(',wa');
  await page.keyboard.press('Enter');
  expect(await words(page)).toEqual(['Finding 1: fire door', ',wa']);
  await page.keyboard.press('Delete');
  await expect(marks(page)).toHaveCount(1);

  // By keys alone: the cross goes along a grid, and what is typed begins there.
  await page.keyboard.press('Escape');
  for (const key of ['ArrowRight', 'ArrowRight', 'ArrowDown', 'ArrowDown', 'ArrowDown'])
    await page.keyboard.press(key);
  await page.keyboard.type(',fisharps bin');
  await page.keyboard.press('Enter');
  expect(await words(page)).toEqual(['Finding 1: fire door', 'Finding 2: sharps bin']);
  // The first goes: the second is the first now; undo brings it back.
  await page.keyboard.press('Alt+h');
  await expect(page.getByRole('button', { name: 'Finding 1: fire door' })).toHaveAttribute(
    'aria-current',
    'true',
  );
  await page.keyboard.press('Delete');
  await expect.poll(() => words(page)).toEqual(['Finding 1: sharps bin']);
  await page.keyboard.press('Control+z');
  await expect.poll(() => words(page)).toEqual(['Finding 1: fire door', 'Finding 2: sharps bin']);

  // Moved by the arrows, in another colour, led to a point, and once more on the next page with its blank open.
  await page.getByRole('button', { name: 'Finding 2: sharps bin' }).click();
  const [, before] = await places(page);
  await pane(page).focus();
  await page.keyboard.press('Shift+ArrowRight');
  await expect.poll(async () => Math.round((await places(page))[1]![0]! - before![0]!)).toBe(1);
  await page.getByRole('button', { name: 'Rust' }).click();
  await page.getByRole('button', { name: 'Arrow to …' }).click();
  await pane(page).click({ position: { x: 500, y: 100 } });
  await expect(page.getByRole('button', { name: 'No arrow' })).toBeVisible();
  await expectAccessible(page);
  // A page that is not there is told; the next one is meant unless another is named.
  const pages = page.getByLabel('Also on pages');
  await pages.fill('1, 3');
  await page.keyboard.press('Enter');
  await expect(page.getByText('There is no page 3: the pages are 1 to 2.')).toBeVisible();
  await pages.fill('2');
  await page.keyboard.press('Enter');
  await expect(pane(page, 2)).toBeVisible();
  await expect.poll(() => words(page)).toEqual(['Finding 3: sharps bin']);
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();

  // Opened again while its file cannot be had, what is marked is written on as a list; then it stands where it stood, and goes out there.
  const fileOfCase = /\/api\/cases\/[^/]+\/files\/[^/]+$/;
  await page.route(fileOfCase, (route) => route.abort());
  await page.reload();
  await expect(page.getByText('Could not load the page.')).toBeVisible();
  const draft = page.getByRole('textbox', { name: 'Draft' });
  await expect(draft).toBeFocused();
  await pressKeys(page, ['Control+Home', 'End']);
  // At once: typed slowly, it would be two steps for undo.
  await page.keyboard.insertText(' of the store');
  await expect(draft).toContainText(/fire door.* of the store/);
  await expectAccessible(page);
  await pressKeys(page, ['Control+z']);
  await expect(draft).not.toContainText('of the store');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await page.unroute(fileOfCase);
  await page.reload();
  await expect(pane(page)).toBeVisible();
  await expect.poll(() => words(page)).toEqual(['Finding 1: fire door', 'Finding 2: sharps bin']);
  const shown = await places(page);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'PDF, to be changed in other readers' }).click();
  const bytes = fs.readFileSync(await (await download).path());
  // What came in is there as it was.
  const plan = fs.readFileSync(PLAN);
  expect(bytes.subarray(0, plan.length).equals(plan)).toBe(true);
  const [first, second] = (await PDFDocument.load(bytes)).getPages().map(({ node }) =>
    (node.Annots() ?? ({ asArray: () => [] } as unknown as PDFArray)).asArray().map((ref) => {
      const own = node.context.lookup(ref, PDFDict);
      const [left, , , top] = own
        .lookup(PDFName.of('Rect'), PDFArray)
        .asArray()
        .map((one) => (one as PDFNumber).asNumber());
      return { left: left!, top: top!, words: own.lookup(PDFName.of('Contents'), PDFHexString).decodeText() };
    }),
  );
  // Behind what a colleague had remarked.
  expect(first!.map((one) => one.words)).toEqual([
    ...[expect.stringContaining('Which door'), 'Finding 1: fire door', 'Finding 2: sharps bin'],
  ]);
  expect(second!.map((one) => one.words)).toEqual([
    ...[expect.stringContaining('Checked by me'), 'Finding 3: sharps bin'],
  ]);
  // The first leads nowhere: its box is its words.
  expect(Math.abs(first![1]!.left - shown[0]![0]!)).toBeLessThan(0.5);
  expect(Math.abs(595 - first![1]!.top - shown[0]![1]!)).toBeLessThan(1);
});

test('words are found on pages and in markings, a remark in the file is answered, and the list is a text that goes out', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  await keepEntry(page, ['marking'], FINDING.replace('cue: fi', 'cue: fo'));
  await newPage(page);
  await page.getByLabel('Page', { exact: true }).setInputFiles(PLAN);
  await expect(pane(page)).toBeFocused();
  for (const finding of ['bin', 'lamp']) {
    await page.keyboard.type(`,fo${finding}`);
    await page.keyboard.press('Enter');
    await expect(pane(page)).toBeFocused();
  }

  // On the second page, without capitals; then in a marking, which is at hand then.
  await page.keyboard.press('Alt+/');
  const find = page.getByRole('search', { name: 'Find on these pages' });
  await page.keyboard.type('RECORDING room');
  await expect(find.getByRole('status')).toHaveText('1 found');
  await page.keyboard.press('Enter');
  await expect(pane(page, 2)).toBeVisible();
  await expect(page.locator('.page-found.is-current')).toHaveCount(1);
  await expectAccessible(page);
  await find.getByLabel('Find').fill('2: lamp');
  await expect(find.getByRole('status')).toHaveText('1 found');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Finding 2: lamp' })).toHaveAttribute('aria-current', 'true');
  await find.getByLabel('Find').fill('greenhouse');
  await expect(find.getByRole('status')).toHaveText('Not on these pages, and in no marking.');
  await page.keyboard.press('Escape');
  await expect(pane(page)).toBeFocused();

  // What is placed from one entry is changed at once, and lined up by pointing.
  await page.getByRole('checkbox', { name: 'Change and delete all 2 that say this' }).check();
  await page.getByRole('button', { name: 'Green' }).click();
  await expect(page.locator('[data-marking][data-colour="leaf"]')).toHaveCount(2);
  await pane(page).focus();
  await page.keyboard.press('ArrowRight');
  const lefts = async () => (await places(page)).map(([left]) => Math.round(left!));
  await expect.poll(async () => new Set(await lefts()).size).toBe(2);
  await page.keyboard.press('Alt+e');
  await marks(page).first().click();
  await expect.poll(async () => new Set(await lefts()).size).toBe(1);

  // What was asked in the file, on the first page, is answered from the second, beside it.
  await page.getByRole('button', { name: 'Next page' }).click();
  await expect(pane(page, 2)).toBeVisible();
  const remarks = page.getByRole('region', { name: 'Remarks in the file' });
  await remarks.getByRole('button', { name: 'Answer' }).first().click();
  await page.keyboard.type('The one to the yard.');
  await page.keyboard.press('Enter');
  await expect(remarks.getByRole('button', { name: 'The one to the yard.' })).toBeVisible();

  // As a list it is written in like any text; in all it goes out as a document.
  await page.keyboard.press('Alt+,');
  await expect(page.getByRole('textbox', { name: 'Draft' })).toBeFocused();
  await page.getByRole('button', { name: 'Words before all' }).click();
  await page.keyboard.type('Inspected on Monday.');
  await expectAccessible(page);
  await page.keyboard.press('Alt+,');
  await expect(marks(page)).toHaveCount(3);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'List (docx)' }).click();
  const docx = await (await download).path();
  const read = execFileSync('pandoc', ['-f', 'docx', '-t', 'plain', docx], { encoding: 'utf8' });
  expect(read.trim().split(/\n+/)).toEqual([
    ...['Inspected on Monday.', 'Finding 1: bin', 'Finding 2: lamp', 'The one to the yard.'],
  ]);
});

test('two who have a map see what the other marks and take it over; two fingers enlarge, and a tap marks', async ({
  signedIn,
}) => {
  const desta = await signedIn('Desta Wynne');
  const at = await newPage(desta, ['imke']);
  await desta.getByLabel('Page', { exact: true }).setInputFiles('demo/lived/pages/Survey map.png');
  const map = (page: Page) => page.getByRole('region', { name: 'Page 1 of 1' });
  await expect(map(desta)).toBeFocused();
  await map(desta).click({ position: { x: 200, y: 120 } });
  await desta.keyboard.type('nine reed buntings');
  await desta.keyboard.press('Enter');
  const imke = await signedIn('Imke Tarrow');
  await imke.goto(at);
  const theirs = imke.getByRole('region', { name: 'Markings of Desta Wynne' });
  await expect(theirs).toContainText('nine reed buntings');
  await expect(imke.locator('.marking-of-other')).toHaveText('nine reed buntings');
  await expectAccessible(imke);
  await theirs.getByRole('button', { name: /^Put on mine/ }).click();
  await expect(marks(imke)).toHaveText('nine reed buntings');
  await expect(
    desta.getByRole('region', { name: 'Markings of Imke Tarrow' }).getByText('nine reed buntings'),
  ).toBeVisible();

  // Between two fingers that part the same place stays, and nothing is put down.
  const touch = await desta.context().newCDPSession(desta);
  await touch.send('Emulation.setTouchEmulationEnabled', { enabled: true });
  const fingers = (type: 'touchStart' | 'touchMove' | 'touchEnd', ...xs: number[]) =>
    touch.send('Input.dispatchTouchEvent', {
      type,
      touchPoints: xs.map((x, id) => ({ x, y: middle.y, id })),
    });
  const box = (await map(desta).boundingBox())!;
  const middle = { x: box.x + 300, y: box.y + 150 };
  const seen = () =>
    desta.locator('.page-sheet').evaluate((sheet, { x, y }) => {
      const { left, top, width, height } = sheet.getBoundingClientRect();
      return { along: (x - left) / width, down: (y - top) / height, width };
    }, middle);
  const before = await seen();
  await fingers('touchStart', middle.x - 40, middle.x + 40);
  for (let apart = 50; apart <= 120; apart += 10)
    await fingers('touchMove', middle.x - apart, middle.x + apart);
  await fingers('touchEnd');
  await expect.poll(async () => Math.round((10 * (await seen()).width) / before.width)).toBe(30);
  const after = await seen();
  expect(Math.abs(after.along - before.along)).toBeLessThan(0.01);
  expect(Math.abs(after.down - before.down)).toBeLessThan(0.01);
  await expect(marks(desta)).toHaveCount(1);
  await fingers('touchStart', middle.x);
  await fingers('touchEnd');
  await desta.keyboard.type('two grey seals');
  await desta.keyboard.press('Enter');
  await expect(marks(desta)).toHaveCount(2);
  await expect(theirs).toContainText('two grey seals');

  // Drawn in for printing, what is marked is words of the page for every reader.
  const download = desta.waitForEvent('download');
  await desta.getByRole('button', { name: 'PDF, drawn in for printing' }).click();
  const { getDocument } = await import('pdfjs-dist/legacy/build/pdf.mjs');
  const data = new Uint8Array(fs.readFileSync(await (await download).path()));
  const pdf = await getDocument({ data, verbosity: 0 }).promise;
  const { items } = await (await pdf.getPage(1)).getTextContent();
  const drawn = items.map((item) => ('str' in item ? item.str : '')).join(' ');
  for (const written of ['nine reed buntings', 'two grey seals']) expect(drawn).toContain(written);
});
