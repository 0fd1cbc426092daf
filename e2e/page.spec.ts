import fs from 'node:fs';
import { PDFArray, PDFDict, PDFDocument, PDFHexString, PDFName, type PDFNumber } from '@cantoo/pdf-lib';
import { DEFAULT_CUE_RULES } from '#core/cue';
import { readEntry } from '#core/notation';
import { expect, expectAccessible, test, type Page } from './test';

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

async function newPage(page: Page): Promise<void> {
  const { id } = await send(page, '/api/cases', {
    ...{
      id: crypto.randomUUID(),
      kind: 'marking',
      title: 'Inspection',
      number: null,
      details: [],
      given: [],
    },
  });
  await page.goto(new URL(`/cases/${id}`, page.url()).href);
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
  await page.getByRole('button', { name: 'On the next page too' }).click();
  await expect(pane(page, 2)).toBeVisible();
  await expect.poll(() => words(page)).toEqual(['Finding 3: sharps bin']);
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();

  // It stands there after the page was opened again, and goes out there.
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
  expect(first!.map((one) => one.words)).toEqual(['Finding 1: fire door', 'Finding 2: sharps bin']);
  expect(second!.map((one) => one.words)).toEqual(['Finding 3: sharps bin']);
  // The first leads nowhere: its box is its words.
  expect(Math.abs(first![0]!.left - shown[0]![0]!)).toBeLessThan(0.5);
  expect(Math.abs(595 - first![0]!.top - shown[0]![1]!)).toBeLessThan(1);
});
