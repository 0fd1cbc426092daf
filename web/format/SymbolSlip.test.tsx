import { afterEach, expect, test } from '@jest/globals';
import { Editor } from '@tiptap/core';
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { BlankNode, passageExtensions } from '../editor';
import { SymbolSlip } from './SymbolSlip';

afterEach(cleanup);

function shown() {
  const editor = new Editor({
    extensions: [...passageExtensions('draft'), BlankNode],
    content: '<p>About 35</p>',
    injectCSS: false,
  });
  editor.commands.setTextSelection(9);
  const closed: string[] = [];
  render(<SymbolSlip editor={editor} close={() => closed.push('closed')} />);
  return { editor, closed };
}

test('a sign is found by its name, walked to by arrows and put at the caret', async () => {
  const { editor, closed } = shown();
  await userEvent.keyboard('deg{ArrowDown}');
  expect(screen.getByRole('option', { selected: true }).textContent).toBe('℃Degrees Celsius');
  await userEvent.keyboard('{ArrowUp}{Enter}');
  expect(editor.getText()).toBe('About 35°');
  expect(closed).toEqual(['closed']);
});

test('a name that no sign has is said, Enter does nothing and Escape closes', async () => {
  const { editor, closed } = shown();
  await userEvent.keyboard('zzz{Enter}');
  expect(screen.getByText('No symbol has this name.')).toBeTruthy();
  await userEvent.keyboard('{Escape}');
  expect(editor.getText()).toBe('About 35');
  expect(closed).toEqual(['closed']);
});
