import type { Editor } from '@tiptap/react';
import { useLayoutEffect, useRef } from 'react';
import { OFFER_LABELS } from '#core/glossary';
import { useTyped } from './useTyped';

const SHOWN = 4;
const GAP_PX = 6;

/** The first few offers right under the caret, for those who do not want to look away. Read-only: the margin has them all. */
export function UnderCaret({ editor }: { editor: Editor }) {
  const { offered } = useTyped(editor, null);
  const box = useRef<HTMLDivElement>(null);
  useLayoutEffect(() => {
    const own = box.current;
    const around = own?.offsetParent;
    if (!own || !around) return;
    const edge = around.getBoundingClientRect();
    const caret = editor.view.coordsAtPos(editor.state.selection.from);
    own.style.top = `${caret.bottom - edge.top + GAP_PX}px`;
    own.style.left = `${Math.min(caret.left - edge.left, edge.width - own.offsetWidth - GAP_PX)}px`;
  });
  if (!offered) return null;
  return (
    <div
      ref={box}
      aria-hidden
      className="absolute z-10 flex gap-3 rounded-[3px] border border-hair bg-page px-2 py-0.5 text-[13.5px] whitespace-nowrap"
    >
      {offered.offers.slice(0, SHOWN).map((offer, at) => (
        <span
          key={`${offer.kind} ${offer.list} ${offer.text}`}
          className={offered.walking === at ? 'bg-flower' : ''}
        >
          <span className="font-cue text-[11.5px] text-soft">{OFFER_LABELS[at]}</span> {offer.text}
        </span>
      ))}
    </div>
  );
}
