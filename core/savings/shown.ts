import type { DraftDocument } from '#core/draft';
import { linesOf, type Inline } from '#core/passage';

/** The placement an inline came with; null for what was written by hand. */
function placementOf(inline: Inline): string | null {
  if (inline.type === 'blank') return inline.attrs.placement;
  const mark = inline.marks?.find(({ type }) => type === 'placed');
  return mark?.type === 'placed' ? mark.attrs.placement : null;
}

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
