import { draftOf, expect, expectAccessible, openCase, pressKeys, test, words } from './test';
import { Workbench } from './workbench';

test('cues from one page: tried out, clashes told with a mend that is one step away', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  const bench = new Workbench(page);
  // A cue that begins another and one that is a word: both are told while they are made.
  await bench.begin('Feeding by hand');
  await bench.type('It was fed by hand.');
  await page.getByRole('button', { name: 'Add a cue' }).click();
  const cue = page.getByRole('group', { name: /^Cue/ });
  await cue.getByRole('textbox').fill('a');
  const told = page.getByRole('list', { name: 'Clashes of these cues' });
  await expect(told).toContainText(/,a fires at once, so that ,adm .+ can never be typed/);
  await expectAccessible(page);
  await bench.save();

  await page.getByRole('link', { name: 'Bank', exact: true }).click();
  await page.getByRole('link', { name: 'Cues', exact: true }).click();
  const clashes = page.getByRole('region', { name: 'Clashes' });
  await expect(clashes).toContainText(',a fires at once, so that ,adm');
  await expectAccessible(page);
  const line = page.getByRole('textbox', { name: 'Try a cue out' });
  const said = page.getByRole('region', { name: 'Try cues out' }).getByRole('status');
  await line.fill('Seen ,a');
  await expect(said).toHaveText('Typing ,a places “Feeding by hand” straight away.');
  await line.fill('a,adm');
  await expect(said).toContainText('Not here: ,adm needs');
  await page.getByLabel('In reach').selectOption('Replies');
  await line.fill(';bye');
  const mend = clashes.getByRole('button', { name: 'Wait for a space or Enter' }).first();
  await mend.click();
  await expect(clashes).not.toContainText(',a fires at once, so that ,adm');
});

test('keys as cues, alone and with a letter; a pattern whose groups answer the fields', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  const { keyboard } = page;
  const bench = new Workbench(page);
  const cues = page.getByRole('group', { name: /^Cue/ });
  await bench.begin('Quiet night');
  await bench.type('A quiet night.');
  await page.getByRole('button', { name: 'Add a cue' }).click();
  await cues.getByLabel('Kind of cue').selectOption('Keys');
  await cues.getByRole('textbox', { name: 'Keys' }).press('Control+t');
  await expect(cues.getByRole('alert')).toContainText('The browser or the system owns these keys');
  await cues.getByRole('textbox', { name: 'Keys' }).press('Alt+g');
  await cues.getByRole('textbox', { name: 'Keys' }).press('q');
  await expect(cues.getByRole('textbox', { name: 'Keys' })).toHaveValue('Alt+G q');
  await page.getByRole('button', { name: 'Add a cue' }).click();
  await cues.nth(1).getByLabel('Kind of cue').selectOption('Keys');
  await cues.nth(1).getByRole('textbox', { name: 'Keys' }).press('Alt+Shift+q');
  await bench.save();

  await bench.begin('Food given');
  await bench.type('It was given ');
  await bench.blank('Amount', 'a number');
  await bench.type(' g of food.');
  await page.getByRole('button', { name: 'Add a cue' }).click();
  await cues.getByLabel('Kind of cue').selectOption('Pattern');
  await cues.getByRole('textbox', { name: 'Pattern' }).fill('fed (');
  await expect(cues.getByRole('alert')).toContainText('missing closing )');
  await cues.getByRole('textbox', { name: 'Pattern' }).fill('fed (?P<Amount>\\d+) ?g');
  await bench.save();

  await page.getByRole('link', { name: 'Desk' }).click();
  await openCase(page, /Dune/);
  await pressKeys(page, ['Alt+g']);
  await expect(page.getByRole('status', { name: 'What each letter brings' })).toContainText('Quiet night');
  await pressKeys(page, ['q']);
  await expect.poll(() => words(page)).toBe('A quiet night.');
  await pressKeys(page, ['Backspace']);
  await expect.poll(() => words(page)).toBe('');
  await pressKeys(page, ['Alt+Shift+q']);
  await expect.poll(() => words(page)).toBe('A quiet night.');
  await draftOf(page).press('End');
  await keyboard.type(' Then fed 30 g ');
  await expect.poll(() => words(page)).toContain('Then It was given 30 g of food.');
  await keyboard.press('Control+z');
  await expect.poll(() => words(page)).toContain('Then fed 30 g ');
});
