import type { Box, Words } from './box';

/** So much before and after the caret is looked at, at the most: a cue is no longer, and a long text costs time. */
export const LOOKED_AT = 400;

type Element = HTMLInputElement | HTMLTextAreaElement;

/** A box of one line or several, without formatting. */
export class TextBox implements Box {
  readonly isRich = false;
  readonly isOneLine: boolean;
  private just: { from: number; to: number; typed: string; value: string } | null = null;

  constructor(readonly element: Element) {
    this.isOneLine = element instanceof HTMLInputElement;
  }

  get stands(): boolean {
    return this.element.isConnected;
  }

  before(): string | null {
    const { selectionStart, selectionEnd, value } = this.element;
    if (selectionStart === null || selectionStart !== selectionEnd) return null;
    const text = value.slice(Math.max(0, selectionStart - LOOKED_AT), selectionStart);
    return text.slice(text.lastIndexOf('\n') + 1);
  }

  after(): string {
    const { selectionEnd, value } = this.element;
    return value.slice(selectionEnd ?? 0, (selectionEnd ?? 0) + LOOKED_AT).split('\n', 1)[0]!;
  }

  hold(): void {
    // Its caret stays where it is while the keys are elsewhere.
  }

  resume(): void {
    this.element.focus({ preventScroll: true });
  }

  room(typed: number, { plain }: Words): number | null {
    const { maxLength, value } = this.element;
    const over = value.length - typed + plain.length - maxLength;
    return maxLength >= 0 && over > 0 ? over : null;
  }

  /** Where what was typed stands: right before the caret, or, where the page has written the box anew, where it stands alone. */
  private startOf(typed: string): number | null {
    const { value } = this.element;
    const caret = this.element.selectionStart ?? value.length;
    if (caret >= typed.length && value.slice(caret - typed.length, caret) === typed)
      return caret - typed.length;
    const first = value.indexOf(typed);
    return first >= 0 && first === value.lastIndexOf(typed) ? first : null;
  }

  /** As typed, so that undo, counters and checks of the page hear of it; else by the browser's own call for it. */
  private write(from: number, to: number, text: string): void {
    this.element.focus({ preventScroll: true });
    this.element.setSelectionRange(from, to);
    if (this.element.ownerDocument.execCommand('insertText', false, text)) return;
    this.element.setRangeText(text, from, to, 'end');
    this.element.dispatchEvent(
      new InputEvent('input', {
        bubbles: true,
        composed: true,
        inputType: 'insertReplacementText',
        data: text,
      }),
    );
  }

  async put(typed: string, { plain }: Words): Promise<boolean> {
    const from = this.startOf(typed);
    if (from === null) return false;
    const caret = from + typed.length;
    const text = this.isOneLine ? plain.replace(/\s*\n\s*/g, ' ') : plain;
    this.write(from, caret, text);
    this.just = { from, to: from + text.length, typed, value: this.element.value };
    return Promise.resolve(this.element.value.slice(from).startsWith(text));
  }

  /** All of it at once: a box of its own, such as a subject. */
  async fill({ plain }: Words): Promise<boolean> {
    const text = this.isOneLine ? plain.replace(/\s*\n\s*/g, ' ') : plain;
    this.write(0, this.element.value.length, text);
    return Promise.resolve(this.element.value === text);
  }

  async giveBack(): Promise<boolean> {
    const { just } = this;
    this.just = null;
    if (!just || this.element.value !== just.value || this.element.selectionStart !== just.to) return false;
    this.write(just.from, just.to, just.typed);
    return Promise.resolve(true);
  }

  caret(): DOMRect {
    return caretInTextBox(this.element);
  }
}

/** What decides how the text of a box is laid out. */
const LAID_OUT = [
  'boxSizing',
  'width',
  'fontFamily',
  'fontSize',
  'fontStyle',
  'fontWeight',
  'letterSpacing',
  'lineHeight',
  'paddingTop',
  'paddingRight',
  'paddingBottom',
  'paddingLeft',
  'borderTopWidth',
  'borderRightWidth',
  'borderLeftWidth',
  'textIndent',
  'textTransform',
  'tabSize',
  'direction',
] as const;

/** Where the caret of a box stands in the window: its text laid out once more out of sight, since a box does not tell. */
function caretInTextBox(element: Element): DOMRect {
  const { ownerDocument: page } = element;
  const box = element.getBoundingClientRect();
  const style = page.defaultView!.getComputedStyle(element);
  const copy = page.createElement('div');
  // Closed, so that no style and no script of the page meets it.
  const host = page.createElement('div');
  host.style.cssText = 'position:fixed;left:0;top:0;visibility:hidden;pointer-events:none;width:0;height:0';
  host.attachShadow({ mode: 'closed' }).append(copy);
  for (const name of LAID_OUT) copy.style[name] = style[name];
  copy.style.whiteSpace = element instanceof HTMLInputElement ? 'pre' : 'pre-wrap';
  copy.style.overflowWrap = 'break-word';
  const caret = element.selectionStart ?? element.value.length;
  copy.append(element.value.slice(Math.max(0, caret - 5000), caret));
  const mark = page.createElement('span');
  mark.append('\u200b');
  copy.append(mark);
  page.documentElement.append(host);
  const [whole, end] = [copy.getBoundingClientRect(), mark.getBoundingClientRect()];
  host.remove();
  const left = Math.min(box.left + end.left - whole.left - element.scrollLeft, box.right);
  const top = Math.min(
    Math.max(box.top + end.top - whole.top - element.scrollTop, box.top),
    box.bottom - end.height,
  );
  return new DOMRect(left, top, 0, end.height);
}
