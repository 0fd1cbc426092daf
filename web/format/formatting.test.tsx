import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { Editor } from '@tiptap/core';
import { BlankNode, fromEditor, passageExtensions } from '../editor';
import { PassageSchema } from '#core/passage';
import { FORMATS, formatsHere } from './formatting';
import { addressPasted, addressTyped, linkTo } from './linking';

let editor: Editor;
beforeEach(() => {
  editor = new Editor({
    element: document.body.appendChild(document.createElement('div')),
    extensions: [...passageExtensions('draft'), BlankNode, addressPasted],
    content: '<p>one two</p><p>three</p>',
    injectCSS: false,
  });
});
afterEach(() => editor.destroy());

const format = (label: string) => FORMATS.find((one) => one.label === label)!;
const take = (label: string) => format(label).run(editor);
/** What the editor holds, as HTML without what every cell and link has. */
const html = () => editor.getHTML().replace(/ (colspan|rowspan|target|rel)="[^"]*"/g, '');
const select = (from: number, to: number) => editor.commands.setTextSelection({ from, to });

test.each([
  ['Bold', '<p><strong>one</strong> two</p>'],
  ['Italic', '<p><em>one</em> two</p>'],
  ['Underline', '<p><u>one</u> two</p>'],
  ['Strike through', '<p><s>one</s> two</p>'],
  ['Heading', '<h1>one two</h1>'],
  ['Smallest heading', '<h3>one two</h3>'],
  ['List', '<ul><li><p>one two</p></li></ul>'],
  ['Numbered list', '<ol><li><p>one two</p></li></ol>'],
  ['Quotation', '<blockquote><p>one two</p></blockquote>'],
])('%s is put on and taken off again, and a passage may hold it', (label, expected) => {
  select(1, 4);
  take(label);
  expect(html()).toBe(`${expected}<p>three</p>`);
  expect(format(label).isOn!(editor)).toBe(true);
  const { content } = fromEditor(editor.state.doc);
  expect(PassageSchema.safeParse({ type: 'doc', content }).success).toBe(true);
  take(label);
  expect(html()).toBe('<p>one two</p><p>three</p>');
});

describe('a table', () => {
  const cells = () =>
    html()
      .match(/<t[hd]><p>[^<]*<\/p>/g)
      ?.map((cell) => cell.replace(/<\/?p>/g, ''));

  test('the caret is in its first cell; rows and columns are added and removed where it is', () => {
    select(4, 4);
    take('Table');
    editor.commands.insertContent('a');
    expect(cells()).toEqual(['<th>a', '<th>', '<td>', '<td>']);
    take('Column after');
    take('Row below');
    expect(cells()).toHaveLength(9);
    take('Delete the column');
    take('Delete the row');
    expect(cells()).toEqual(['<td>', '<td>', '<td>', '<td>']);
    take('Delete the table');
    expect(html()).not.toContain('<table>');
    expect(html()).toContain('three');
  });

  test('its ways are there only within it, and within it none puts another', () => {
    const labels = () => formatsHere(editor).map(({ label }) => label);
    expect(labels()).toContain('Table');
    expect(labels()).not.toContain('Row below');
    take('Table');
    expect(labels()).toContain('Row below');
    expect(labels()).not.toContain('Table');
  });

  test('it is one step for undo', () => {
    take('Table');
    editor.commands.undo();
    expect(html()).toBe('<p>one two</p><p>three</p>');
  });
});

describe('links', () => {
  test.each([
    ['hollinmarsh.example/visit', 'https://hollinmarsh.example/visit'],
    [' https://hollinmarsh.example ', 'https://hollinmarsh.example'],
    ['mailto:desk@hollinmarsh.example', 'mailto:desk@hollinmarsh.example'],
    ['javascript:alert(1)', null],
    ['see above', null],
  ])('“%s” leads to %s', (typed, href) => expect(addressTyped(typed)).toBe(href));

  test('selected words become one, lead elsewhere, and are words again', () => {
    select(1, 4);
    linkTo(editor, 'https://a.example');
    expect(html()).toContain('<a href="https://a.example">one</a> two');
    select(2, 2);
    linkTo(editor, 'https://b.example');
    expect(html()).toContain('<a href="https://b.example">one</a> two');
    linkTo(editor, '');
    expect(html()).toContain('<p>one two</p>');
  });

  test('making one is undone by itself, right after typing too', () => {
    select(4, 4);
    editor.view.dispatch(editor.state.tr.insertText('s'));
    select(1, 5);
    linkTo(editor, 'https://a.example');
    editor.commands.undo();
    expect(html()).toContain('<p>ones two</p>');
  });

  /** Pastes plain text, and says whether it was taken for an address. */
  function paste(text: string): boolean {
    const event = new Event('paste') as ClipboardEvent;
    Object.assign(event, { clipboardData: { getData: () => text } });
    const { view } = editor;
    return (
      view.someProp('handlePaste', (handle) => handle(view, event, view.state.selection.content())) === true
    );
  }

  test('an address pasted over selected words makes them a link', () => {
    select(5, 8);
    expect(paste('https://hollinmarsh.example/two\n')).toBe(true);
    expect(html()).toBe('<p>one <a href="https://hollinmarsh.example/two">two</a></p><p>three</p>');
  });

  test.each([
    ['nothing is selected', 4, 4, 'https://a.example'],
    ['several paragraphs are', 1, 11, 'https://a.example'],
    ['more than an address is pasted', 1, 4, 'see https://a.example'],
    ['it leads nowhere safe', 1, 4, 'javascript:alert(1)'],
  ])('it is text as any other where %s', (_where, from, to, text) => {
    select(from, to);
    expect(paste(text)).toBe(false);
  });
});
