import { afterEach, expect, test } from '@jest/globals';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useEffect, useState } from 'react';
import type { BankIndex } from '#core/bank';
import { newEntry, withoutEmptySigns, type EntryContent } from '#core/entry';
import { CommentUseEditor } from './CommentUseEditor';
import type { EntryEditing } from './useEntryEditing';

afterEach(cleanup);

const content = (more: Partial<EntryContent> = {}): EntryContent => ({
  ...newEntry('Units', 'en-GB'),
  ...more,
});
const index = {
  bank: { entries: [{ content: content({ comment: { criterion: 'Figures' } }) }] },
} as unknown as BankIndex;

let now = content();
const tell = (entry: EntryContent) => {
  now = entry;
};

function Page({ begun, editable = true }: { begun: EntryContent; editable?: boolean }) {
  const [entry, setEntry] = useState(begun);
  useEffect(() => tell(entry));
  const put = (part: Partial<EntryContent>) => setEntry({ ...entry, ...part });
  const editing = { changing: { content: entry }, editable, put } as unknown as EntryEditing;
  return <CommentUseEditor index={index} editing={editing} />;
}

const choose = (name: string, value: string) =>
  fireEvent.change(screen.getByRole('combobox', { name }), { target: { value } });

test('criterion and count are set, criteria of other entries are offered, and taken away nothing is left', () => {
  render(<Page begun={content()} />);
  const criterion = screen.getByRole('combobox', { name: 'Criterion' });
  const listed = document.getElementById(criterion.getAttribute('list')!)!;
  expect([...listed.children].map((one) => one.getAttribute('value'))).toEqual(['Figures']);
  choose('Counts as', 'fault');
  choose('Criterion', 'Method');
  expect(now.comment).toEqual({ criterion: 'Method', counts: 'fault' });
  choose('Counts as', '');
  choose('Criterion', '');
  expect(now.comment).toBeUndefined();
});

test('words to look for are typed with commas, each once; a limit is typed over the one before; one is removed', async () => {
  const signs = [
    { kind: 'words' as const, words: ['very'] },
    { kind: 'long-sentence' as const, most: 40 },
  ];
  render(<Page begun={content({ comment: { criterion: '', signs } })} />);
  const words = screen.getByRole('textbox', { name: 'Words' });
  fireEvent.change(words, { target: { value: 'very, a lot of,, very' } });
  expect(now.comment?.signs?.[0]).toEqual({ kind: 'words', words: ['very', 'a lot of'] });
  const limit = screen.getByRole('spinbutton', { name: 'A sentence of more words than' });
  await userEvent.type(limit, '{Backspace}{Backspace}55');
  expect(now.comment?.signs?.[1]).toEqual({ kind: 'long-sentence', most: 55 });
  fireEvent.change(words, { target: { value: '' } });
  // Begun and left empty it looks for nothing, and is not saved.
  expect(withoutEmptySigns(now).comment?.signs).toEqual([{ kind: 'long-sentence', most: 55 }]);
  fireEvent.click(screen.getByRole('button', { name: 'Remove: Words' }));
  fireEvent.click(screen.getByRole('button', { name: 'Remove: A sentence of more words than' }));
  expect(now.comment).toBeUndefined();
});

test('a pattern that cannot be read says why', async () => {
  const comment = { criterion: '', signs: [{ kind: 'pattern' as const, pattern: '(' }] };
  render(<Page begun={content({ comment })} />);
  expect((await screen.findByRole('alert')).textContent).toContain('missing closing )');
});

test('who may not change the entry reads it; one that is no comment says nothing to them', () => {
  const { container, rerender } = render(<Page key="none" begun={content()} editable={false} />);
  expect(container.childElementCount).toBe(0);
  const comment = { criterion: 'Figures', signs: [{ kind: 'repeated-word' as const }] };
  rerender(<Page key="some" begun={content({ comment })} editable={false} />);
  expect(screen.getByText('A word said twice in a row')).toBeDefined();
  expect(screen.queryByRole('button')).toBeNull();
});
