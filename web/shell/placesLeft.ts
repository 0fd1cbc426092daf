/** Where in the page an element stood when it was taken out of it. */
interface Place {
  parent: Node;
  previousSibling: Node | null;
}

/** What Tab stops at. */
const STOPS =
  'a[href], button, input, select, textarea, summary, [contenteditable="true"], [tabindex]:not([tabindex^="-"])';
/** What belongs together: the keys go on within it. */
const PARTS =
  'section, form, aside, main, header, nav, li, fieldset, [role="region"], [role="dialog"], [role="group"]';

/** Whether an element can have the keys now. */
const isStop = (element: Element): element is HTMLElement =>
  element instanceof HTMLElement &&
  element.matches(STOPS) &&
  !element.matches(':disabled, [tabindex^="-"], [inert] *') &&
  // Not known outside browsers.
  (element.checkVisibility?.({ visibilityProperty: true }) ?? true);

const stopsIn = (part: Element): HTMLElement[] =>
  [...part.querySelectorAll(STOPS)].filter((element) => isStop(element));

/** The parts of the page that a node is in, the innermost first. */
function partsAround(node: Node): Element[] {
  const parts: Element[] = [];
  let part = node instanceof Element ? node.closest(PARTS) : null;
  while (part) {
    parts.push(part);
    part = part.parentElement?.closest(PARTS) ?? null;
  }
  return parts;
}

/** Whether a node comes after another, or within it. */
const isAfter = (node: Node, other: Node): boolean =>
  (other.compareDocumentPosition(node) & Node.DOCUMENT_POSITION_FOLLOWING) !== 0;

/** Where what was taken out of the page stood, and what stands there now. */
export class Places {
  private readonly all = new WeakMap<Node, Place>();

  /** A node was taken out, or to another place. */
  left(node: Node, place: Place): void {
    this.all.set(node, place);
  }

  /** What has the keys in place of one that had them: itself where it is there, else what stands where it stood. Null where nothing near does. */
  standsFor(holder: Element): HTMLElement | null {
    if (holder.isConnected) return isStop(holder) ? holder : null;
    const place = this.placeOf(holder);
    if (!place) return null;
    const { parent, behind } = place;
    // Those within what stands before it come before it as well.
    const comesAfter = (stop: Element) => isAfter(stop, behind ?? parent) && !behind?.contains(stop);
    for (const part of partsAround(parent)) {
      const stops = stopsIn(part);
      const stop = stops.find(comesAfter) ?? stops.at(-1);
      if (stop) return stop;
    }
    return null;
  }

  /** The place of an element that is out of the page, by what is still in it: its parent, and what stood before it there. */
  private placeOf(holder: Element): { parent: Node; behind: Node | null } | null {
    const gone = rootOf(holder);
    const place = this.all.get(gone);
    if (!place) return null;
    if (!place.parent.isConnected) return place.parent instanceof Element ? this.placeOf(place.parent) : null;
    let behind = place.previousSibling;
    while (behind && behind.parentNode !== place.parent)
      behind = this.all.get(behind)?.previousSibling ?? null;
    return { parent: place.parent, behind };
  }
}

/** The outermost node that was taken out with an element. */
function rootOf(element: Node): Node {
  let root = element;
  while (root.parentNode) root = root.parentNode;
  return root;
}
