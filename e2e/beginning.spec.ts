import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { test } from '@playwright/test';
import { RunningServer } from './runningServer';
import { draftOf, expect, expectAccessible, words, type Page } from './test';

const FIELDS = /^(INPUT|SELECT|BUTTON|A|TEXTAREA)$/;

/** Goes from one control to the next by Tab until one of this name has the keys. */
async function tabTo(page: Page, name: string): Promise<void> {
  for (let press = 0; press < 60; press += 1) {
    await page.keyboard.press('Tab');
    const here = await page.evaluate(() => {
      const { tagName, textContent, ariaLabel } = document.activeElement!;
      const labels = [...((document.activeElement as HTMLInputElement).labels ?? [])].map(
        (one) => one.textContent,
      );
      return { tagName, words: [ariaLabel, ...labels, textContent].join(' ') };
    });
    if (FIELDS.test(here.tagName) && here.words.includes(name)) return;
  }
  throw new Error(`Tab never came to “${name}”.`);
}

test('the first minute of a new team, by keyboard alone: an account, what it does by its own names, a cue, a wording placed', async ({
  page,
}) => {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'elderleaf-first-'));
  const server = await RunningServer.start(folder, { demo: null });
  try {
    await page.goto(server.url);
    await page.getByLabel('Your name').focus();
    await page.keyboard.type('Anouk Fell');
    await page.keyboard.press('Tab');
    await page.keyboard.type('anouk@hollin.example');
    await page.keyboard.press('Tab');
    await page.keyboard.type('tide over marsh');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Set up your team');
    await expectAccessible(page);

    // A helpline and nothing else; what it does is called as it calls it.
    const form = page.getByRole('form', { name: 'Set up your team' });
    await expect(form.getByRole('checkbox', { name: 'Ward notes' })).toBeChecked();
    const others = [
      'Ward notes',
      'Feedback',
      'Transcripts',
      'Batches of letters',
      'File names',
      'Page markings',
    ];
    for (const kind of others) {
      await tabTo(page, kind);
      await page.keyboard.press('Space');
    }
    await tabTo(page, 'You call this work');
    await page.keyboard.press('Control+a');
    await page.keyboard.type('Letters');
    await tabTo(page, 'One of them is called');
    await page.keyboard.press('Control+a');
    await page.keyboard.type('Letter');
    await tabTo(page, 'Cues begin with');
    await page.keyboard.press('ArrowDown');
    await tabTo(page, 'Try it on this keyboard');
    await page.keyboard.type(';gr');
    await expect(form.getByText('One key press: good on this keyboard.')).toBeVisible();
    await tabTo(page, 'Start with a leaf');
    await page.keyboard.press('Enter');

    await expect(draftOf(page)).toBeFocused();
    await page.keyboard.type(';nk');
    await expect(page.getByRole('region', { name: 'Current blank' })).toBeVisible();
    await page.keyboard.type('where you found it');
    await page.keyboard.press('Tab');
    await expect.poll(() => words(page)).toContain('please tell us where you found it.');

    // The team's own names are what it sees; the collection is all members', and so are the symbols.
    await page.keyboard.press('F2');
    await page.keyboard.type('new case');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('combobox', { name: 'Kind of work' }).getByRole('option')).toHaveText([
      'Letter',
    ]);
    await page.goto(`${server.url}/bank`);
    await expect(page.getByRole('heading', { name: 'Starter replies' })).toBeVisible();
    await expect(page.getByRole('heading', { name: 'Symbols' })).toBeVisible();
    await expect(page.getByRole('heading', { name: 'Starter ward notes' })).toHaveCount(0);

    // Taken again from the shelf, nothing comes twice, and what was changed here stays.
    await page.goto(`${server.url}/bank/shelf`);
    await expectAccessible(page);
    await page.getByRole('button', { name: /^Add it to the bank.*Starter replies/ }).click();
    await expect(page.getByRole('combobox', { name: 'Where it goes' })).toHaveValue(/./);
    await expect(page.getByRole('button', { name: 'Bring in 0 entries' })).toBeDisabled();
    // Gone back to, nothing that stands is offered a second time.
    await page.goto(`${server.url}/beginning`);
    await expect(form.getByRole('textbox', { name: 'You call this work' })).toHaveValue('Letters');
    await expect(form.getByRole('checkbox', { name: 'Add ten starter entries' })).not.toBeChecked();
  } finally {
    await server.kill();
    fs.rmSync(folder, { recursive: true, force: true });
  }
});
