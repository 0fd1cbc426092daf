import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { Editor, Extension } from '@tiptap/core';
import { act, cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { finding, passageExtensions } from '../../editor';
import { FindSlip } from './FindSlip';

let editor: Editor;
beforeEach(() => {
  // Nothing is drawn here.
  Element.prototype.scrollIntoView = () => undefined;
  editor = new Editor({
    extensions: [
      ...passageExtensions('draft'),
      Extension.create({ name: 'finding', addProseMirrorPlugins: () => [finding()] }),
    ],
    content: '<p>A hog and a hog.</p>',
    injectCSS: false,
  });
  render(<FindSlip editor={editor} begin={{ words: 'hog', put: 'otter' }} close={() => undefined} />);
});
afterEach(() => {
  cleanup();
  editor.destroy();
});

const press = (name: string) => userEvent.click(screen.getByRole('button', { name }));
const isOffered = (name: string) => screen.queryByRole('button', { name }) !== null;

test('all that was changed at once comes back with Undo', async () => {
  await press('Change all');
  expect(editor.getText()).toBe('A otter and a otter.');
  expect(screen.getByRole('status').textContent).toContain('Changed: 2.');
  await press('Undo');
  expect(editor.getText()).toBe('A hog and a hog.');
  expect(isOffered('Change all')).toBe(true);
});

test('once something else was written Undo is offered no more: it would take that back', async () => {
  await press('Change all');
  act(() => void editor.commands.insertContentAt(editor.state.doc.content.size - 1, ' They slept.'));
  expect(isOffered('Undo')).toBe(false);
  expect(isOffered('Change all')).toBe(true);
  expect(editor.getText()).toBe('A otter and a otter. They slept.');
});
