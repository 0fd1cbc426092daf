import fs from 'node:fs';
import { draftOf, expect, expectAccessible, pressKeys, test, words } from './test';

const FIRST = 'otter-tansy.json';
const LATER = 'otter-tansy-a-week-later.json';

/** The day on which the later record was made: it is today here, or what it holds would grow old with the test. */
const MADE_ON = Date.parse('2026-11-30');
const DAY_MS = 86_400_000;
const today = Date.parse(new Date().toISOString().slice(0, 10));

/** A record of the demo as if it had been made today, or a week ago. */
function record(name: string) {
  const text = fs
    .readFileSync(`demo/to-drop/${name}`, 'utf8')
    .replace(/\b20\d\d-\d\d-\d\d/g, (day) =>
      new Date(Date.parse(day) + today - MADE_ON).toISOString().slice(0, 10),
    );
  return { name, mimeType: 'application/json', buffer: Buffer.from(text) };
}
const IN_WORDS = new Intl.DateTimeFormat('en-GB', { dateStyle: 'long', timeZone: 'UTC' });
/** A day so many days before today, as it is read: "23 November 2026". */
const daysAgo = (days: number) => IN_WORDS.format(today - days * DAY_MS);

test('a record is dropped, written about and finished for a record system; a week later it is brought up to date @alone', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  const { keyboard } = page;
  const files = page.getByLabel('Files', { exact: true });
  await files.setInputFiles(record(FIRST));
  await expect(page.getByText('A case was made: Tansy, otter.')).toBeVisible();
  await expect(page.getByText('Left out: 1 Claim, Elderleaf does not read these.')).toBeVisible();
  await page.getByRole('link', { name: 'Open it' }).press('Enter');
  await expect(draftOf(page)).toBeFocused();
  const line = page.getByRole('list', { name: 'The record in one line' });
  await expect(line).toContainText('Blood pressure 148/91 mmHg ▲ high');
  await expect(line).toContainText('Allergic to Penicillin');

  // One cue, and all of it is there; what the record does not say leaves no trace.
  await keyboard.type(',vs ');
  await expect
    .poll(() => words(page))
    .toContain(
      [
        `Vital signs. Weight 1.9 kg (${daysAgo(7)}). Blood pressure 148/91 mmHg.`,
        `Allergies: Penicillin (hives). Immunised: Distemper (${daysAgo(7)}).`,
      ].join('\n'),
    );
  await expectAccessible(page);
  await pressKeys(page, ['F9']);
  await page.getByRole('button', { name: 'Download' }).press('Enter');
  const download = page.waitForEvent('download');
  await page.getByRole('menuitem', { name: 'Record system (FHIR R4)' }).click();
  const file = await download;
  expect(file.suggestedFilename()).toBe('Tansy, otter OT-0015.json');
  const sent = JSON.parse(fs.readFileSync(await file.path(), 'utf8')) as {
    type: string;
    entry: { resource: { resourceType: string; text?: { div: string } } }[];
  };
  expect([sent.type, sent.entry.map(({ resource }) => resource.resourceType)]).toEqual([
    'document',
    ['Composition', 'Patient', 'Practitioner'],
  ]);
  expect(sent.entry[0]!.resource.text!.div).toContain('<strong>Allergies:</strong> Penicillin (hives).');

  // The same otter a week later: the same case, with what is new and what changed.
  await page.getByRole('link', { name: 'Desk' }).click();
  await files.setInputFiles(record(LATER));
  await expect(page.getByText('Tansy, otter was here: it is up to date.')).toBeVisible();
  await expect(page.getByText(/^Added: 1 measurement\.$/)).toBeVisible();
  await expect(
    page.getByText(`Body weight 2 kg, ${daysAgo(7)}. It was: Body weight 1.9 kg`, { exact: false }),
  ).toBeVisible();
  await page.getByRole('link', { name: 'Open it' }).press('Enter');
  await page.getByRole('button', { name: 'Another leaf', exact: true }).press('Enter');
  await expect(page.getByText(/^New since your leaf of/)).toBeVisible();
  await expect(draftOf(page)).toBeFocused();
  await keyboard.type(',vs ');
  await expect
    .poll(() => words(page))
    .toContain(`Weight 2.4 kg (${daysAgo(0)}), a change of 0.4 kg since admission.`);
  await expect.poll(() => words(page)).toMatch(/New since the last note:\nBody weight 2\.4 kg/);
  await expect.poll(() => words(page)).toContain(`Overdue:\nLeptospirosis: overdue since ${daysAgo(5)}\n`);
  // Dropped once more it says nothing new.
  await page.getByRole('link', { name: 'Desk' }).click();
  await files.setInputFiles(record(LATER));
  await expect(page.getByText('Nothing new: it says what the record says.')).toBeVisible();
});

test('what a team settles on for records is due, high and old in every case; members read it @alone', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  const { keyboard } = page;
  await pressKeys(page, ['F2']);
  await keyboard.type('Rules for records');
  await pressKeys(page, ['Enter']);
  await page.getByRole('button', { name: 'Add a rule' }).press('Enter');
  await keyboard.type('Chest film');
  await pressKeys(page, ['Tab', 'Control+a']);
  await keyboard.type('often');
  await page.getByRole('button', { name: 'Add a range' }).press('Enter');
  await keyboard.type('weight');
  await page.getByRole('textbox', { name: 'At most' }).fill('300');
  await page.getByRole('textbox', { name: 'Unit' }).fill('g');
  await pressKeys(page, ['F9']);
  await expect(page.getByText('Not saved: look at what is marked.')).toBeVisible();
  await expect(page.getByRole('alert')).toHaveText('Such as 2 years, 6 months or 8 weeks.');
  await page.getByRole('textbox', { name: 'Again after' }).fill('6 months');
  await page.getByRole('textbox', { name: 'Species' }).first().fill('hedgehog');
  await expectAccessible(page);
  await pressKeys(page, ['F9']);
  await expect(page.getByText('Saved: they hold for all cases now.')).toBeVisible();
  await page.getByRole('link', { name: 'Desk' }).click();
  await page.getByRole('link', { name: /Bramble/ }).click();
  const line = page.getByRole('list', { name: 'The record in one line' });
  await expect(line).toContainText('Body weight 512 g ▲ high');
  await pressKeys(page, ['Alt+c']);
  await expect(page.getByRole('region', { name: 'Record', exact: true })).toContainText(
    /Chest film overdue since/,
  );
  await expectAccessible(page);
  const odile = await signedIn('Odile Brandt');
  await pressKeys(odile, ['F2']);
  await odile.keyboard.type('Rules for records');
  await pressKeys(odile, ['Enter']);
  await expect(odile.getByRole('textbox', { name: 'What is due' })).toBeDisabled();
  await expect(odile.getByRole('button', { name: /^Save/ })).toHaveCount(0);
});
