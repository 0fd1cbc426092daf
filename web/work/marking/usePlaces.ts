import type { Editor } from '@tiptap/react';
import { useEffect, useLayoutEffect, useRef } from 'react';
import { markingPoints, markingUnit } from '#core/passage';
import type { PageSize } from '../../documents';
import type { Markings } from './useMarkings';

/** Words that begin nearer than this to the edge of what is seen are hardly seen, in px. */
const EDGE_PX = 24;

/** A browser keeps where it would insert what is typed from when boxes about the caret were hidden: it is told once more where the caret is. */
function setCaretAnew(): void {
  const selection = getSelection();
  if (!selection || selection.rangeCount === 0) return;
  const range = selection.getRangeAt(0).cloneRange();
  selection.removeAllRanges();
  selection.addRange(range);
}

/** Puts the boxes of markings at their places of the page that is shown, and hides those of others. */
export function usePlaces(
  editor: Editor,
  { markings, page, current, isReading, size: sizeRef }: Markings,
  scale: number,
  size: PageSize | null,
): void {
  useLayoutEffect(() => {
    const { dom } = editor.view;
    // In the list they stand in their order, as large as all words.
    return () => {
      for (const box of dom.querySelectorAll<HTMLElement>('[data-marking]')) {
        box.hidden = false;
        box.removeAttribute('style');
        box.classList.remove('is-current', 'is-written');
      }
    };
  }, [editor]);
  const unit = size ? markingUnit(size) : 1;
  useLayoutEffect(() => {
    if (size) sizeRef.current = size;
    const boxes = new Map(
      [...editor.view.dom.querySelectorAll<HTMLElement>('[data-marking]')].map((box) => [
        box.dataset.marking,
        box,
      ]),
    );
    let isOtherPage = false;
    for (const { marking } of markings) {
      const box = boxes.get(marking.id);
      if (!box) continue;
      isOtherPage ||= box.hidden !== (marking.page !== page);
      box.hidden = marking.page !== page;
      box.style.left = `${marking.at.x * scale}px`;
      box.style.top = `${marking.at.y * scale}px`;
      box.style.fontSize = `${markingPoints(marking, unit) * scale}px`;
      box.dataset.colour = marking.colour;
      box.dataset.framed = String(marking.framed);
      box.classList.toggle('is-current', marking.id === current);
      box.classList.toggle('is-written', marking.id === current && !isReading);
    }
    if (isOtherPage && editor.view.hasFocus()) setCaretAnew();
  }, [editor, markings, page, current, isReading, scale, unit, size, sizeRef]);
}

/** Brings what is at hand into sight, where it is not: a marking that was stepped to, words that were found. */
export function useInSight(
  pane: HTMLElement | null,
  { page, cross }: Markings,
  scale: number,
  isKnown: boolean,
): void {
  const shown = useRef(scale);
  useEffect(() => {
    shown.current = scale;
  });
  useEffect(() => {
    if (!pane || !isKnown) return;
    const [x, y] = [cross.x * shown.current, cross.y * shown.current];
    const [left, top, width, height] = [pane.scrollLeft, pane.scrollTop, pane.clientWidth, pane.clientHeight];
    pane.scrollTo(
      x < left || x > left + width - EDGE_PX ? x - width / 3 : left,
      y < top || y > top + height - EDGE_PX ? y - height / 3 : top,
    );
  }, [pane, page, cross, isKnown]);
}
