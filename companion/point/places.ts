/** Elements that say something of their own, as somebody points at them: words, or a box with words in it. */
export function placesOn(page: Document): HTMLElement[] {
  const says = (element: HTMLElement): boolean => {
    if (element.getClientRects().length === 0) return false;
    if (element instanceof HTMLInputElement)
      return element.type !== 'password' && element.value.trim() !== '';
    return [...element.childNodes].some(
      (node) => node.nodeType === Node.TEXT_NODE && (node.textContent ?? '').trim() !== '',
    );
  };
  return [...page.body.querySelectorAll<HTMLElement>('*')].filter(
    (element) => !/^(script|style|noscript|elderleaf-.*)$/.test(element.localName) && says(element),
  );
}
