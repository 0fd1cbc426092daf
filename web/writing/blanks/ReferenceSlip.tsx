import type { Editor } from '@tiptap/react';
import { useEffect, useRef } from 'react';
import { numbersIn, referTo, type Numbered } from '../../editor';
import { Key } from '../../ui';

interface Props {
  editor: Editor;
  close: () => void;
}

/** The numbered lines of the draft, of which one is referred to at the caret; the reference follows its number. */
export function ReferenceSlip({ editor, close }: Props) {
  const slip = useRef<HTMLElement>(null);
  useEffect(() => (slip.current?.querySelector('button') ?? slip.current)?.focus(), []);
  const numbers = numbersIn(editor.state.doc);
  const refer = (numbered: Numbered) => {
    editor.view.dispatch(referTo(editor.state, numbered));
    close();
  };
  /** Up and down go through the list, as in the finder. */
  const step = (event: React.KeyboardEvent) => {
    if (event.key === 'Escape') return close();
    const along = event.key === 'ArrowDown' ? 'nextElementSibling' : 'previousElementSibling';
    if (event.key !== 'ArrowDown' && event.key !== 'ArrowUp') return;
    event.preventDefault();
    const here = document.activeElement?.closest('li');
    here?.[along]?.querySelector('button')?.focus();
  };
  return (
    <section
      ref={slip}
      tabIndex={-1}
      aria-label="Refer to a number"
      className="slip outline-none"
      onKeyDown={step}
    >
      <p className="eyebrow">Refer to</p>
      {numbers.length === 0 && <p>Nothing on this leaf is numbered yet.</p>}
      <ul>
        {numbers.map((numbered) => (
          <li key={numbered.id}>
            <button
              type="button"
              onClick={() => refer(numbered)}
              className="flex w-full items-baseline gap-2 border-b border-hair py-1 text-left hover:bg-flower focus:bg-flower"
            >
              <span className="shrink-0 text-[12.5px] text-soft">{numbered.list}</span>
              <span className="truncate">{numbered.line}</span>
            </button>
          </li>
        ))}
      </ul>
      <p className="mt-2 text-[12.5px] text-soft">
        <Key>Enter</Key> takes it, <Key>Esc</Key> leaves
      </p>
    </section>
  );
}
