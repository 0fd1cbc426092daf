import type { Passage } from '#core/passage';

/** A stretch of a recording, in milliseconds; null for its beginning, and for its end. */
export interface Stretch {
  from: number | null;
  to: number | null;
}

/**
 * What of a passage is said in a stretch: its turns that begin there, with all that stands behind them up to the next. One without a time
 * goes with the one before it; what stands before the first turn goes with the beginning. An empty paragraph where there is nothing.
 */
export function partOf<P extends Passage>(passage: P, { from, to }: Stretch): P {
  if (from === null && to === null) return passage;
  let at: number | null = null;
  const content = passage.content.filter((block) => {
    if (block.type === 'turn') at = block.attrs.at ?? at ?? 0;
    if (at === null) return from === null || from === 0;
    return at >= (from ?? 0) && at < (to ?? Infinity);
  });
  return { ...passage, content: content.length > 0 ? content : [{ type: 'paragraph' }] };
}
