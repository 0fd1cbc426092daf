import { afterEach, describe, expect, test } from '@jest/globals';
import { boxFor, boxesBeside, type NamedBox } from '../slip/boxesOfParts';
import { boxOf } from './boxAt';
import { mayLookAt } from './mayLookAt';
import type { TextBox } from './textBox';

Object.assign(globalThis, { chrome: {} });
// Nothing is laid out here: all that stands on the page counts as seen.
Element.prototype.getClientRects = () => [{}] as unknown as DOMRectList;

afterEach(() => document.body.replaceChildren());
const shown = (html: string): HTMLElement => {
  document.body.innerHTML = html;
  return (
    document.body.querySelector<HTMLElement>('[data-box]') ?? (document.body.firstElementChild as HTMLElement)
  );
};

describe('boxes that may be looked at', () => {
  test.each([
    ['several lines', '<textarea></textarea>', true],
    ['one line', '<input>', true],
    ['one line that says so', '<input type="text" name="title">', true],
    ['a password', '<input type="password">', false],
    ['an email address', '<input type="email">', false],
    ['a number', '<input type="number">', false],
    ['a search', '<input type="search">', false],
    ['a search by its role', '<textarea role="searchbox"></textarea>', false],
    ['a line in a search', '<form role="search"><input data-box></form>', false],
    ['a search by its name', '<input name="q">', false],
    ['a code', '<input autocomplete="one-time-code">', false],
    ['a card', '<input autocomplete="section-a cc-number">', false],
    ['a search by a name of two words', '<input name="siteSearch">', false],
    ['research', '<textarea id="research-notes"></textarea>', true],
    ['a compass', '<input name="compass" aria-label="Compass bearing">', true],
    ['a pin by its label', '<input aria-label="PIN">', false],
    ['a security code by its name', '<input name="card_cvc">', false],
    ['an account by its label', '<input aria-label="IBAN">', false],
    ['a name beside a password', '<form><input data-box><input type="password"></form>', false],
    ['a name beside a card', '<form><input data-box><input autocomplete="cc-number"></form>', false],
    ['a remark in another form', '<form><input data-box></form><form><input type="password"></form>', true],
    ['one that cannot be written in', '<textarea readonly></textarea>', false],
    ['one that is switched off', '<input disabled>', false],
    ['no box at all', '<p>words</p>', false],
  ])('%s', (_, html, isAllowed) => {
    const box = shown(html);
    // The page of these tests does not work out what can be edited.
    Object.defineProperty(box, 'isContentEditable', { value: false });
    expect(mayLookAt(box)).toBe(isAllowed);
  });
});

describe('a box without formatting', () => {
  const boxWith = (value: string, caret = value.length): TextBox => {
    const element = shown('<textarea></textarea>') as HTMLTextAreaElement;
    element.value = value;
    element.setSelectionRange(caret, caret);
    document.execCommand = () => false;
    return boxOf(element) as TextBox;
  };
  const words = (plain: string) => ({ plain, html: null });

  test('tells its line before and after the caret, and nothing while something is selected', () => {
    const box = boxWith('One\nTwo three\nFour', 8);
    expect([box.before(), box.after()]).toEqual(['Two ', 'three']);
    (box.element as HTMLTextAreaElement).setSelectionRange(0, 3);
    expect(box.before()).toBeNull();
  });

  test('takes words over what was typed, says so to the page, and gives it back once', async () => {
    const box = boxWith('Dear you, ;kr and more', 13);
    const heard: string[] = [];
    box.element.addEventListener('input', (event) => heard.push((event as InputEvent).inputType));
    expect(await box.put(';kr', words('Kind regards'))).toBe(true);
    const { value } = box.element as HTMLTextAreaElement;
    expect(value).toBe('Dear you, Kind regards and more');
    expect(heard).toEqual(['insertReplacementText']);
    expect(await box.giveBack()).toBe(true);
    expect((box.element as HTMLTextAreaElement).value).toBe('Dear you, ;kr and more');
    expect(await box.giveBack()).toBe(false);
  });

  test('does not give back what was written on since', async () => {
    const box = boxWith(';kr');
    await box.put(';kr', words('Kind regards'));
    (box.element as HTMLTextAreaElement).value += '!';
    expect(await box.giveBack()).toBe(false);
    expect((box.element as HTMLTextAreaElement).value).toBe('Kind regards!');
  });

  test('written anew by its page, it is found where what was typed stands alone; else nothing is done', async () => {
    const box = boxWith('Hello ;kr', 0);
    expect(await box.put(';kr', words('Kind regards'))).toBe(true);
    const twice = boxWith(';kr ;kr', 0);
    expect(await twice.put(';kr', words('Kind regards'))).toBe(false);
    expect((twice.element as HTMLTextAreaElement).value).toBe(';kr ;kr');
  });

  test('tells by how many letters words are too long for it', () => {
    const box = boxWith('Hello ;kr');
    box.element.setAttribute('maxlength', '12');
    expect(box.room(3, words('Kind'))).toBeNull();
    expect(box.room(3, words('Kind regards'))).toBe(6);
  });

  test('of one line, it takes lines as one', async () => {
    const line = shown('<input>') as HTMLInputElement;
    line.value = ';kr';
    line.setSelectionRange(3, 3);
    await boxOf(line)!.put(';kr', words('Kind\n\nregards'));
    expect(line.value).toBe('Kind regards');
  });
});

describe('where the parts of a wording go', () => {
  const page = (html: string): { boxes: NamedBox[]; message: NonNullable<ReturnType<typeof boxOf>> } => {
    shown(html);
    const message = boxOf(document.querySelector('textarea'))!;
    return { boxes: boxesBeside(message), message };
  };
  test.each([
    [
      'by its label',
      '<label for="a">Subject:</label><input id="a"><textarea></textarea>',
      'Subject',
      'Subject:',
    ],
    ['in another language', '<input aria-label="Betreff"><textarea></textarea>', 'Subject', 'Betreff'],
    [
      'by what it is called within',
      '<input placeholder="Your subject line"><textarea></textarea>',
      'Subject',
      'Your subject line',
    ],
    [
      'by its order',
      '<input aria-label="Cc"><input aria-label="Line"><textarea></textarea>',
      'Subject',
      'Line',
    ],
    [
      'another part',
      '<input aria-label="Greeting"><input aria-label="Title"><textarea></textarea>',
      'Greeting',
      'Greeting',
    ],
  ])('%s', (_, html, part, label) => {
    const { boxes, message } = page(html);
    expect(boxFor(part, boxes, message, undefined)?.label).toBe(label);
  });

  test('where there is none, nowhere; and where one said nowhere', () => {
    const { boxes, message } = page('<textarea></textarea><input aria-label="After">');
    expect(boxFor('Subject', boxes, message, undefined)).toBeNull();
    const other = page('<input aria-label="Subject"><textarea></textarea>');
    expect(boxFor('Subject', other.boxes, other.message, 'nowhere')).toBeNull();
  });

  test('where one said before, though another is called so', () => {
    const { boxes, message } = page('<input id="head"><input aria-label="Subject"><textarea></textarea>');
    expect(boxFor('Subject', boxes, message, { by: 'id', value: 'head' })?.box.element.id).toBe('head');
  });
});
