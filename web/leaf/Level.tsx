import { useLayoutEffect, useRef, type ReactNode } from 'react';
import type { Editor } from '@tiptap/react';

interface Props {
  editor: Editor;
  /** The place in the text whose line this speaks of. */
  pos: number;
  children: ReactNode;
}

const GAP_PX = 8;
const MOST_UP_PX = 150;

/**
 * Stands in the margin level with a line of the text, but below what stands there anyway, and moved up where
 * it would otherwise run out of sight.
 */
export function Level({ editor, pos, children }: Props) {
  const box = useRef<HTMLDivElement>(null);
  useLayoutEffect(() => {
    const place = () => {
      const own = box.current;
      const margin = own?.offsetParent;
      if (!own || !margin || pos > editor.state.doc.content.size) return;
      const edge = margin.getBoundingClientRect();
      const line = editor.view.coordsAtPos(pos).top - edge.top;
      const foot = Math.max(window.innerHeight, edge.bottom) - edge.top - GAP_PX;
      // The first thing said must be in sight; for what follows it, it moves up a few lines but not away.
      const head = own.querySelector<HTMLElement>('section, form') ?? own;
      const missing = Math.max(0, line + own.offsetHeight - foot);
      const wanted = Math.min(line - Math.min(missing, MOST_UP_PX), foot - head.offsetHeight);
      const standing = own.previousElementSibling as HTMLElement | null;
      const under = standing ? standing.offsetTop + standing.offsetHeight + GAP_PX : 0;
      own.style.top = `${Math.max(under, wanted)}px`;
    };
    place();
    // The line moves when the record is folded, the window narrows, or fonts arrive.
    const watch = new ResizeObserver(place);
    watch.observe(editor.view.dom);
    watch.observe(document.body);
    return () => watch.disconnect();
  });
  return (
    <div ref={box} className="margin-level">
      {children}
    </div>
  );
}
