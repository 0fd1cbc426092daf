import type { BoxName } from '../messages';
import { boxOf } from '../page/boxAt';
import type { Box } from '../page/box';
import { labelOf } from './labelOf';

/** A box of the page by what it is told by. */
export interface NamedBox {
  box: Box;
  label: string;
  name: BoxName;
}

/** How a subject is called in the languages that people write mail in. */
const SUBJECT = ['subject', 'betreff', 'pwnc', 'objet', 'onderwerp', 'asunto', 'oggetto', 'assunto', 'title'];

const folded = (text: string) =>
  text
    .toLocaleLowerCase()
    .replace(/[\s:*]+/g, ' ')
    .trim();

const nameOf = (element: HTMLElement): BoxName => {
  if (element.id !== '' && !/\d{3,}/.test(element.id)) return { by: 'id', value: element.id };
  const name = element.getAttribute('name');
  return name ? { by: 'name', value: name } : { by: 'label', value: labelOf(element) };
};

/** The pages that a box's parts may be on: its own, and those around it of the same origin. */
export function pagesAround(page: Document): Document[] {
  const pages = [page];
  try {
    const { parent } = page.defaultView!;
    if (parent !== page.defaultView) pages.push(...pagesAround(parent.document));
  } catch {
    // Of another origin: what is around it is not seen.
  }
  return pages;
}

const isSeen = (element: HTMLElement): boolean => element.getClientRects().length > 0;

/** All boxes of the page but one, in its order, each by what it is told by. */
export function boxesBeside(message: Box): NamedBox[] {
  return pagesAround(message.element.ownerDocument).flatMap((page) =>
    [...page.querySelectorAll<HTMLElement>('input, textarea, [contenteditable]')].flatMap((element) => {
      const box = isSeen(element) ? boxOf(element) : null;
      if (!box || box.element === message.element || box.element !== element) return [];
      return [{ box, label: labelOf(element), name: nameOf(element) }];
    }),
  );
}

const isSame = (a: BoxName, b: BoxName): boolean => JSON.stringify(a) === JSON.stringify(b);

/**
 * The box that a part of a wording goes to: the one remembered for the page; else one that is called so, or, for a subject, as it is called in
 * another language; else the last box of one line before the message. Null for none.
 */
export function boxFor(
  part: string,
  boxes: readonly NamedBox[],
  message: Box,
  remembered: BoxName | undefined,
): NamedBox | null {
  if (remembered === 'nowhere') return null;
  const known = remembered && boxes.find(({ name }) => isSame(name, remembered));
  if (known) return known;
  const wanted = folded(part);
  const names = SUBJECT.includes(wanted) ? SUBJECT : [wanted];
  const called = (fits: (label: string) => boolean) => boxes.find(({ label }) => fits(folded(label)));
  const found =
    called((label) => names.includes(label)) ?? called((label) => names.some((name) => label.includes(name)));
  if (found) return found;
  const before = boxes.filter(
    ({ box }) =>
      box.isOneLine &&
      (message.element.compareDocumentPosition(box.element) & Node.DOCUMENT_POSITION_PRECEDING) !== 0,
  );
  return before.at(-1) ?? null;
}
