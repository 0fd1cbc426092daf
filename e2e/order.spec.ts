import { draftOf, expect, expectAccessible, openCase, test, words } from './test';

test('entries that say nearly the same: found, merged in one act, followed by a draft, and taken apart again', async ({
  signedIn,
}) => {
  const [imke, anouk] = [await signedIn('Imke Tarrow'), await signedIn('Anouk Fell')];
  await openCase(anouk, /Wants to volunteer/);
  const saved = anouk.waitForResponse(
    (response) => response.request().postData()?.includes('our help') ?? false,
  );
  await anouk.keyboard.type(';hog ');
  await expect(draftOf(anouk)).toContainText('nearly always needs our help');
  await saved;

  await imke.getByRole('link', { name: 'Bank' }).click();
  await imke.getByRole('link', { name: 'Put it in order' }).click();
  await imke.getByRole('button', { name: 'Look through the bank' }).click();
  const found = imke.getByRole('region', { name: 'Entries that say nearly the same' });
  await expect(found.getByRole('status')).toHaveText(/^One group among \d+ entries\.$/);
  const used = found.getByRole('region', { name: 'Hedgehog seen by day' });
  await expect(used).toContainText('placed once by one member');
  // The one in use is left unless one chooses otherwise.
  const other = found.getByRole('region', { name: 'Hedgehog out in daylight' });
  await other.getByRole('radio').click();
  await expect(used.getByRole('insertion').first()).toBeVisible();
  await expectAccessible(imke);
  await found.getByRole('button', { name: 'Merge 2 into one' }).click();
  const done = found.getByRole('status').filter({ hasText: 'went into “Hedgehog out in daylight”' });
  await expect(done).toBeVisible();

  // Its cue brings the one that is left; the draft that held it says so, and takes it over with its answers.
  const newer = anouk.getByRole('status').filter({ hasText: 'has become “Hedgehog out in daylight”' });
  await newer.getByRole('button', { name: 'Take it over' }).click();
  await expect.poll(() => words(anouk)).toContain('nearly always needs help');
  await expect(newer).toBeHidden();
  await anouk.getByRole('link', { name: 'Bank' }).click();
  await anouk.getByRole('link', { name: /Hedgehog out in daylight/ }).click();
  await expect(anouk.getByRole('region', { name: 'Cues' }).getByRole('textbox').last()).toHaveValue('hog');
  await expect(anouk.getByRole('region', { name: 'History of “Hedgehog seen by day”' })).toContainText(
    'Start of the bank',
  );

  await done.getByRole('button', { name: 'Undo' }).click();
  await expect(found.getByRole('button', { name: 'Merge 2 into one' })).toBeVisible();
  await anouk.getByRole('link', { name: 'Bank' }).click();
  await anouk.getByRole('combobox', { name: 'Collection' }).selectOption({ label: 'Helpline replies' });
  await expect(anouk.getByRole('link', { name: /Hedgehog seen by day/ })).toBeVisible();
});
