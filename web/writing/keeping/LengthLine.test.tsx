import { afterEach, expect, test } from '@jest/globals';
import { act, cleanup, render, screen } from '@testing-library/react';
import { Editor } from '@tiptap/core';
import { BlankNode, passageExtensions } from '../../editor';
import { LengthLine } from './LengthLine';

afterEach(cleanup);

test('the words that will go out are told as they are written, and how many are over the limit', async () => {
  const editor = new Editor({
    extensions: [...passageExtensions('draft'), BlankNode],
    content: '<p>Weighed today:</p>',
    injectCSS: false,
  });
  const { container } = render(<LengthLine editor={editor} limit={{ most: 4, of: 'words' }} />);
  expect(container.textContent).toBe('2 of 4 words');
  act(() => {
    editor.commands.insertContentAt(15, [
      { type: 'text', text: ' about ' },
      { type: 'blank', attrs: { field: 'weight', text: '512 g', state: 'answered' } },
    ]);
  });
  expect(await screen.findByText('5 of 4 words: 1 over')).toBeTruthy();
  act(() => {
    editor.commands.undo();
  });
  expect(await screen.findByText('2 of 4 words')).toBeTruthy();
});
