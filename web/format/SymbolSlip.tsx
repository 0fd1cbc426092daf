import type { Editor } from '@tiptap/core';
import { useId, useState } from 'react';
import { findSymbols, type NamedSymbol } from '#core/symbols';
import { Key } from '../ui';
import { ownStep } from './ownStep';

/** Shown at once; a narrower search shows the others. */
const SHOWN = 24;

interface Props {
  editor: Editor;
  close: () => void;
}

/** Signs that are on no key, found by their names; the one picked is put at the caret. */
export function SymbolSlip({ editor, close }: Props) {
  const list = useId();
  const [asked, setAsked] = useState('');
  const [at, setAt] = useState(0);
  const found = findSymbols(asked, SHOWN);
  const put = ({ sign }: NamedSymbol) => {
    ownStep(editor).insertContent(sign).run();
    close();
  };
  const keys = (event: React.KeyboardEvent) => {
    if (event.nativeEvent.isComposing) return;
    const along = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (along) setAt(Math.max(0, Math.min(found.length - 1, at + along)));
    else if (event.key === 'Enter' && found[at]) put(found[at]);
    else if (event.key === 'Escape') close();
    else return;
    event.preventDefault();
  };
  return (
    <section aria-label="Symbols" className="slip">
      <label className="block">
        <span className="eyebrow">Symbol, by its name</span>
        <input
          autoFocus
          role="combobox"
          aria-expanded
          aria-controls={list}
          aria-activedescendant={found[at] && `${list} ${at}`}
          autoComplete="off"
          spellCheck={false}
          className="input"
          value={asked}
          onChange={({ target }) => {
            setAsked(target.value);
            setAt(0);
          }}
          onKeyDown={keys}
        />
      </label>
      {found.length === 0 && <p className="mt-1 text-[14px]">No symbol has this name.</p>}
      <ul id={list} role="listbox" aria-label="Symbols found" className="mt-1 max-h-80 overflow-y-auto">
        {found.map((one, index) => (
          <li
            key={one.name}
            id={`${list} ${index}`}
            role="option"
            aria-selected={index === at}
            onMouseDown={(event) => event.preventDefault()}
            onClick={() => put(one)}
            className={`grid cursor-pointer grid-cols-[2.5rem_1fr] items-baseline border-b border-hair py-0.5 hover:bg-flower ${index === at ? 'bg-flower' : ''}`}
          >
            <span className="text-center font-book text-[18px]">
              {one.sign.trim() === '' ? '␣' : one.sign}
            </span>
            <span className="text-[14px]">{one.name}</span>
          </li>
        ))}
      </ul>
      <p className="mt-2 text-[12.5px] text-soft">
        <Key>Enter</Key> puts it at the cursor, <Key>Esc</Key> closes
      </p>
    </section>
  );
}
