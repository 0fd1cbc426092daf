import type { Page } from '@playwright/test';
import { expect, expectAccessible, test } from './test';

async function openEntry(page: Page, title: RegExp): Promise<void> {
  await page.getByRole('link', { name: 'Bank', exact: true }).click();
  // The sheet begins with one's own work, and what is far down is not drawn.
  await page.getByRole('searchbox', { name: 'Search titles, wordings and cues' }).fill(title.source);
  await page.getByRole('link', { name: title }).click();
  await expect(page.getByRole('textbox', { name: 'Wording' })).toBeVisible();
}

async function addWords(page: Page, words: string, why: string): Promise<void> {
  await page.getByRole('textbox', { name: 'Wording' }).focus();
  await page.keyboard.press('Control+End');
  await page.keyboard.type(words);
  await page.getByRole('textbox', { name: /^Reason/ }).fill(why);
}

test('a change proposed, made one with what was saved since, amended and accepted; the proposer is told', async ({
  signedIn,
}) => {
  const [imke, desta] = [await signedIn('Imke Tarrow'), await signedIn('Desta Wynne')];
  await imke.getByRole('link', { name: 'Bank', exact: true }).click();
  await openEntry(desta, /Wound cleaned/);
  await addWords(desta, ' Look at it each morning.', '');
  await desta.keyboard.press('F9');
  // Without a why it does not go: the caret goes there.
  const why = desta.getByRole('textbox', { name: 'Reason, for its keepers' });
  await expect(why).toBeFocused();
  await desta.keyboard.type('Students forget');
  await desta.keyboard.press('F9');
  await expect(desta.getByText('Proposed. Its keepers have been told')).toBeVisible();
  await expect(imke.getByRole('navigation', { name: 'Main' })).toContainText('1 waiting for you');

  await openEntry(imke, /Wound cleaned/);
  await imke.getByRole('textbox', { name: 'When to use it' }).fill('Any wound at all');
  await imke.getByRole('textbox', { name: /^Reason/ }).fill('Wider');
  await imke.keyboard.press('F9');
  await imke.getByRole('link', { name: 'A change is proposed' }).click();
  const waiting = imke.getByRole('region', { name: 'For you to answer' });
  await expect(waiting).toContainText('Why: Students forget');
  await expect(waiting).toContainText('It is compared with the current wording');
  await expect(waiting.getByRole('insertion')).toHaveText(/^\s*Look at it each morning\.$/);
  await expect(waiting.getByRole('deletion')).toHaveCount(0);
  await expectAccessible(imke);
  await waiting.getByRole('textbox', { name: 'Reply' }).fill('Twice a day, rather');
  await waiting.getByRole('button', { name: 'Amend it first' }).click();
  await expect(imke.getByText('You are looking at a proposal.')).toBeVisible();
  await expect(imke.getByRole('textbox', { name: 'Wording' })).toContainText('each morning.');
  await addWords(imke, ' And each evening.', 'Twice a day, rather');
  await imke.keyboard.press('F9');
  await expect(imke.getByRole('region', { name: 'History' })).toContainText(
    'Desta Wynne proposed: Students forget',
  );

  await desta.getByRole('link', { name: 'Team', exact: true }).click();
  await desta.getByRole('link', { name: 'Proposals and notes' }).click();
  const mine = desta.getByRole('region', { name: 'Proposed by you' });
  await expect(mine).toContainText('Imke Tarrow accepted it: Twice a day, rather');
  await openEntry(desta, /Wound cleaned/);
  await expect(desta.getByRole('textbox', { name: 'Wording' })).toContainText(
    'each morning. And each evening.',
  );
});

test('a change of words that were changed since says so; declined with a word, taken back', async ({
  signedIn,
}) => {
  const [odile, desta] = [await signedIn('Odile Brandt'), await signedIn('Desta Wynne')];
  for (const words of [' One.', ' Two.']) {
    await openEntry(desta, /Wound cleaned/);
    await addWords(desta, words, `For${words}`);
    await desta.keyboard.press('F9');
    await expect(desta.getByText('Proposed. Its keepers have been told')).toBeVisible();
  }
  await openEntry(odile, /Wound cleaned/);
  await addWords(odile, ' Three.', 'Mine');
  await odile.keyboard.press('F9');
  await odile.getByRole('link', { name: '2 changes are proposed' }).click();
  const waiting = odile.getByRole('region', { name: 'For you to answer' });
  const first = waiting.getByRole('listitem').filter({ hasText: 'For One' });
  await expect(first).toContainText('It changes what was changed since.');
  await expect(first.getByRole('button', { name: /^Decline/ })).toBeDisabled();
  await first.getByRole('textbox').fill('There is enough already');
  await first.getByRole('button', { name: /^Decline/ }).click();
  await expect(waiting.getByRole('listitem')).toHaveCount(1);
  await desta.getByRole('link', { name: 'Team', exact: true }).click();
  await desta.getByRole('link', { name: 'Proposals and notes' }).click();
  const mine = desta.getByRole('region', { name: 'Proposed by you' });
  await expect(mine).toContainText('Odile Brandt declined it: There is enough already');
  await mine.getByRole('button', { name: 'Take it back' }).click();
  await expect(mine).toContainText('Taken back');
  await expect(waiting.getByText('Nothing waits for your answer.')).toBeVisible();
});
