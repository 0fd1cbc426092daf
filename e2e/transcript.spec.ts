import { readFile } from 'node:fs/promises';
import { parseText } from 'media-captions';
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
  // How loud it is all along: worked out once.
  await expect(page.locator('.wave-line')).toBeVisible();
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

  // A pedal in another window plays while it is held, by finger and by key; the window one writes in keeps the text.
  const pedal = await page.context().newPage();
  await pedal.goto(new URL('/pedal', page.url()).href);
  const middle = pedal.getByRole('button', { name: /^Middle/ });
  await expect(middle).toBeVisible();
  await expectAccessible(pedal);
  const [plays, pauses] = [/^Pause/, /^Play/].map((name) => page.getByRole('button', { name }));
  await middle.hover();
  await pedal.mouse.down();
  await expect(plays!).toBeVisible();
  await pedal.mouse.up();
  await expect(pauses!).toBeVisible();
  await pedal.keyboard.down('2');
  await expect(plays!).toBeVisible();
  await pedal.keyboard.up('2');
  await expect(pauses!).toBeVisible();
  const paused = await at(page);
  await pedal.keyboard.press('1');
  await expect.poll(() => at(page)).toBeCloseTo(Math.max(0, paused - 3), 1);
  await expect(draftOf(page)).toContainText('The tide was out.M');
});

test('who speaks is named once, turns begin by a key, and the whole goes out as subtitles', async ({
  signedIn,
}) => {
  const page = await signedIn('Ruan Pellow');
  await page.getByRole('link', { name: /^Interview: Wilf Ambry/ }).press('Enter');
  await page.getByRole('button', { name: 'Take a recording in' }).press('Enter');
  await page
    .getByLabel('Recording', { exact: true })
    .setInputFiles({ name: 'Wilf Ambry.wav', mimeType: 'audio/wav', buffer: tone(60) });
  await expect(page.getByRole('button', { name: /^Play/ })).toBeVisible();
  const steps = ['Ruan Pellow', 'Wilf Ambry', 'Nesta Ambry', 'Wynn Arkell', 'Hob Marrow'];
  await page.getByRole('button', { name: 'Add speakers' }).press('Enter');
  // Whoever is added is saved, without a word being typed.
  const saved = page.waitForResponse(
    (one) => one.request().method() === 'PUT' && /\/api\/drafts\//.test(one.url()),
  );
  for (const name of steps) {
    await page.keyboard.type(name);
    await page.keyboard.press('Enter');
  }
  await expectAccessible(page);
  await page.keyboard.press('Escape');
  await expect(draftOf(page)).toBeFocused();
  expect((await saved).ok()).toBe(true);

  // The likeliest next by one key, another by two, one by initials on a line of their own.
  await page.keyboard.press('Alt+Enter');
  await page.keyboard.type('So you were on the wall?');
  await pressKeys(page, ['Alt+/', 'Alt+/']);
  await pressKeys(page, ['Alt+t', 'w']);
  await page.keyboard.type('We were. And ;in came over it.');
  await pressKeys(page, ['Alt+/', 'Alt+Enter']);
  await page.keyboard.type('And then?');
  await page.keyboard.press('Alt+/');
  await page.keyboard.type('\nna');
  await page.keyboard.press('Tab');
  await page.keyboard.type('Eleven. ');
  await page.keyboard.press('Alt+h');
  const labels = draftOf(page).locator('.turn-label');
  await expect(labels).toHaveText(['Ruan Pellow:', 'Wilf Ambry:', 'Ruan Pellow:', 'Nesta Ambry:']);
  await expect(draftOf(page).getByRole('button', { name: /^00:/ })).toHaveText([
    ...['00:00:00', '00:00:06', '00:00:09', '00:00:12'],
  ]);
  await expectAccessible(page);
  // Joined to the one before by Backspace at its beginning, and taken back.
  await pressKeys(page, ['Home', 'Backspace']);
  await expect(labels).toHaveText(['Ruan Pellow:', 'Wilf Ambry:', 'Ruan Pellow:']);
  await expect(draftOf(page)).toContainText('And then? Eleven.');
  await page.keyboard.press('Control+z');
  await expect(labels).toHaveCount(4);

  // A letter is in the text wherever the browser takes the caret of an empty turn to be: said as Chromium says it now and then.
  await pressKeys(page, ['Control+End', 'Alt+Enter']);
  await draftOf(page)
    .locator('.turn')
    .last()
    .evaluate((turn) => {
      const beside = { startContainer: turn, startOffset: 0, endContainer: turn, endOffset: 0 };
      const typed = { inputType: 'insertText', data: 'O', bubbles: true, cancelable: true };
      const targetRanges = [new StaticRange(beside)];
      turn.dispatchEvent(new InputEvent('beforeinput', { ...typed, targetRanges }));
    });
  await page.keyboard.type('rin');
  await expect(draftOf(page).locator('.turn').last().locator('p')).toHaveText('Orin');
  // A name is kept for this recording by one key, offered from then on; put right once, its like is shown and changed.
  await page.keyboard.type(' and Quorrin');
  await page.keyboard.press('Alt+]');
  await page.keyboard.type(', not Orin at Quo');
  await expect(page.getByText('this recording', { exact: true })).toBeVisible();
  await page.keyboard.press('Alt+j');
  await expect(draftOf(page)).toContainText('Orin and Quorrin, not Orin at Quorrin');
  await pressKeys(page, ['Home', 'ArrowRight', 'ArrowRight']);
  await page.keyboard.type('r');
  await page.keyboard.press('ArrowUp');
  await page.getByRole('button', { name: 'See where, and change' }).press('Enter');
  await page.getByRole('button', { name: 'Change all' }).press('Enter');
  await expect(draftOf(page)).toContainText('Orrin and Quorrin, not Orrin at Quorrin');
  await page.getByRole('textbox', { name: 'Find' }).press('Escape');
  await pressKeys(page, ['Control+End', 'Shift+Home', 'Delete', 'Backspace']);
  await expect(labels).toHaveCount(4);

  // Fillers are seen, marked and left out of what goes out; the transcript keeps them.
  await pressKeys(page, ['Control+End']);
  await page.keyboard.type(' Um, it was the the wall.');
  await page.keyboard.press('F2');
  await page.keyboard.type('clean or verbatim');
  await page.getByRole('option', { name: /^Clean or verbatim/ }).waitFor();
  await page.keyboard.press('Enter');
  const clean = page.getByRole('region', { name: 'Clean or verbatim' });
  await clean.getByRole('combobox', { name: /^What is marked/ }).selectOption('clean');
  await expect(clean.getByRole('list', { name: 'Found' }).getByRole('listitem')).toHaveText([
    /Um, it was the the wall\..*filler/,
    /said twice/,
  ]);
  await expectAccessible(page);
  await clean.getByRole('button', { name: 'Mark 2 places' }).press('Enter');
  await expect(clean).toContainText('Marked: 2 places.');
  await expect(clean.getByRole('combobox', { name: /^What is marked/ })).toHaveValue('clean');
  await page.keyboard.press('Escape');
  await expect(draftOf(page)).toContainText('Um, it was the the wall.');

  // What is unclear is listed, gone to by a key, and heard from two seconds before it.
  const again = page.getByRole('region', { name: 'To hear again' });
  await expect(again).toContainText('We were. And [inaudible 00:00:06] came over it.');
  await page.keyboard.press("Alt+'");
  await expect.poll(() => at(page)).toBeGreaterThanOrEqual(4);
  await page.keyboard.press('Alt+.');
  // Renaming somebody changes every turn of theirs, and is one undo.
  await page.getByRole('button', { name: 'Change the cast' }).press('Enter');
  await page.getByRole('textbox', { name: 'Name of Ruan Pellow' }).fill('Interviewer');
  await page.keyboard.press('Enter');
  await expect(labels).toHaveText(['Interviewer:', 'Wilf Ambry:', 'Interviewer:', 'Nesta Ambry:']);
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+z');
  await expect(labels.first()).toHaveText('Ruan Pellow:');
  await page.keyboard.press('Control+y');
  await expect(labels.first()).toHaveText('Interviewer:');

  await page.keyboard.press('F9');
  const away = page.getByRole('region', { name: 'Take the transcript away' });
  const download = page.waitForEvent('download');
  await away.getByRole('button', { name: 'WebVTT subtitles' }).press('Enter');
  const file = await readFile(await (await download).path(), 'utf8');
  const { cues, errors } = await parseText(file, { type: 'vtt' });
  expect(errors).toEqual([]);
  expect(cues.map(({ startTime, text }) => `${startTime} ${text}`)).toEqual([
    '0 <v Interviewer>So you were on the wall?',
    '6 <v Wilf Ambry>We were. And [inaudible] came over it.',
    '9 <v Interviewer>And then?',
    '12 <v Nesta Ambry>Eleven. It was the wall.',
  ]);
  await expectAccessible(page);

  // What went out comes in again, as a transcript of its own.
  await page.getByRole('link', { name: 'Desk' }).press('Enter');
  const told = page.getByRole('region', { name: 'From a file' });
  await told
    .getByLabel('Files', { exact: true })
    .setInputFiles({ name: 'Flood.vtt', mimeType: 'text/vtt', buffer: Buffer.from(file) });
  await told.getByRole('link', { name: 'Open it' }).press('Enter');
  await expect(labels).toHaveText(['Interviewer:', 'Wilf Ambry:', 'Interviewer:', 'Nesta Ambry:']);
});
