import { describe, expect, test } from '@jest/globals';
import { Editor, Extension } from '@tiptap/core';
import { NodeSelection } from '@tiptap/pm/state';
import { BlankNode, passageExtensions } from './extensions';
import { changeWords, finding, findingIn, findWords, goToFound, lookFor, stayAtFound } from './finding';

const AS = { wholeWords: false, sameCase: false };
const blank = (text: string) => ({ type: 'blank', attrs: { field: 'f', text, state: 'answered' } });
const words = (text: string, ...marks: string[]) => ({
  type: 'text',
  text,
  ...(marks.length > 0 && { marks: marks.map((type) => ({ type })) }),
});

function editorWith(...paragraphs: object[][]) {
  return new Editor({
    extensions: [
      ...passageExtensions('draft'),
      BlankNode,
      Extension.create({ name: 'finding', addProseMirrorPlugins: () => [finding()] }),
    ],
    content: { type: 'doc', content: paragraphs.map((content) => ({ type: 'paragraph', content })) },
    injectCSS: false,
  });
}

describe('words in a draft', () => {
  test('are found as they are read: over marks and blanks, not over paragraphs', () => {
    const { state } = editorWith(
      [words('The left '), words('wi', 'bold'), words('ng of '), blank('Bramble')],
      [words('left')],
      [words('wing')],
    );
    const found = (asked: string) =>
      findWords(state.doc, { words: asked, ...AS }).map((one) => [one.words, one.isAnswered]);
    expect(found('left wing')).toEqual([['left wing', false]]);
    expect(found('of bramble')).toEqual([['of Bramble', true]]);
    expect(found('wing')).toHaveLength(2);
  });

  test.each<[string, object[], string, string, string]>([
    ['keep their capital', [words('Hog and hog')], 'hog', 'otter', 'Otter and otter'],
    [
      'keep what is an answer',
      [words('hog '), blank('hog'), words(' hog')],
      'hog',
      'otter',
      'otter hog otter',
    ],
    ['take their space along when they go', [words('a very small, very')], 'very', '', 'a small,'],
    [
      'leave a capital to the sentence they began',
      [words('Also it slept. Also it ate.')],
      'also',
      '',
      'It slept. It ate.',
    ],
    [
      'go together where they are doubled',
      [words('Also also it, so very very small')],
      'also',
      '',
      ' it, so very very small',
    ],
    ['stay with their neighbours when they go from within', [words('overweight')], 'over', '', 'weight'],
  ])('changed %s', (_, content, asked, put, expected) => {
    const editor = editorWith(content);
    const search = { words: asked, ...AS };
    const before = editor.getText();
    editor.view.dispatch(changeWords(editor.state, findWords(editor.state.doc, search), put, search));
    expect(editor.getText()).toBe(expected);
    editor.commands.undo();
    expect(editor.getText()).toBe(before);
  });

  test('changed they keep how they are formed', () => {
    const editor = editorWith([words('so '), words('hog', 'bold'), words(' is')]);
    const search = { words: 'hog', ...AS };
    editor.view.dispatch(changeWords(editor.state, findWords(editor.state.doc, search), 'otter', search));
    expect(editor.getHTML()).toContain('<strong>otter</strong>');
  });

  test('in an answer are left with the keys on its blank', () => {
    const editor = editorWith([words('of '), blank('Bramble'), words(', a hog')]);
    editor.view.dispatch(lookFor(editor.state, { words: 'bramble,', ...AS }));
    editor.view.dispatch(goToFound(editor.state, 0)!);
    editor.view.dispatch(stayAtFound(editor.state)!);
    expect(editor.state.selection).toBeInstanceOf(NodeSelection);
  });

  test('are gone through from the caret, and followed while the text changes', () => {
    const editor = editorWith([words('one two one two one')]);
    editor.commands.setTextSelection(5);
    editor.view.dispatch(lookFor(editor.state, { words: 'one', ...AS }));
    expect(findingIn(editor.state)).toMatchObject({ at: 1 });
    editor.view.dispatch(goToFound(editor.state, 1)!);
    expect(editor.state.selection).toMatchObject({ from: 9, to: 12 });
    editor.view.dispatch(editor.state.tr.insertText('ten ', 1));
    expect(findingIn(editor.state)!.places.map(({ from }) => from)).toEqual([5, 13, 21]);
    expect(findingIn(editor.state)!.at).toBe(1);
    editor.view.dispatch(stayAtFound(editor.state)!);
    expect(editor.state.selection).toMatchObject({ from: 16, to: 16 });
    editor.view.dispatch(lookFor(editor.state, null));
    expect(stayAtFound(editor.state)).toBeNull();
    expect(findingIn(editor.state)).toBeNull();
  });
});
