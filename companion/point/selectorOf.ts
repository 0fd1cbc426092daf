/** Ids that a page makes anew each time are no names. */
const isName = (id: string): boolean => id !== '' && !/\d{3,}|:/.test(id);

function stepOf(element: Element): string {
  const tag = element.localName;
  const alike = [...(element.parentElement?.children ?? [])].filter((one) => one.localName === tag);
  return alike.length > 1 ? `${tag}:nth-of-type(${alike.indexOf(element) + 1})` : tag;
}

/**
 * A CSS selector that finds an element again on pages made like this one: by the nearest id or name above it, and from there by its
 * place. It finds this element alone here.
 */
export function selectorOf(element: Element): string {
  const steps: string[] = [];
  for (let one: Element | null = element; one; one = one.parentElement) {
    const { ownerDocument: page, id } = one;
    const name = one.getAttribute('name');
    const anchor = isName(id)
      ? `#${CSS.escape(id)}`
      : name
        ? `${one.localName}[name="${CSS.escape(name)}"]`
        : null;
    const whole = anchor === null ? null : [anchor, ...steps].join(' > ');
    if (whole !== null && page.querySelectorAll(whole).length === 1) return whole;
    steps.unshift(stepOf(one));
  }
  return steps.join(' > ');
}
