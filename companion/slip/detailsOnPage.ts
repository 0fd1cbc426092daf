import type { PageCard } from '#contracts';
import { readDetail, recordByHand, type CaseRecord, type Value, type Written } from '#core/record';

const MOST_LETTERS = 200;

/** What an element says, in one line: what is typed in a box, else its words, without a label before them ("Name: "). */
export function wordsAt(element: Element): string {
  const own =
    element instanceof HTMLInputElement || element instanceof HTMLSelectElement ? element.value : null;
  const words = (own ?? element.textContent ?? '').replace(/\s+/g, ' ').trim();
  return words.replace(/^[^:]{1,40}:\s+(?=\S)/, '').slice(0, MOST_LETTERS);
}

/** The first element that a selector finds on some pages; null for none, and for a selector that is none. */
function firstAt(selector: string, pages: readonly Document[]): Element | null {
  for (const page of pages) {
    try {
      const found = page.querySelector(selector);
      if (found) return found;
    } catch {
      return null;
    }
  }
  return null;
}

/**
 * The details of a case that stand on a page, as its card says where: a record that knows nothing else. Null where none of them is
 * there, or none can be read.
 */
export function recordOnPage(
  card: PageCard,
  pages: readonly Document[],
  written: Written,
): CaseRecord | null {
  const details = card.places.flatMap(({ path, at }) => {
    const element = firstAt(at, pages);
    const value: Value | null = element && readDetail(path, wordsAt(element), written);
    return value ? [{ path, value }] : [];
  });
  return details.length > 0 ? recordByHand(details, card.host, written.today) : null;
}
