import type { Box } from '../page/box';
import { STYLES } from './styles';

const WIDTH = 400;
const GAP = 6;

/** Where the slip is drawn: a closed shadow tree of the companion's own, so that no style of the page reaches it and none of its own the page. */
export class Surface {
  private host: HTMLElement | null = null;
  private container: HTMLElement | null = null;
  private at: DOMRect | null = null;

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
    tree.append(this.container);
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
    const { innerWidth, innerHeight } = window;
    const width = Math.min(WIDTH, innerWidth - 2 * GAP);
    const { style } = this.container;
    style.width = `${width}px`;
    if (!this.at) {
      style.left = `${innerWidth - width - 16}px`;
      style.bottom = '16px';
      return;
    }
    const { left, top, bottom } = this.at;
    style.left = `${Math.max(GAP, Math.min(left - 12, innerWidth - width - GAP))}px`;
    const [below, above] = [innerHeight - bottom, top];
    const height = this.container.offsetHeight;
    if (below >= height + GAP || below >= above) {
      style.top = `${Math.min(bottom + GAP, Math.max(GAP, innerHeight - Math.min(height, innerHeight - 2 * GAP) - GAP))}px`;
      style.bottom = '';
      style.maxHeight = `${Math.max(below - 2 * GAP, 160)}px`;
    } else {
      style.bottom = `${innerHeight - top + GAP}px`;
      style.top = '';
      style.maxHeight = `${Math.max(above - 2 * GAP, 160)}px`;
    }
  }

  close(): void {
    this.host?.remove();
    this.host = null;
    this.container = null;
  }
}
