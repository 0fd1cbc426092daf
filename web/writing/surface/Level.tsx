import { useEffect, useLayoutEffect, useRef, type ReactNode } from 'react';
import type { Editor } from '@tiptap/react';

interface Props {
  editor: Editor;
  /** The place in the text whose line this speaks of; null for the caret's, wherever it goes. */
  pos: number | null;
  children: ReactNode;
}

const GAP_PX = 8;
const MOST_UP_PX = 150;
/** Beneath a blank stands its name. */
const NAME_PX = 18;

/** The comment that a place of the text is in, as it stands beside what it is on; null for one of the text itself. */
function commentAt({ view }: Editor, pos: number): HTMLElement | null {
  const { node } = view.domAtPos(pos);
  const element = node instanceof HTMLElement ? node : node.parentElement;
  return element?.closest<HTMLElement>('.comment') ?? null;
}

/** Where the box belongs, in px beneath the top of the margin; null while nothing can be said. */
function levelOf(own: HTMLElement, editor: Editor, fixed: number | null): number | null {
  const { state, view } = editor;
  const pos = fixed ?? state.selection.from;
  const margin = own.offsetParent;
  if (!margin || pos > state.doc.content.size) return null;
  const edge = margin.getBoundingClientRect();
  const standing = own.previousElementSibling as HTMLElement | null;
  const under = standing ? standing.offsetTop + standing.offsetHeight + GAP_PX : 0;
  // Over a page that is marked nothing is level with a line.
  if (view.dom.closest('.page-markings')) return under;
  // A comment stands in the margin itself: what speaks of it stands beneath it.
  const comment = commentAt(editor, pos);
  if (comment && getComputedStyle(comment).position === 'absolute')
    return Math.max(under, comment.getBoundingClientRect().bottom - edge.top + GAP_PX);
  const line = view.coordsAtPos(pos).top - edge.top;
  const foot = Math.max(window.innerHeight, edge.bottom) - edge.top - GAP_PX;
  // The first thing said must be in sight; for what follows it, it moves up a few lines but not away.
  const head = own.querySelector<HTMLElement>('section, form') ?? own;
  const missing = Math.max(0, line + own.offsetHeight - foot);
  const wanted = Math.min(line - Math.min(missing, MOST_UP_PX), foot - head.offsetHeight);
  return Math.max(under, wanted);
}

/**
 * Where there is no margin beside the text the box stands over its foot: the line it speaks of is brought above it. True where
 * that is so.
 */
function keepAbove(own: HTMLElement, { state, view }: Editor, fixed: number | null): boolean {
  if (getComputedStyle(own).position !== 'fixed') return false;
  const pos = fixed ?? state.selection.from;
  if (pos > state.doc.content.size) return true;
  const node = view.nodeDOM(pos);
  const line = node instanceof HTMLElement ? node.getBoundingClientRect() : view.coordsAtPos(pos);
  const covered = line.bottom + NAME_PX - own.getBoundingClientRect().top;
  // A line longer than what is left of the screen is seen from its first words on.
  const room = line.top - GAP_PX;
  if (covered > 0 && room > 0) window.scrollBy({ top: Math.min(covered, room) });
  return true;
}

/**
 * Stands in the margin level with a line of the text, but below what stands there anyway, and moved up where
 * it would otherwise run out of sight.
 */
export function Level({ editor, pos, children }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const place = useRef(() => {});
  useLayoutEffect(() => {
    place.current = () => {
      if (!box.current || keepAbove(box.current, editor, pos)) return;
      const top = levelOf(box.current, editor, pos);
      if (top === null) return;
      // Written only where it changes: the page is laid out again for each writing.
      const wanted = `${Math.round(top)}px`;
      if (box.current.style.top !== wanted) box.current.style.top = wanted;
    };
    place.current();
  });
  useEffect(() => {
    const own = box.current!;
    let frame = 0;
    const soon = () => {
      cancelAnimationFrame(frame);
      frame = requestAnimationFrame(() => place.current());
    };
    // The line moves with the caret, and when the record is folded, the window narrows, or fonts arrive; what stands above it in the
    // margin grows by itself, as when a colleague's change is told.
    editor.on('transaction', soon);
    const watch = new ResizeObserver(() => place.current());
    for (const element of [editor.view.dom, document.body, own, own.previousElementSibling])
      if (element) watch.observe(element);
    return () => {
      editor.off('transaction', soon);
      cancelAnimationFrame(frame);
      watch.disconnect();
    };
  }, [editor]);
  return (
    <div ref={box} className="margin-level">
      {children}
    </div>
  );
}
