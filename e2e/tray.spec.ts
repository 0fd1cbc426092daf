import { execFileSync } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { strFromU8, unzipSync } from 'fflate';
import { DEFAULT_CUE_RULES } from '#core/cue';
import { readEntry } from '#core/notation';
import type { Tray } from '../contracts';
import { expect, expectAccessible, test, type Page } from './test';

const PAPERS = 'demo/lived/tray/papers';
const NAMES = fs.readdirSync(PAPERS).sort((a, b) => a.localeCompare(b, 'en', { numeric: true }));

/** The senders of the demo's second day, kept by whoever is signed in. */
async function keepSenders(page: Page): Promise<void> {
  const send = (at: string, data: object) =>
    page.request.post(new URL(at, page.url()).href, {
      data,
      headers: { Origin: new URL(page.url()).origin },
    });
  const settings = {
    ...{ name: 'Names of papers', parent: null, leadIn: ',', language: 'en-GB', kindsOfWork: ['naming'] },
    ...{ cueRules: { ...DEFAULT_CUE_RULES, fires: 'last' }, cuesBy: 'initials' },
  };
  const { id } = (await (await send('/api/collections', settings)).json()) as { id: string };
  for (const notation of fs.readFileSync('demo/lived/bank/paper-names.txt', 'utf8').split('\n====\n')) {
    const read = readEntry(notation.trim());
    if (!read.ok) throw new Error(notation);
    const kept = await send('/api/entries', { collection: id, content: read.value, reason: 'For names' });
    expect(kept.status()).toBe(201);
  }
}

/** A tray without files, opened. */
async function newTray(page: Page, title: string): Promise<string> {
  const id = crypto.randomUUID();
  await page.request.post(new URL('/api/cases', page.url()).href, {
    data: { id, kind: 'naming', title, number: null, details: [], given: [] },
    headers: { Origin: new URL(page.url()).origin },
  });
  await page.goto(new URL(`/cases/${id}`, page.url()).href);
  return id;
}

/** Puts files into the browser's own folder, which stands in for one of the computer. */
async function fillFolder(page: Page, names: readonly string[]): Promise<void> {
  const files = names.map((name) => [name, fs.readFileSync(path.join(PAPERS, name)).toString('base64')]);
  await page.evaluate(async (all) => {
    const root = await navigator.storage.getDirectory();
    for (const [name, content] of all) {
      const writing = await (await root.getFileHandle(name!, { create: true })).createWritable();
      await writing.write(Uint8Array.from(atob(content!), (sign) => sign.charCodeAt(0)));
      await writing.close();
    }
  }, files);
}
const namesInFolder = (page: Page): Promise<string[]> =>
  page.evaluate(async () => {
    const names: string[] = [];
    const root = await navigator.storage.getDirectory();
    for await (const name of (root as unknown as { keys: () => AsyncIterable<string> }).keys())
      names.push(name);
    return names.sort();
  });

const linesOf = async (of: string, page: Page) =>
  ((await (await page.request.get(new URL(`/api/cases/${of}/tray`, page.url()).href)).json()) as Tray).lines;
const words = async (of: string, page: Page) => (await linesOf(of, page)).map((line) => line.words);

const lineHere = (page: Page) => page.getByRole('listitem').and(page.locator('[aria-current=true]'));
const part = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Parts of the tray' }).getByRole('link', { name }).click();

/** Holds back what a page saves of its lines, until it is let go. */
async function holdChanges(page: Page): Promise<() => void> {
  let letGo = (): void => undefined;
  const gate = new Promise<void>((open) => (letGo = open));
  await page.route('**/tray/lines/changes', async (route) => {
    await gate;
    await route.continue();
  });
  return letGo;
}
/** What this browser keeps of texts that the server does not have. */
const copiesHere = (page: Page) =>
  page.evaluate(() =>
    Object.entries(localStorage)
      .flatMap(([name, value]) => (name.includes('draft.') ? [String(value)] : []))
      .join(' '),
  );

/** Keys pressed one after another; a combination counts each of its keys. */
async function press(page: Page, keys: readonly string[]): Promise<number> {
  for (const key of keys) await page.keyboard.press(key);
  return keys.reduce((sum, key) => sum + (key === '+' ? 1 : key.split('+').length), 0);
}
const typed = (words: string) => [...words].map((letter) => (letter === ' ' ? 'Space' : letter));

/** How each paper is named: keys, and the name that comes of it. Scans without words have their day typed. */
const HOW: Record<string, [keys: string[], name: string]> = {
  'Collection of clinical waste.eml': [typed('Saltgate, clinical waste'), 'Saltgate, clinical waste.eml'],
  'IMG_20261114_1622.jpg': [
    [...typed(',rs'), 'ArrowDown', 'Enter', '3'],
    '2026_11_14 Ringing Heron wood.jpg',
  ],
  'Scan0001.pdf': [[...typed(',hp'), 'ArrowDown'], '2026_08_04 Hollin Power bill.pdf'],
  'Scan0002.pdf': [['Tab', 'ArrowDown'], '2026_09_05 Hollin Power bill.pdf'],
  'Scan0003.pdf': [['Alt+j', 'ArrowDown'], '2026_10_04 Hollin Power bill.pdf'],
  'Scan0004.pdf': [[...typed(',mw'), 'ArrowDown'], '2026_09_12 Marsh Water bill.pdf'],
  'Scan0005.pdf': [[...typed(',mw'), 'ArrowDown'], '2026_11_14 Marsh Water bill.pdf'],
  'Scan0006.pdf': [
    [...typed(',sv'), 'ArrowDown', 'Enter', 'ArrowDown'],
    '2026_10_21 Saltgate Vet Supplies invoice SV-20931.pdf',
  ],
  'Scan0007.pdf': [
    [...typed(',sv'), 'ArrowDown', 'Enter', 'ArrowDown'],
    '2026_11_09 Saltgate Vet Supplies invoice SV-21044.pdf',
  ],
  'Scan0008.pdf': [
    [...typed(',tp'), 'ArrowDown', 'Enter', 'ArrowDown'],
    '2026_09_30 Tern Print invoice 2261.pdf',
  ],
  'Scan0009.pdf': [[...typed(',ft'), 'ArrowDown'], '2026_11_01 Fen Telephone bill.pdf'],
  'Scan0010.pdf': [[...typed(',rs3o'), 'Enter', '1'], '2026_10_03 Ringing Causeway hide.pdf'],
  'Scan0011.pdf': [['Tab', ...typed('10o'), 'Enter', '2'], '2026_10_10 Ringing Saltgate creek.pdf'],
  'Scan0012.pdf': [['Tab', ...typed('17o'), 'Enter', '1'], '2026_10_17 Ringing Causeway hide.pdf'],
  'Scan0013.pdf': [['Tab', 'ArrowDown', 'Enter', '3'], '2026_10_24 Ringing Heron wood.pdf'],
  'Scan0014.pdf': [['Tab', 'ArrowDown', 'Enter', '1'], '2026_10_31 Ringing Causeway hide.pdf'],
  'Scan0015.png': [['Tab', ...typed('7n'), 'Enter', '2'], '2026_11_07 Ringing Saltgate creek.png'],
  'Scan0017.tif': [['Tab', ...typed('21n'), 'Enter', '1'], '2026_11_21 Ringing Causeway hide.tif'],
  'Scan0018.webp': [['Tab', ...typed('22n'), 'Enter', '2'], '2026_11_22 Ringing Saltgate creek.webp'],
  'Scan0019.pdf': [[...typed('Fenwold Insurance policy')], 'Fenwold Insurance policy.pdf'],
  'Scan0020.pdf': [
    [...typed(',mi'), 'ArrowDown', 'Enter', ...typed('Trustees')],
    '2026_11_11 Minutes, Trustees.pdf',
  ],
  'Scan0021.pdf': [
    [...typed(',re6n'), 'Enter', ...typed('Corner Feeds')],
    '2026_11_06 Corner Feeds receipt.pdf',
  ],
  'Scan0022.pdf': [
    [...typed(',tp'), 'ArrowDown', 'Enter', 'ArrowDown'],
    '2026_11_19 Tern Print invoice 2317.pdf',
  ],
  'ticket.txt': [[...typed('Ferry ticket')], 'Ferry ticket.txt'],
};
/** What is not from a recurring sender is typed out. */
const TYPED_OUT = [
  'Collection of clinical waste.eml',
  'Scan0019.pdf',
  'Scan0020.pdf',
  'Scan0021.pdf',
  'ticket.txt',
];

test('24 scans are named by keyboard alone, renamed in their folder, and given their old names back', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  await keepSenders(page);
  await page.addInitScript(() => {
    Object.assign(window, { showDirectoryPicker: () => navigator.storage.getDirectory() });
  });
  await newTray(page, 'Post of the week');
  await fillFolder(page, NAMES);
  const sent: string[] = [];
  page.on('request', (request) => {
    if (request.method() !== 'GET') sent.push(request.postData() ?? '');
  });
  await expect(page.getByText('They stay on this computer')).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Open a folder' }).click();
  await expect(page.getByText('0 of 24 named')).toBeVisible();

  for (const name of NAMES) {
    const [keys, wanted] = HOW[name]!;
    await expect(lineHere(page)).toContainText(name);
    // What is offered comes from the file: it is there once the file was looked into.
    await expect(page.getByText('Found in this file', { exact: true })).toBeVisible();
    const pressed = await press(page, [...keys, 'Enter']);
    if (!TYPED_OUT.includes(name)) expect([name, pressed <= 9]).toEqual([name, true]);
    // The last stays the one in hand.
    if (name !== NAMES.at(-1))
      await expect(page.getByRole('listitem').filter({ hasText: name })).toContainText(wanted);
  }
  await expect(page.getByText('24 of 24 named')).toBeVisible();
  await expectAccessible(page);

  await part(page, 'How they are named');
  await expect(page.getByRole('heading', { name: 'A pattern for one kind of paper' })).toBeVisible();
  await expectAccessible(page);
  await part(page, 'Rename');
  await page.getByRole('button', { name: 'Rename 24 files in the folder' }).click();
  await page.getByRole('button', { name: 'Rename 24 files now' }).click();
  await expect(page.getByText('No file waits for its new name.')).toBeVisible();
  expect(await namesInFolder(page)).toEqual(
    Object.values(HOW)
      .map(([, name]) => name)
      .sort(),
  );
  await expectAccessible(page);

  // A scan that comes meanwhile is one more, and none of those that were renamed is taken for new.
  await fillFolder(page, ['Scan0001.pdf']);
  await part(page, 'Files');
  await page.getByRole('button', { name: 'Look into the folder again' }).click();
  await expect(page.getByText('24 of 25 named')).toBeVisible();
  await part(page, 'Rename');
  const list = page.getByRole('region', { name: 'What became what' });
  // One has its old name taken meanwhile: it is left, and said.
  await list.getByRole('button', { name: 'Give all their old names back' }).click();
  await expect(
    page.getByText('Scan0001.pdf: the name is taken').or(page.getByText('the name is taken')),
  ).toBeVisible();
  expect(await namesInFolder(page)).toEqual([...NAMES, '2026_08_04 Hollin Power bill.pdf'].sort());

  // Nothing that the files hold was sent anywhere.
  expect(sent.length).toBeGreaterThan(24);
  expect(sent.filter((body) => /HP-88121|Levamisole|reed bunting/i.test(body))).toEqual([]);
});

test('files that were chosen are named in two windows, come as an archive and by a script for a real folder', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  const of = await newTray(page, 'Three scans');
  const three = ['Scan0004.pdf', 'Scan0017.tif', 'ticket.txt'];
  await page.getByLabel('Files to be named').setInputFiles(three.map((name) => path.join(PAPERS, name)));
  await expect(page.getByText('0 of 3 named')).toBeVisible();
  // A TIFF is drawn as its points say.
  await page.getByRole('button', { name: 'Scan0017.tif' }).click();
  await expect(page.getByRole('img', { name: 'Page 1' })).toBeVisible();
  await page.getByRole('button', { name: 'Scan0004.pdf' }).click();
  // Clicked at once more, the line that is written on has the keys as before.
  await page.getByRole('button', { name: 'Scan0004.pdf' }).click();

  // What no system takes is told while it is typed, and the nearest name is a key away.
  await page.keyboard.type('Water 3/4: "pools"');
  const check = page.getByRole('region', { name: 'This name' });
  await expect(check).toContainText('Not every system takes / : " in a name.');
  await page.keyboard.press('Enter');
  await expect(page.getByText('This name cannot stay as it is')).toBeVisible();
  await page.keyboard.press('Alt+Enter');
  await expect(page.getByRole('listitem').first()).toContainText("Water 3-4- 'pools'.pdf");

  // In another window the same tray is there, its files are not; a name given there is not taken here.
  const other = await page.context().newPage();
  await other.goto(page.url());
  await expect(other.getByText('1 of 3 named')).toBeVisible();
  await expect(
    other
      .getByText('2 files are not open on this computer', { exact: false })
      .or(other.getByText('3 files are not open')),
  ).toBeVisible();
  await other.getByRole('button', { name: 'ticket.txt' }).click();
  await other.keyboard.type('Ferry');
  await other.keyboard.press('Enter');
  await expect(other.getByText('2 of 3 named')).toBeVisible();
  await expect(page.getByText('2 of 3 named')).toBeVisible();
  await expect(lineHere(page)).toContainText('Scan0017.tif');

  // What is written here and not sent yet is this window's: opened in the other meanwhile, the line is as the server has it.
  const letGo = await holdChanges(page);
  await page.keyboard.type('Ferry');
  await expect.poll(() => copiesHere(page)).toContain('Ferry');
  await other.getByRole('button', { name: 'Scan0004.pdf' }).click();
  await other.getByRole('button', { name: 'Scan0017.tif' }).click();
  await expect(lineHere(other)).toContainText('Scan0017.tif');
  await expect(lineHere(other).getByRole('textbox')).toHaveText('');
  // Written in both, the second to be saved is told; the other's can be taken, and undo brings one's own back.
  await other.keyboard.type('Bird list');
  await expect.poll(() => words(of, page)).toContain('Bird list');
  letGo();
  await page.getByRole('button', { name: 'Take theirs' }).click();
  await expect(lineHere(page).getByRole('textbox')).toHaveText('Bird list');
  await page.keyboard.press('Control+z');
  await expect(lineHere(page).getByRole('textbox')).toHaveText('Ferry');
  await expect(lineHere(other).getByRole('textbox')).toHaveText('Ferry');
  // Where no change comes through, what was written, left and come back to is sent once one does.
  const changes = '**/tray/lines/changes';
  await page.route(changes, (route) => route.abort());
  await page.keyboard.press('Control+a');
  await page.keyboard.type('ringing');
  await expect.poll(() => copiesHere(page)).toContain('ringing');
  await expect(page.getByRole('alert').filter({ hasText: 'cannot be reached' })).toBeVisible();
  await page.getByRole('link', { name: 'Desk' }).click();
  await page.getByRole('link', { name: /^Three scans/ }).click();
  await expect(lineHere(page).getByRole('textbox')).toHaveText('ringing');
  await page.unroute(changes);
  await expect.poll(() => words(of, page)).toContain('ringing');
  await expect(page.getByText('Somebody else changed')).toBeHidden();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('ringing sheet');
  await page.keyboard.press('Enter');
  await expect(page.getByText('3 of 3 named')).toBeVisible();
  await expect
    .poll(async () => (await linesOf(of, page)).map(({ newName }) => newName))
    .toEqual(["Water 3-4- 'pools'.pdf", 'ringing sheet.tif', 'Ferry.txt']);

  await part(page, 'Rename');
  const script = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Script for macOS and Linux' }).click();
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'elderleaf-tray-'));
  for (const name of three) fs.copyFileSync(path.join(PAPERS, name), path.join(folder, name));
  await (await script).saveAs(path.join(folder, 'rename.sh'));
  execFileSync('sh', ['rename.sh'], { cwd: folder });
  const named = ['Ferry.txt', "Water 3-4- 'pools'.pdf", 'rename.sh', 'ringing sheet.tif'];
  expect(fs.readdirSync(folder).sort()).toEqual(named);
  execFileSync('sh', ['rename.sh', 'undo'], { cwd: folder });
  expect(fs.readdirSync(folder).sort()).toEqual([...three, 'rename.sh'].sort());
  fs.rmSync(folder, { recursive: true });

  // They were not renamed after all: they can be packed as well.
  await page.getByRole('button', { name: 'They were not renamed after all' }).click();
  const archive = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Archive (zip)' }).click();
  const files = unzipSync(fs.readFileSync(await (await archive).path()));
  expect(Object.keys(files).sort()).toEqual(named.filter((name) => name !== 'rename.sh'));
  expect(strFromU8(files['Ferry.txt']!)).toBe(fs.readFileSync(path.join(PAPERS, 'ticket.txt'), 'utf8'));
});
