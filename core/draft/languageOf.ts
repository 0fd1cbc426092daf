import { linesOf, wordsOfInline } from '#core/passage';
import type { DraftDocument } from './draft';

/** The language most of a draft's placed words are in, as a BCP 47 tag; null where nothing placed stands. Of two as long the first. */
export function languageOf(document: DraftDocument): string | null {
  const { placements } = document.attrs;
  const lengths = new Map<string, number>();
  for (const inline of linesOf(document).flat()) {
    const mark = inline.marks?.find(({ type }) => type === 'placed');
    const marked = mark?.type === 'placed' ? mark.attrs.placement : null;
    const id = inline.type === 'blank' ? inline.attrs.placement : marked;
    const language = id === null ? undefined : placements[id]?.language;
    if (language !== undefined)
      lengths.set(language, (lengths.get(language) ?? 0) + wordsOfInline(inline).length);
  }
  let longest: string | null = null;
  for (const [language, length] of lengths)
    if (length > 0 && (longest === null || length > lengths.get(longest)!)) longest = language;
  return longest;
}
