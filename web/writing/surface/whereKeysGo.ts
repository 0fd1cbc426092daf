import type { EditorView } from '@tiptap/pm/view';
import { currentBlank } from '../../editor';

/** The line on which the current blank is typed into; null where none is, or it takes no typing. */
export const lineOfBlank = (view: EditorView): HTMLInputElement | HTMLTextAreaElement | null =>
  // Asked at each key: a page of hours of words is not searched for what cannot be there.
  currentBlank(view.state)
    ? view.dom.querySelector('.blank.is-current > input, .blank.is-current > textarea')
    : null;

/**
 * Gives the keys to where the eyes are: the line of the current blank, else the text. Never the text while a blank is current
 * that is typed into: the first letter would take the blank's place.
 */
export function giveKeys(view: EditorView): void {
  const line = lineOfBlank(view);
  if (line) line.focus({ preventScroll: true });
  else view.focus();
}

/** Types words into the line of the current blank, wherever the keys went; false where it has none. */
export function typeIntoBlank(view: EditorView, words: string): boolean {
  const line = view.editable ? lineOfBlank(view) : null;
  if (!line) return false;
  line.focus({ preventScroll: true });
  line.setRangeText(words, line.selectionStart ?? 0, line.selectionEnd ?? line.value.length, 'end');
  line.dispatchEvent(new Event('input', { bubbles: true }));
  return true;
}

const REACHED = 'button:not([disabled]), a[href], input, select, textarea, [tabindex="0"]';

/** Gives the keys to the first thing in the margin; false where there is nothing to reach. Escape there gives them back. */
export function goToMargin(): boolean {
  const margin = document.querySelector<HTMLElement>('aside');
  const first = [...(margin?.querySelectorAll<HTMLElement>(REACHED) ?? [])].find(
    (one) => one.tabIndex >= 0 && one.offsetParent !== null,
  );
  first?.focus();
  return first !== undefined;
}
