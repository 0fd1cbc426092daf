import {
  mapLines,
  linesOf,
  type NumberForm,
  type NumberInline,
  type Passage,
  type ReferenceInline,
} from '#core/passage';
import { numberInForm } from './numberInForm';

/** A number of a list, or a reference to one, in the order of the text. */
export type Counted =
  | { type: 'number'; list: string; form: NumberForm; id: string }
  | { type: 'reference'; to: string };

/** What a reference reads when the number it points to is gone. */
export const LOST = '?';

/**
 * What every number and reference of a document reads: each list counts by itself from 1 in the order of the text,
 * and a reference reads as its number does. The texts come in the order of `items`.
 */
export function numbersOf(items: readonly Counted[]): string[] {
  const counts = new Map<string, number>();
  const written = new Map<string, string>();
  const texts = items.map((item) => {
    if (item.type === 'reference') return '';
    const count = (counts.get(item.list) ?? 0) + 1;
    counts.set(item.list, count);
    const text = numberInForm(count, item.form);
    // Of two numbers that share an id, as after copying, the first is meant.
    if (!written.has(item.id)) written.set(item.id, text);
    return text;
  });
  return items.map((item, at) => (item.type === 'reference' ? (written.get(item.to) ?? LOST) : texts[at]!));
}

/** A number or reference of a passage as what is counted. */
export const countedOf = (inline: NumberInline | ReferenceInline): Counted =>
  inline.type === 'number'
    ? { type: 'number', list: inline.attrs.list, form: inline.attrs.form, id: inline.attrs.id }
    : { type: 'reference', to: inline.attrs.to };

/** A passage with its numbers and references written; the same passage when they are already right. */
export function numbered(passage: Passage): Passage {
  const found = linesOf(passage)
    .flat()
    .flatMap((inline) => (inline.type === 'number' || inline.type === 'reference' ? [inline] : []));
  if (found.length === 0) return passage;
  const texts = numbersOf(found.map(countedOf));
  let at = 0;
  return mapLines(passage, (line) => {
    let changed = false;
    const written = line.map((inline) => {
      if (inline.type !== 'number' && inline.type !== 'reference') return inline;
      const text = texts[at]!;
      at += 1;
      if (inline.attrs.text === text) return inline;
      changed = true;
      return inline.type === 'number'
        ? { ...inline, attrs: { ...inline.attrs, text } }
        : { ...inline, attrs: { ...inline.attrs, text } };
    });
    return changed ? written : line;
  });
}
