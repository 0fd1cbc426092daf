import { draftOf, expect, expectAccessible, openCase, pressKeys, test, words } from './test';
import { Workbench } from './workbench';

test('a discharge assessment of 25 fields from nothing, by picking and typing; used on two cases and changed', async ({
  signedIn,
}) => {
  test.setTimeout(300_000);
  const page = await signedIn('Imke Tarrow');
  const bench = new Workbench(page);
  await bench.begin('Going home');
  await bench.detail('Name', 'Name');
  await bench.type(', ');
  await bench.detail('Species', 'Species');
  await bench.type(', ');
  await bench.detail('Age', 'Age');
  await bench.type(', came in on ');
  await bench.detail('Admitted', 'Admitted');
  await bench.type(' (');
  await bench.detail('Reason', 'Reason for admission');
  await bench.type(') and was with us for ');
  await bench.detail('Days in care', 'Days in care');
  await bench.type('. Weight ');
  await bench.detail('Weight', 'Latest weight');
  await bench.type(', at first ');
  await bench.detail('First weight', 'Weight on admission');
  await bench.type(', a change of ');
  await bench.blank('Change', 'a calculation', async (field) => {
    await field.getByLabel('Calculation').selectOption({ label: 'the change from one number to another' });
    await field.getByLabel('From', { exact: true }).selectOption({ label: 'First weight' });
    await field.getByLabel('To', { exact: true }).selectOption({ label: 'Weight' });
    await field.getByLabel('Unit').fill('g');
  });
  await bench.type('. ');
  await bench.choice('Appetite', 'How does it eat?', ['well', 'poorly', 'not at all']);
  await bench.type(' fed.');
  await bench.onlyWhen(' Soft food was offered.', async (condition) => {
    await condition.getByLabel('Field', { exact: true }).selectOption({ label: 'Appetite' });
    await condition.getByLabel('Test', { exact: true }).selectOption({ label: 'is not' });
    await condition.getByLabel('Answer').selectOption({ label: 'well' });
    await condition.getByRole('button', { name: 'and …' }).click();
    await condition.getByLabel('Field', { exact: true }).nth(1).selectOption({ label: 'Days in care' });
    await condition.getByLabel('Test', { exact: true }).nth(1).selectOption({ label: 'is over' });
    await condition.getByLabel('Limit').fill('3');
  });
  await page.keyboard.type(' Droppings ');
  await bench.choice('Droppings', 'How are its droppings?', ['formed', 'loose']);
  await bench.type(', breathing ');
  await bench.choice('Breathing', 'How does it breathe?', ['easy', 'laboured']);
  await bench.type(', limbs ');
  await bench.choice('Limbs', 'How does it use its limbs?', ['even', 'lame']);
  await bench.type(', eyes ');
  await bench.choice('Eyes', 'How are its eyes?', ['bright', 'dull']);
  await bench.type(', skin ');
  await bench.choice('Skin', 'How is its skin?', ['whole', 'healing']);
  await bench.type(', weight held ');
  await bench.blank('Held', 'yes or no');
  await bench.type(', handled ');
  await bench.blank('Handled', 'a number', async (field) => {
    await field.getByLabel('Unit').fill('time|times');
  });
  await bench.type(', wormed on ');
  await bench.blank('Wormed', 'a date');
  await bench.type(' at ');
  await bench.blank('At', 'a time');
  await bench.type('. It leaves on ');
  await bench.blank('Leaves', 'a date', async (field) => {
    await field.getByLabel('Question asked in the margin').fill('When does it leave?');
  });
  await bench.type(' for ');
  await bench.choice('To', 'Where does it go?', ['the finder', 'the marsh']);
  await bench.type('. Look in by ');
  await bench.blank('Look in', 'a calculation', async (field) => {
    await field.getByLabel('So many, the number').fill('2');
    await field.getByLabel('Counted in').selectOption({ label: 'weeks' });
    await field.getByLabel('From', { exact: true }).selectOption({ label: 'Leaves' });
  });
  await bench.type('. Ring ');
  await bench.blank('Ring', 'words');
  await bench.type(', ask for ');
  await bench.blank('Ask', 'the writer’s details');
  await bench.type(' (');
  await bench.blank('Job', 'the writer’s details', async (field) => {
    await field.getByLabel("Which of the writer's details").selectOption('job');
  });
  await bench.type('). ');
  await bench.type('No stitch is left in.');
  for (let at = 0; at < 'No stitch is left in.'.length; at += 1) await page.keyboard.press('Shift+ArrowLeft');
  await page.getByRole('button', { name: 'Must be confirmed' }).click();
  await expect(bench.fields.getByRole('listitem')).toHaveCount(25);
  const doubtful = page.getByRole('region', { name: 'To check' });
  await expect(doubtful).toContainText(/Tried in \d+ of its [\d,]+ ways, a fair sample|Tried in all/);
  await expect(doubtful).not.toContainText('is worked out:');
  await page.getByRole('button', { name: 'Add a cue' }).click();
  await page.getByRole('group', { name: /^Cue/ }).getByRole('textbox').fill('gh');
  await bench.save();

  await page.getByRole('link', { name: 'Desk' }).click();
  await openCase(page, /Bramble/);
  await page.keyboard.type(',gh');
  const blank = page.getByRole('region', { name: 'Current blank' });
  await expect(blank).toContainText('Appetite, 1 of 13');
  await expect.poll(() => words(page)).toContain('at first 412 g, a change of 100 g.');
  await pressKeys(page, ['p', 'Tab', 'f', 'Tab', 'e', 'Tab', 'e', 'Tab', 'b', 'Tab', 'w', 'Tab', 'y', 'Tab']);
  await expect.poll(() => words(page)).toContain('Poorly fed. Soft food was offered. Droppings formed');
  await page.keyboard.type('3');
  await pressKeys(page, ['Tab']);
  await page.keyboard.type('1 nov 26');
  await pressKeys(page, ['Tab']);
  await page.keyboard.type('930');
  await pressKeys(page, ['Tab']);
  await page.keyboard.type('31 dec 26');
  await pressKeys(page, ['Tab', 't', 'Tab']);
  await page.keyboard.type('the helpline');
  await pressKeys(page, ['Enter']);
  await expect
    .poll(() => words(page))
    .toContain(
      'handled 3 times, wormed on 1 November 2026 at 09:30. It leaves on 31 December 2026 for the finder. Look in by 14 January 2027. Ring the helpline, ask for Imke Tarrow (Head vet).',
    );
  // Changed after placing: what depends on it follows; what was written by hand beside it stays.
  await page.keyboard.type(' Seen by two of us.');
  await draftOf(page).getByText('Poorly').click();
  await pressKeys(page, ['w']);
  await expect.poll(() => words(page)).toContain('Well fed. Droppings formed');
  await expect.poll(() => words(page)).toContain('Seen by two of us.');
  await pressKeys(page, ['Control+z']);
  await expect.poll(() => words(page)).toContain('Poorly fed. Soft food was offered. Droppings');
  await pressKeys(page, ['F9']);
  await expect(page.getByText('One statement is to be confirmed.')).toBeVisible();
  await expect(page.getByRole('region', { name: 'To be confirmed' })).toContainText('No stitch is left in.');
  await pressKeys(page, ['Control+Enter', 'F9']);
  await expect(page.getByRole('region', { name: 'Finished' })).toBeVisible();

  await page.getByRole('link', { name: 'Desk' }).click();
  await openCase(page, /Keel/);
  await page.keyboard.type(',gh');
  // The record does not tell its age: that is asked.
  await expect(blank).toContainText('Age, 1 of 14');
  await page.keyboard.type('two years');
  await pressKeys(page, ['Tab', 'n']);
  // Two days in care: the same answer brings no soft food here.
  await expect.poll(() => words(page)).toContain('Not at all fed. Droppings');
  await expect.poll(() => words(page)).toContain('Weight 8.1 kg, at first 8.1 kg, a change of 0 g.');
});

test('a reply in two languages with subject and message, written from nothing; the case chooses its language', async ({
  signedIn,
}) => {
  const page = await signedIn('Anouk Fell');
  const bench = new Workbench(page);
  const { keyboard } = page;
  await bench.begin('Found animal');
  await bench.type('Good day ');
  await bench.detail('Enquirer', "Enquirer's name");
  await bench.type(', we can see it on ');
  await bench.blank('Day', 'a date');
  await bench.type(' and ');
  await bench.blank('Other day', 'a date');
  await bench.type('.');
  await page.getByRole('button', { name: 'Add a part' }).click();
  await bench.type('Your ');
  await page.getByRole('button', { name: /^Blank/ }).click();
  await page.getByRole('menuitem', { name: 'A new field' }).click();
  await bench.fields.getByLabel('Name', { exact: true }).fill('Species');
  await bench.fields.getByLabel('Answer comes from').selectOption({ label: 'a detail of the record' });
  await bench.fields.getByLabel('Which detail').selectOption({ label: 'Species' });
  await page.getByRole('button', { name: 'Add a wording' }).click();
  await page.getByLabel('Name of the wording').fill('Cymraeg');
  await page.getByLabel('Language').selectOption('cy');
  await page.getByRole('radio', { name: 'Text' }).click();
  await bench.wording.focus();
  await pressKeys(page, ['Control+Home']);
  for (let at = 0; at < 'Good day'.length; at += 1) await keyboard.press('Delete');
  await keyboard.type('Dydd da');
  await page.getByRole('radio', { name: 'Subject' }).click();
  await bench.wording.focus();
  await pressKeys(page, ['Control+Home']);
  for (let at = 0; at < 'Your'.length; at += 1) await keyboard.press('Delete');
  await keyboard.type('Eich');
  await expect(page.getByRole('region', { name: 'How it reads' })).toContainText('Dydd da');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Add a cue' }).click();
  await page.getByRole('group', { name: /^Cue/ }).getByRole('textbox').fill('fa');
  await bench.save();

  await page.getByRole('link', { name: 'Desk' }).click();
  await openCase(page, /Draenog/);
  await keyboard.type(';fa ');
  await expect(page.getByRole('region', { name: 'Current blank' })).toContainText('Day');
  await keyboard.type('4 mawrth 2027');
  await pressKeys(page, ['Tab']);
  await keyboard.type('5/3/27');
  await pressKeys(page, ['Enter']);
  await expect.poll(() => words(page)).toContain('Eich draenog');
  await expect
    .poll(() => words(page))
    .toContain('Dydd da Gwenno Pryce, we can see it on 4 Mawrth 2027 and 5 Mawrth 2027.');
  // The other wording keeps the answers.
  await page.getByRole('radio', { name: 'Main' }).click();
  await expect
    .poll(() => words(page))
    .toContain('Good day Gwenno Pryce, we can see it on 4 March 2027 and 5 March 2027.');
  await pressKeys(page, ['F9']);
  const finished = page.getByRole('region', { name: 'Finished' });
  await finished.getByRole('button', { name: 'Copy Subject' }).click();
  await expect(finished).toContainText('Copied Subject.');
  expect(await page.evaluate(() => navigator.clipboard.readText())).toBe('Your draenog');

  // Alternates: the same person is not given the same closing twice running, and it can be turned by hand.
  await finished.getByRole('button', { name: 'Reopen' }).click();
  await expect(draftOf(page)).toBeFocused();
  await pressKeys(page, ['Control+a', 'Delete']);
  await keyboard.type(';reply ');
  await pressKeys(page, ['n', 'Enter']);
  await expect.poll(() => words(page)).toContain('Cofion cynnes,');
  await pressKeys(page, ['Control+End', 'Enter']);
  await keyboard.type(';reply ');
  await pressKeys(page, ['n', 'Enter']);
  await expect.poll(() => words(page)).toContain('Dymuniadau gorau,');
  await page.getByRole('button', { name: /^Cloi/ }).click();
  await page.getByRole('radio', { name: 'Gyda diolch am eich gofal' }).click();
  await expect.poll(() => words(page)).toContain('Gyda diolch am eich gofal,');
});

test('three numbered lists in one draft: moves, deletes, undo, and references that follow', async ({
  signedIn,
}) => {
  const page = await signedIn('Desta Wynne');
  const { keyboard } = page;
  await openCase(page, /Saltmarsh/);
  const finding = async (severity: string, text: string) => {
    await keyboard.type(';fi ');
    await pressKeys(page, [severity, 'Enter']);
    await keyboard.type(text);
    await pressKeys(page, ['Enter']);
  };
  await finding('1', 'Times are rounded.');
  await finding('2', 'The tide line is missing.');
  await keyboard.type(';ac ');
  await keyboard.type('Tomos');
  await pressKeys(page, ['Tab']);
  await keyboard.type('4 mar 27');
  await pressKeys(page, ['Enter']);
  await keyboard.type('draw it in, see ');
  await pressKeys(page, ['F2']);
  await keyboard.type('Refer to a');
  await pressKeys(page, ['Enter']);
  const slip = page.getByRole('region', { name: 'Refer to a number' });
  await expect(slip.getByRole('button').first()).toBeFocused();
  await pressKeys(page, ['ArrowDown', 'Enter']);
  await keyboard.type('.');
  await pressKeys(page, ['Enter']);
  await keyboard.type(';qu ');
  await keyboard.type('Who was with you?');
  await expect
    .poll(() => words(page))
    .toBe(
      [
        'Finding One (minor). Times are rounded.',
        'Finding Two (major). The tide line is missing.',
        'Action a (Tomos, by 4 March): draw it in, see Two.',
        'Question i. Who was with you?',
      ].join('\n'),
    );
  // What is typed after the bold lead is plain.
  await expect(draftOf(page).locator('strong', { hasText: 'Who was' })).toHaveCount(0);
  // The second finding goes first: its number and the reference to it follow at once.
  await page.getByText('The tide line is missing.').click();
  await pressKeys(page, ['Alt+Shift+ArrowUp']);
  await expect
    .poll(() => words(page))
    .toContain('Finding One (major). The tide line is missing.\nFinding Two (minor). Times');
  await expect.poll(() => words(page)).toContain('see One.');
  await pressKeys(page, ['Control+z']);
  await expect.poll(() => words(page)).toContain('see Two.');
  // A finding between the two counts in the middle.
  await page.getByText('Times are rounded.').click();
  await pressKeys(page, ['End', 'Enter']);
  await keyboard.type(';fi ');
  await pressKeys(page, ['3', 'Enter']);
  await keyboard.type('No grid reference.');
  await expect
    .poll(() => words(page))
    .toContain('Finding Two (critical). No grid reference.\nFinding Three (major)');
  await expect.poll(() => words(page)).toContain('see Three.');
  // With the finding gone, its reference says so, until undo brings it back.
  await page.getByText('The tide line is missing.').click();
  await pressKeys(page, ['Home', 'Shift+End', 'Backspace']);
  await expect.poll(() => words(page)).toContain('see ?.');
  await pressKeys(page, ['Control+z']);
  await expect.poll(() => words(page)).toContain('see Three.');
  await expectAccessible(page);
});

test('the entry as text, its errors at line and column, and a reading that is answered in place', async ({
  signedIn,
}) => {
  const page = await signedIn('Imke Tarrow');
  await page.getByRole('link', { name: 'Bank' }).click();
  await page.getByRole('link', { name: /Weight today/ }).click();
  const reading = page.getByRole('region', { name: 'How it reads' });
  // The case's record has come: what it answers stands there.
  await expect(reading.getByRole('textbox', { name: 'How it reads' })).toContainText('8.1 kg');
  await reading.getByTitle('Which way is it going?').click();
  await expect(reading.getByRole('region', { name: 'Current blank' })).toBeVisible();
  await page.keyboard.press('2');
  await expect(reading.getByRole('textbox', { name: 'How it reads' })).toContainText('holding steady');
  await page.getByRole('button', { name: 'Show the entry as text' }).click();
  const text = page.getByRole('textbox', { name: 'The entry as text' });
  await text.press('Control+End');
  await page.keyboard.type(' Fed {Nme}.');
  await expect(page.getByRole('alert')).toContainText('There is no field called “Nme”');
  await page.getByRole('button', { name: /^Line \d+, column \d+$/ }).click();
  await expect(text).toBeFocused();
  await text.fill((await text.inputValue()).replace(' Fed {Nme}.', ' {Name} ate  well,.'));
  await expect(page.getByText('It reads correctly; the page shows it')).toBeVisible();
  // What was answered in the reading stays while the wording changes.
  await expect(reading.getByRole('textbox', { name: 'How it reads' })).toContainText('holding steady');
  const doubtful = page.getByRole('region', { name: 'To check' });
  await expect(doubtful).toContainText('two stops in a row');
  await page.getByRole('button', { name: 'Back to the page' }).click();
  await doubtful.getByRole('button', { name: /There are two spaces in a row/ }).click();
  expect(await page.evaluate(() => getSelection()!.toString())).toBe('  ');
  await page
    .getByRole('region', { name: 'Fields' })
    .getByRole('button', { name: /^Trend/ })
    .click();
  await page.getByRole('button', { name: 'Move option 1', exact: true }).focus();
  await pressKeys(page, ['Space', 'ArrowDown', 'Space']);
  await expect(page.getByLabel('Option 2', { exact: true })).toHaveValue('gaining as hoped');
  await expectAccessible(page);
});
