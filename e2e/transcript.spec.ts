import { draftOf, expect, expectAccessible, pressKeys, test, words, type Page } from './test';

const RATE = 8000;

/** A tone of so many seconds, as a WAV file (RIFF, 8 bits, one channel). */
function tone(seconds: number): Buffer {
  const samples = Buffer.from(
    Uint8Array.from({ length: seconds * RATE }, (_, at) => 128 + Math.round(60 * Math.sin(at / 3))),
  );
  const head = Buffer.alloc(44);
  head.write('RIFF', 0);
  head.writeUInt32LE(36 + samples.length, 4);
  head.write('WAVEfmt ', 8);
  head.writeUInt32LE(16, 16);
  head.writeUInt16LE(1, 20);
  head.writeUInt16LE(1, 22);
  head.writeUInt32LE(RATE, 24);
  head.writeUInt32LE(RATE, 28);
  head.writeUInt16LE(1, 32);
  head.writeUInt16LE(8, 34);
  head.write('data', 36);
  head.writeUInt32LE(samples.length, 40);
  return Buffer.concat([head, samples]);
}

const place = (page: Page) => page.getByRole('slider', { name: 'Place in the recording' });
const at = async (page: Page) => Number(await place(page).inputValue());

test('a recording is heard while it is written down, by keys that work in the middle of a word', async ({
  signedIn,
}) => {
  const page = await signedIn('Ruan Pellow');
  const told = page.getByRole('region', { name: 'From a file' });
  await told.getByLabel('Files', { exact: true }).setInputFiles([
    { name: 'Wilf Ambry.wav', mimeType: 'audio/wav', buffer: tone(30) },
    { name: 'No sound.mp3', mimeType: 'audio/mpeg', buffer: Buffer.from('No sound at all.') },
  ]);
  await expect(told.getByText('A case was made: Wilf Ambry.')).toBeVisible();
  await expect(
    told.getByText('No sound.mp3 holds no sound that is known here.', { exact: false }),
  ).toBeVisible();
  await told.getByRole('link', { name: 'Open it' }).first().press('Enter');
  await expect(draftOf(page)).toBeFocused();
  await expect(page.getByRole('region', { name: 'Recording' })).toContainText('00:00:00 of 00:00:30');
  await expectAccessible(page);

  // In the middle of a word it plays, and nothing of the word is lost.
  await page.keyboard.type('The ti');
  await page.keyboard.press('Alt+.');
  await page.keyboard.type('de was out.');
  await expect(page.getByRole('button', { name: /^Pause/ })).toBeVisible();
  await expect(place(page)).not.toHaveValue('0');
  await page.keyboard.press('Alt+.');
  await expect(page.getByRole('button', { name: /^Play/ })).toBeVisible();
  expect(await words(page)).toBe('The tide was out.');

  // Paused, it goes by steps, and no further than it reaches.
  const here = await at(page);
  await page.keyboard.press('Alt+/');
  await expect.poll(() => at(page)).toBeCloseTo(here + 3, 1);
  await page.keyboard.press('Alt+,');
  await expect.poll(() => at(page)).toBeCloseTo(here, 1);
  await pressKeys(
    page,
    Array.from({ length: 12 }, () => 'Alt+/'),
  );
  await expect.poll(() => at(page)).toBe(30);
  const speed = page.getByRole('combobox', { name: 'Speed' });
  await pressKeys(page, ['Alt+z', 'Alt+z']);
  await expect(speed).toHaveValue('0.8');
  await page.keyboard.press('Alt+v');
  await expect(speed).toHaveValue('0.9');
  // A stretch is begun, ended and let go.
  await pressKeys(page, ['Alt+,', 'Alt+,', 'Alt+e']);
  await expect(page.getByRole('button', { name: /^Repeat from 00:00:24 to here/ })).toBeVisible();
  await pressKeys(page, ['Alt+/', 'Alt+e']);
  await expect(page.getByRole('button', { name: /^Repeat no more/ })).toBeVisible();
  await expect.poll(() => at(page)).toBe(24);
  await page.keyboard.press('Alt+e');
  expect(await words(page)).toBe('The tide was out.');
  // Going up, the line one is on is never beneath what stays in sight.
  await page.keyboard.type('\nM'.repeat(22));
  await expect(draftOf(page).getByRole('paragraph')).toHaveCount(23);
  await pressKeys(
    page,
    Array.from({ length: 16 }, () => 'ArrowUp'),
  );
  const band = await page.getByRole('region', { name: 'Recording' }).boundingBox();
  const caret = await page.evaluate(() => getSelection()!.getRangeAt(0).getBoundingClientRect().top);
  expect(caret).toBeGreaterThanOrEqual(band!.y + band!.height);
  // Where one was is remembered.
  await page.reload();
  await expect.poll(() => at(page)).toBe(24);
  await expect(draftOf(page)).toContainText('The tide was out.M');
});
