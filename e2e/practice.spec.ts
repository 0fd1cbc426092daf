import { draftOf, expect, expectAccessible, openCase, test } from './test';

test('practice: what one looks up comes first; its cue is learned, and printed on a card', async ({
  signedIn,
}) => {
  const page = await signedIn('Anouk Fell');
  await openCase(page, /Wants to volunteer/);
  const counted = page.waitForResponse(
    (response) => response.request().postData()?.includes('"way":"look-up"') ?? false,
  );
  await page.keyboard.press('F2');
  await page.keyboard.type('opening hours');
  await page.keyboard.press('Enter');
  await expect(draftOf(page)).toContainText('the wards are closed');
  await counted;
  await page.keyboard.press('F2');
  await page.keyboard.type('practise');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'What you look up' })).toContainText('Opening hours');
  await page.getByRole('button', { name: /^Practise \d+ cues$/ }).press('Enter');
  const form = page.getByRole('form', { name: 'Practice' });
  await expect(form.getByRole('heading', { name: 'Opening hours' })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('textbox', { name: 'Its cue' }).fill(';nope');
  await page.keyboard.press('Enter');
  await expect(form.getByRole('status')).toHaveText('It is ;hrs. You will be asked again.');
  await page.keyboard.press('Enter');
  await expect(form.getByRole('heading', { name: 'Opening hours' })).toHaveCount(0);
  await page.getByRole('button', { name: 'End here' }).click();
  await expect(page.getByText('0 of 1 known at once.')).toBeVisible();
  await expect(page.getByText('the rest sooner')).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: /^Practise \d+ cues$/ }).click();
  await page.getByRole('textbox', { name: 'Its cue' }).fill(';hrs');
  await page.keyboard.press('Enter');
  await expect(form.getByRole('status')).toHaveText('Right.');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'End here' }).click();
  await expect(page.getByText('1 of 1 known at once.')).toBeVisible();
  await page.getByRole('link', { name: 'A card of your cues to print' }).click();
  await expect(page.getByRole('heading', { name: 'Cues of Anouk Fell' })).toBeVisible();
});
