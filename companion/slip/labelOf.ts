/** What a box is called for people: by its label, or by what else tells; '' where nothing does. */
export function labelOf(element: HTMLElement): string {
  const page = element.ownerDocument;
  const by = (element.getAttribute('aria-labelledby') ?? '')
    .split(/\s+/)
    .map((id) => (id === '' ? '' : (page.getElementById(id)?.textContent ?? '')))
    .join(' ')
    .trim();
  const own =
    element instanceof HTMLInputElement || element instanceof HTMLTextAreaElement
      ? element.labels?.[0]
      : null;
  const label = [
    element.getAttribute('aria-label'),
    by,
    own?.textContent,
    element.getAttribute('placeholder'),
    element.getAttribute('name'),
    element.id,
  ].find((one) => (one ?? '').trim() !== '');
  return (label ?? '').replace(/\s+/g, ' ').trim();
}
