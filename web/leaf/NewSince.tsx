import { closeHistory } from '@tiptap/pm/history';
import type { Editor } from '@tiptap/react';
import { useState } from 'react';
import type { Case } from '#contracts';
import { newSince } from '#core/record';
import { recordDayInWords, itemInLocale } from '../record';
import { Button, Notice } from '../ui';
import { giveKeys } from '../writing';

/** Puts words at the caret as if they were typed: one undo takes them back. */
function putIn(editor: Editor, words: string): void {
  const { state } = editor;
  const { $from } = state.selection;
  const before = $from.parent.textBetween(0, $from.parentOffset, ' ', ' ');
  const space = before === '' || /\s$/.test(before) ? '' : ' ';
  editor.view.dispatch(closeHistory(state.tr.insertText(`${space}${words}. `)).scrollIntoView());
  giveKeys(editor.view);
}

/** What the record says that it did not say when I wrote my last leaf of this case; each a step from being written. */
export function NewSince({ one, editor }: { one: Case; editor: Editor }) {
  const [isHidden, hide] = useState(false);
  const since = one.record.lastNote;
  const items = since ? newSince(one.record, since) : [];
  if (!since || items.length === 0 || isHidden) return null;
  return (
    <Notice title={`New since your leaf of ${recordDayInWords(since.day)}`}>
      <ul className="mt-1 grid gap-1">
        {items.map(({ list, item }) => {
          const words = itemInLocale(list, item);
          return (
            <li key={words} className="flex items-baseline justify-between gap-3">
              {words}
              <Button look="text" aria-label={`Insert ${words}`} onClick={() => putIn(editor, words)}>
                Insert
              </Button>
            </li>
          );
        })}
      </ul>
      <Button
        look="text"
        className="mt-1"
        onClick={() => {
          hide(true);
          giveKeys(editor.view);
        }}
      >
        Hide
      </Button>
    </Notice>
  );
}
