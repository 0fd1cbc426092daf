import type { Box } from '../page/box';
import { STYLES } from './styles';

/** What is drawn beneath the slip, as lines around boxes of the page; null while nothing is drawn. */
export const beneath: { element: HTMLElement | null } = { element: null };

const GAP = 6;

/** How large what is drawn is: its width, and in what room beneath the caret it stands; in less it is put above, where there is more. No lower than the least, in a low frame too. */
interface Size {
  width: number;
  height: number;
  least: number;
}
const SLIP: Size = { width: 400, height: 320, least: 160 };

/** Where the slip is drawn: a closed shadow tree of the companion's own, so that no style of the page reaches it and none of its own the page. */
export class Surface {
  private host: HTMLElement | null = null;
  private container: HTMLElement | null = null;
  private at: DOMRect | null = null;

  constructor(private readonly size: Size = SLIP) {}

  /** The element to draw in, beside the caret of a box; at the foot of the window where there is none. */
  open(box: Box | null): HTMLElement {
    this.at = box?.caret() ?? null;
    if (this.host?.isConnected && this.container) return this.container;
    const host = document.createElement('elderleaf-slip');
    host.style.cssText = 'all:initial;position:fixed;inset:0;width:0;height:0;z-index:2147483647';
    const tree = host.attachShadow({ mode: 'closed' });
    const sheet = new CSSStyleSheet();
    sheet.replaceSync(STYLES);
    tree.adoptedStyleSheets = [sheet];
    this.container = document.createElement('div');
    this.container.className = 'slip';
    beneath.element = document.createElement('div');
    beneath.element.className = 'beneath';
    tree.append(beneath.element, this.container);
    // What is typed here is not the page's: its own keys must not act on it, nor may it take the focus back.
    for (const name of [
      'keydown',
      'keyup',
      'keypress',
      'input',
      'beforeinput',
      'paste',
      'focusin',
      'focusout',
      'mousedown',
      'pointerdown',
      'click',
    ])
      host.addEventListener(name, (event) => event.stopPropagation());
    // Within an open dialog of the page, since all else is out of reach then.
    const dialog = box?.element.closest('dialog[open], [popover]:popover-open');
    (dialog ?? document.documentElement).append(host);
    this.host = host;
    return this.container;
  }

  /** Puts it beneath the caret, or above where there is more room. */
  place(): void {
    if (!this.container) return;
    const { innerHeight } = window;
    // Without the bar that scrolls the page.
    const innerWidth = document.documentElement.clientWidth;
    const width = Math.min(this.size.width, innerWidth - 2 * GAP);
    const { style } = this.container;
    style.width = `${width}px`;
    if (!this.at) {
      style.left = `${innerWidth - width - 16}px`;
      style.bottom = '16px';
      return;
    }
    const { left, top, bottom } = this.at;
    style.left = `${Math.max(GAP, Math.min(left - 12, innerWidth - width - GAP))}px`;
    const [below, above] = [innerHeight - bottom - 2 * GAP, top - 2 * GAP];
    const isBelow = below >= this.size.height || below >= above;
    style.top = isBelow ? `${Math.min(bottom + GAP, innerHeight - 2 * GAP - this.size.least)}px` : '';
    style.bottom = isBelow ? '' : `${innerHeight - top + GAP}px`;
    style.maxHeight = `${Math.max(isBelow ? below : above, this.size.least)}px`;
  }

  /** What is drawn beneath it: lines around elements of the page; null while nothing is drawn. */
  under(): HTMLElement | null {
    return beneath.element;
  }

  close(): void {
    this.host?.remove();
    this.host = null;
    this.container = null;
    beneath.element = null;
  }
}
