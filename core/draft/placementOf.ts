import type { Inline } from '#core/passage';

/** The placement an inline came with; null for what was written by hand. */
export function placementOf(inline: Inline): string | null {
  if (inline.type === 'blank') return inline.attrs.placement;
  const mark = inline.marks?.find(({ type }) => type === 'placed');
  return mark?.type === 'placed' ? mark.attrs.placement : null;
}
