import { placementOf, type DraftDocument } from '#core/draft';
import { linesOf } from '#core/passage';

/**
 * How many characters a reader sees of each placement of a draft: its words as they stand, and the answers in its
 * blanks. What was written by hand between them is not counted.
 */
export function shownByPlacement(draft: DraftDocument): Map<string, number> {
  const shown = new Map<string, number>();
  for (const inline of linesOf(draft).flat()) {
    const placement = placementOf(inline);
    if (placement === null) continue;
    const text =
      inline.type === 'text'
        ? inline.text
        : inline.type === 'blank' && inline.attrs.state !== 'gap'
          ? inline.attrs.text
          : '';
    shown.set(placement, (shown.get(placement) ?? 0) + Array.from(text).length);
  }
  return shown;
}
