import { HeardPage } from './heard';
import { expect, test, words } from './test';

test('five whole tasks by ear and keys alone: every stop says what it is, and what happens is told', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  const heard = await HeardPage.of(page);

  await test.step('a note: from the desk to the finished text on the clipboard', async () => {
    await heard.comesTo('heading', /desk/);
    await heard.tabTo('link', /^Bramble, hedgehog/);
    await heard.press('Enter');
    await heard.comesTo('textbox', /^Draft$/);
    await heard.type('Seen at noon. ,fl');
    await heard.comesTo('textbox', /^How many millilitres\?$/);
    await heard.type('20');
    await heard.press('Tab');
    await heard.comesTo('textbox', /^Draft$/);
    await expect(page.getByRole('region', { name: 'Current blank' })).toContainText('By which route?');
    await heard.press('1', 'Tab');
    await heard.comesTo('textbox', /^Anything to add\?$/);
    await heard.press('F9');
    await heard.comesTo('button', /^Copy$/);
    await heard.press('Enter');
    await heard.isTold(/^Copied, with its formatting\.$/);
    expect(await heard.all('heading')).toContain('Finished');
    expect(await page.evaluate(() => navigator.clipboard.readText())).toBe(
      'Seen at noon. Warmed fluids, 20 ml, were given under the skin.',
    );
  });

  await test.step('an entry: written from nothing with a blank and a cue, and used', async () => {
    await heard.tabTo('link', /^Bank$/, 'Shift+Tab');
    await heard.press('Enter');
    await heard.comesTo('heading', /^The bank$/);
    await heard.tabTo('link', /^Write an entry$/);
    await heard.press('Enter');
    await heard.comesTo('heading', /^A new entry$/);
    await heard.tabTo('textbox', /^Title$/);
    await heard.type('Gave a bath');
    await heard.tabTo('textbox', /^Wording$/);
    await heard.type('Bathed for ');
    await heard.press('F4');
    await heard.comesTo('textbox', /^Wording$/);
    await heard.type(' minutes.');
    await heard.tabTo('button', /^Add a cue$/);
    await heard.press('Enter');
    // What is proposed is selected: another is typed over it.
    await heard.comesTo('textbox', /^Typed$/);
    await heard.type('bt');
    await heard.press('F9');
    await heard.isTold(/^Saved as revision 1\. Type ,bt to place it\.$/);
    await heard.comesTo('heading', /^Gave a bath$/);
  });

  await test.step('a case: begun by its form, and written about', async () => {
    await heard.tabTo('link', /^Desk$/, 'Shift+Tab');
    await heard.press('Enter');
    await heard.tabTo('button', /^New case$/);
    await heard.press('Enter');
    await heard.comesTo('textbox', /^Title$/);
    await heard.type('Bracken');
    await heard.tabTo('textbox', /^Species$/);
    await heard.type('badger');
    await heard.press('Enter');
    await heard.comesTo('textbox', /^Draft$/);
    await heard.type(',bt');
    await heard.comesTo('textbox', /^Blank$/);
    await heard.type('10');
    await heard.press('Enter');
    await heard.comesTo('textbox', /^Draft$/);
    await heard.type(' Calm throughout.');
    await expect.poll(() => words(page)).toBe('Bathed for 10 minutes. Calm throughout.');
  });

  await test.step('words kept from what was written', async () => {
    await heard.press('Enter');
    await heard.type('Seen by all and well.');
    await heard.press('Shift+Home', 'F4');
    await heard.comesTo('textbox', /^Title$/);
    await heard.press('Enter');
    await heard.isTold(/^Saved: “Seen by all and well”\. Type ,\S+ to place it\.$/);
    await heard.comesTo('textbox', /^Draft$/);
  });

  await test.step('an entry looked up, deleted, and brought back', async () => {
    await heard.tabTo('link', /^Bank$/, 'Shift+Tab');
    await heard.press('Enter');
    await heard.comesTo('heading', /^The bank$/);
    await heard.press('F2');
    await heard.comesTo('combobox', /^Find wording/);
    await heard.type('gave a bath');
    await expect.poll(() => heard.all('option')).toContainEqual(expect.stringMatching(/^Gave a bath ,bt/));
    await heard.press('Enter');
    await heard.comesTo('heading', /^Gave a bath$/);
    await heard.tabTo('button', /^Delete the entry$/);
    await heard.press('Enter');
    await heard.comesTo('button', /^Delete$/);
    await heard.press('Enter');
    await heard.isTold(/^“Gave a bath” moved to the wastebasket/);
    await heard.comesTo('heading', /^The bank$/);
    await heard.tabTo('button', /^Undo$/, 'Shift+Tab');
    await heard.press('Enter');
    await expect.poll(() => heard.all('link')).toContainEqual(expect.stringMatching(/^,bt Gave a bath/));
  });
});
