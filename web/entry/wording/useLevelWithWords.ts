import { useEffect } from 'react';
import type { Editor } from '@tiptap/react';

/** How much of the window the reading beneath keeps, in px. */
const READING_PX = 240;

/** Where a box belongs, in px beneath its place in the margin: level with a line, as far as the reading beneath stays in view. */
export function topFor(line: number, place: number, own: number, window: number): number {
  const most = window - READING_PX - own - place;
  return Math.max(0, Math.min(line - place, most));
}

/**
 * Keeps what the words at the caret need level with their line, above the reading in the margin of an entry.
 * @param box where in the margin it stands; null where there is no margin beside the words
 * @param needed what it is about; '' while nothing is needed there
 */
export function useLevelWithWords(editor: Editor, box: HTMLElement | null, needed: string): void {
  useEffect(() => {
    const margin = box?.parentElement;
    if (!box || !margin || needed === '') return;
    // The margin may have been scrolled down in the reading: what is needed now is at its head.
    margin.scrollTo({ top: 0 });
    let frame = 0;
    const place = () => {
      const head = margin.getBoundingClientRect().top + parseFloat(getComputedStyle(margin).paddingTop);
      const { top: line } = editor.view.coordsAtPos(editor.state.selection.from);
      const top = Math.round(topFor(line, head, box.offsetHeight, window.innerHeight));
      box.style.setProperty('margin-top', `${top}px`);
    };
    const soon = () => {
      cancelAnimationFrame(frame);
      frame = requestAnimationFrame(place);
    };
    place();
    editor.on('transaction', soon);
    window.addEventListener('scroll', soon);
    window.addEventListener('resize', soon);
    return () => {
      editor.off('transaction', soon);
      window.removeEventListener('scroll', soon);
      window.removeEventListener('resize', soon);
      cancelAnimationFrame(frame);
      box.style.removeProperty('margin-top');
    };
  }, [editor, box, needed]);
}
