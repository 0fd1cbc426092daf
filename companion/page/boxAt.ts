import type { Box } from './box';
import { EditableBox } from './editableBox';
import { mayLookAt } from './mayLookAt';
import { TextBox } from './textBox';

/** What is written in itself holds no tree to be written in; to ask for one costs more than all else that a key does. */
const isWrittenIn = (element: HTMLElement): boolean =>
  element instanceof HTMLTextAreaElement || element instanceof HTMLInputElement || element.isContentEditable;

/** The shadow tree of an element, a closed one too where the browser shows it to extensions. */
function shadowOf(element: Element): ShadowRoot | null {
  if (!(element instanceof HTMLElement) || isWrittenIn(element)) return element.shadowRoot;
  return element.shadowRoot ?? chrome.dom?.openOrClosedShadowRoot(element) ?? null;
}

/** The element that has the keys, within shadow trees too. */
export function focused(page: Document): HTMLElement | null {
  let active: Element | null = page.activeElement;
  while (active) {
    const within: Element | null = shadowOf(active)?.activeElement ?? null;
    if (!within) break;
    active = within;
  }
  return active instanceof HTMLElement ? active : null;
}

/** The outermost element that is edited in place around one. */
function editedAround(element: HTMLElement): HTMLElement {
  let root = element;
  while (root.parentElement?.isContentEditable) root = root.parentElement;
  return root;
}

const known = new WeakMap<HTMLElement, Box>();

/** The box that an element is or is within; null for none, or one that is not to be looked at. */
export function boxOf(element: HTMLElement | null): Box | null {
  if (!element) return null;
  const isText = element instanceof HTMLInputElement || element instanceof HTMLTextAreaElement;
  const root = isText ? element : element.isContentEditable ? editedAround(element) : null;
  if (!root || !mayLookAt(root)) return null;
  let box = known.get(root);
  if (!box) {
    box = isText ? new TextBox(element) : new EditableBox(root);
    known.set(root, box);
  }
  return box;
}
