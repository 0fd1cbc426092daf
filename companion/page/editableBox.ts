import type { Box, Words } from './box';
import { LOOKED_AT } from './textBox';

/** Elements that begin a line of their own, besides those that are styled so. */
const BLOCKS = /^(P|DIV|LI|TD|TH|H[1-6]|BLOCKQUOTE|PRE|DD|DT|SECTION|ARTICLE|BODY|UL|OL|FIGURE|FIGCAPTION)$/;
/** As editors put it where a line would be empty or a caret could not stand: no letter of anybody. */
const INVISIBLE = /[\u200b\ufeff]/g;
/** As long as an editor may take to hear of a selection, in milliseconds. */
const HEARS_MS = 250;

interface Point {
  node: Node;
  offset: number;
}

const blockOf = (node: Node, root: HTMLElement): HTMLElement => {
  for (let at: Node | null = node; at && at !== root; at = at.parentNode)
    if (at instanceof HTMLElement && BLOCKS.test(at.tagName)) return at;
  return root;
};

/** The text that a point is in, cut there, or the node that stands beside it; null for none. */
function besidePoint({ node, offset }: Point, isBack: boolean): Node | null {
  const beside = node.childNodes[isBack ? offset - 1 : offset] ?? null;
  return isBack && beside ? lastWithin(beside) : beside;
}

type Stretch = [text: Text, from: number, to: number];

/** The texts of a line on one side of a point, nearest first, each from where to where; up to a break, or the end of its block. */
function* textsFrom(point: Point, root: HTMLElement, isBack: boolean): Generator<Stretch> {
  const block = blockOf(point.node, root);
  const walker = root.ownerDocument.createTreeWalker(block, NodeFilter.SHOW_TEXT | NodeFilter.SHOW_ELEMENT);
  let next: Node | null;
  if (point.node instanceof Text) {
    yield isBack ? [point.node, 0, point.offset] : [point.node, point.offset, point.node.length];
    walker.currentNode = point.node;
    next = isBack ? walker.previousNode() : walker.nextNode();
  } else {
    next = besidePoint(point, isBack);
    walker.currentNode = next ?? point.node;
  }
  for (; next && next !== block; next = isBack ? walker.previousNode() : walker.nextNode()) {
    if (next instanceof Text) yield [next, 0, next.length];
    else if (next instanceof HTMLElement && endsLine(next)) return;
  }
}

const lastWithin = (node: Node): Node => {
  let at = node;
  while (at.lastChild) at = at.lastChild;
  return at;
};

const endsLine = (element: HTMLElement): boolean => element.tagName === 'BR' || BLOCKS.test(element.tagName);

const asTyped = (text: string): string => text.replaceAll('\u00a0', ' ').replace(INVISIBLE, '');

/** A selection as the tree that the box stands in has it: within a shadow tree the page's own tells less. */
function selectionOf(root: HTMLElement): Selection | null {
  const tree = root.getRootNode() as (Document | ShadowRoot) & { getSelection?: () => Selection | null };
  return tree.getSelection?.() ?? root.ownerDocument.getSelection();
}

/** Has the page's own listeners be told of a selection before anything is done with it. */
function heard(page: Document): Promise<void> {
  return new Promise((resolve) => {
    const done = () => {
      page.removeEventListener('selectionchange', done);
      clearTimeout(timer);
      // After all others that listen to the same.
      setTimeout(resolve, 0);
    };
    const timer = setTimeout(done, HEARS_MS);
    page.addEventListener('selectionchange', done);
  });
}

/** Whether a box changes: soon, since an editor may draw itself anew a little later. */
function changeOf(element: HTMLElement): Promise<boolean> {
  return new Promise((resolve) => {
    const settle = (isChanged: boolean) => {
      watcher.disconnect();
      clearTimeout(timer);
      resolve(isChanged);
    };
    const watcher = new MutationObserver(() => settle(true));
    const timer = setTimeout(() => settle(false), HEARS_MS);
    watcher.observe(element, { childList: true, characterData: true, subtree: true });
  });
}

const nextTurn = () => new Promise<void>((resolve) => setTimeout(resolve, 0));

/** A box that is edited in place: a mail form, a course board, whatever editor it is made with. */
export class EditableBox implements Box {
  readonly isOneLine = false;
  readonly isRich: boolean;
  private held: Point | null = null;
  private just: { typed: string; after: string; inserted: string } | null = null;

  constructor(readonly element: HTMLElement) {
    this.isRich = element.contentEditable !== 'plaintext-only';
  }

  get stands(): boolean {
    return this.element.isConnected;
  }

  private point(): Point | null {
    const selection = selectionOf(this.element);
    const { focusNode, focusOffset, isCollapsed } = selection ?? {};
    if (!focusNode || !isCollapsed || !this.element.contains(focusNode)) return null;
    return { node: focusNode, offset: focusOffset! };
  }

  private caretPoint(): Point | null {
    const { held } = this;
    if (held?.node.isConnected) return held;
    return this.point();
  }

  private side(isBack: boolean): string | null {
    const point = this.caretPoint();
    if (!point) return null;
    let text = '';
    for (const [node, from, to] of textsFrom(point, this.element, isBack)) {
      const part = node.data.slice(from, to);
      text = isBack ? part + text : text + part;
      if (text.length >= LOOKED_AT) break;
    }
    return asTyped(isBack ? text.slice(-LOOKED_AT) : text.slice(0, LOOKED_AT));
  }

  before(): string | null {
    return this.side(true);
  }

  after(): string {
    return this.side(false) ?? '';
  }

  hold(): void {
    this.held = this.point();
  }

  resume(): void {
    const { held } = this;
    this.held = null;
    this.element.focus({ preventScroll: true });
    if (held?.node.isConnected) selectionOf(this.element)?.collapse(held.node, held.offset);
  }

  room(): number | null {
    return null;
  }

  /** The end of what was typed, where the page has written the box anew and it stands there alone. */
  private endOf(typed: string): Point | null {
    const walker = this.element.ownerDocument.createTreeWalker(this.element, NodeFilter.SHOW_TEXT);
    const found: Point[] = [];
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const text = (node as Text).data.replaceAll('\u00a0', ' ');
      const at = typed === '' ? -1 : text.lastIndexOf(typed);
      if (at >= 0) found.push({ node, offset: at + typed.length });
    }
    return found.length === 1 ? found[0]! : null;
  }

  /** Where so many letters before the caret begin; null where there are fewer on its line. */
  private startOf(letters: number, end: Point): Point | null {
    if (letters === 0) return end;
    let left = letters;
    for (const [node, from, to] of textsFrom(end, this.element, true)) {
      for (let at = to; at > from; at -= 1) {
        if (!/[\u200b\ufeff]/.test(node.data.charAt(at - 1))) left -= 1;
        if (left === 0) return { node, offset: at - 1 };
      }
    }
    return null;
  }

  private async select(from: Point, to: Point): Promise<void> {
    const isThere = this.element.ownerDocument.activeElement === this.element;
    this.element.focus({ preventScroll: true });
    // An editor that is given the keys puts its own caret first.
    if (!isThere) await nextTurn();
    selectionOf(this.element)?.setBaseAndExtent(from.node, from.offset, to.node, to.offset);
    await heard(this.element.ownerDocument);
    selectionOf(this.element)?.setBaseAndExtent(from.node, from.offset, to.node, to.offset);
  }

  /**
   * Puts words over what is selected, each way in turn until one takes: as words put in from the clipboard, first as newer editors hear
   * of it, then as older ones do; else as the browser itself types them.
   */
  private async insert({ plain, html }: Words): Promise<boolean> {
    const page = this.element.ownerDocument;
    const data = new DataTransfer();
    data.setData('text/plain', plain);
    if (html !== null) data.setData('text/html', html);
    const how = { bubbles: true, cancelable: true, composed: true };
    const ways = [
      () => new InputEvent('beforeinput', { ...how, inputType: 'insertFromPaste', dataTransfer: data }),
      () => new ClipboardEvent('paste', { ...how, clipboardData: data }),
    ];
    for (const make of ways) {
      const change = changeOf(this.element);
      // Some say that they have taken it, and have not: seen by the box alone.
      if (!this.target().dispatchEvent(make()) && (await change)) return true;
    }
    if (html !== null && page.execCommand('insertHTML', false, html)) return true;
    // Line by line: a break that is typed as text would be lost in some.
    return plain.split('\n').every((line, at) => {
      if (at > 0 && !page.execCommand('insertLineBreak')) return false;
      return line === '' || page.execCommand('insertText', false, line);
    });
  }

  /** Where the page's listeners expect what is typed: the element that holds the caret. */
  private target(): HTMLElement {
    const node = selectionOf(this.element)?.focusNode;
    const element = node instanceof HTMLElement ? node : node?.parentElement;
    return element && this.element.contains(element) ? element : this.element;
  }

  async put(typed: string, words: Words): Promise<boolean> {
    const end = this.caretPoint() ?? this.endOf(typed);
    this.held = null;
    if (!end) return false;
    const start = this.startOf(typed.length, end);
    if (!start) return false;
    await this.select(start, end);
    const selected = asTyped(selectionOf(this.element)?.toString() ?? '');
    if (selected !== typed || !(await this.insert(words))) {
      // What is typed next must not take the place of what is selected.
      selectionOf(this.element)?.collapse(end.node, end.offset);
      return false;
    }
    await nextTurn();
    this.just = { typed, after: this.element.textContent, inserted: words.plain };
    return true;
  }

  async fill(words: Words): Promise<boolean> {
    this.element.focus({ preventScroll: true });
    await nextTurn();
    selectionOf(this.element)?.selectAllChildren(this.element);
    await heard(this.element.ownerDocument);
    await this.insert(words);
    await nextTurn();
    return bare(this.element.textContent) === bare(words.plain);
  }

  /** Takes the words that were put in letter by letter into a selection, and writes what was typed over them. */
  async giveBack(): Promise<boolean> {
    const { just } = this;
    this.just = null;
    const selection = selectionOf(this.element);
    if (!just || !selection || !this.point() || this.element.textContent !== just.after) return false;
    const wanted = bare(just.inserted);
    for (let left = just.inserted.length * 2; left > 0 && bare(selection.toString()) !== wanted; left -= 1)
      selection.modify('extend', 'backward', 'character');
    // Spaces at the edges of what was put in are no letters, and are told apart by their count alone.
    const spaces = /^\s*/.exec(just.inserted)![0].length;
    for (let left = spaces; left > 0; left -= 1) selection.modify('extend', 'backward', 'character');
    await heard(this.element.ownerDocument);
    return this.insert({ plain: just.typed, html: null });
  }

  caret(): DOMRect {
    const point = this.caretPoint();
    if (!point) return this.element.getBoundingClientRect();
    const range = this.element.ownerDocument.createRange();
    range.setStart(point.node, point.offset);
    range.collapse(true);
    const [rect] = range.getClientRects();
    if (rect) return rect;
    const beside = point.node instanceof HTMLElement ? point.node : point.node.parentElement;
    const { left, top, height } = (beside ?? this.element).getBoundingClientRect();
    return new DOMRect(left, top, 0, Math.min(height, 24));
  }
}

/** Letters alone: how an editor breaks its lines is its own. */
const bare = (text: string | null): string => (text ?? '').replace(/[\s\u200b\ufeff]/g, '');
