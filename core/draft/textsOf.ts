import type { Block, Passage } from '#core/passage';
import { withoutComments } from './comments';

/** One of the texts of a draft: a letter and its summing-up, a subject and its message. */
export interface DraftText {
  /** What it is called; null for the text that stands outside all boxes. */
  name: string | null;
  passage: Passage;
}

/**
 * The texts of a draft in the order in which they begin: each box by its name, and what stands outside them as one text, be it
 * parted by boxes. A draft without boxes is one text without a name; one of boxes alone has none without a name. Comments are none.
 */
export function textsOf(passage: Passage): DraftText[] {
  const texts: { name: string | null; blocks: Block[] }[] = [];
  let outside: Block[] | null = null;
  for (const block of withoutComments(passage).content) {
    if (block.type === 'box') texts.push({ name: block.attrs.name, blocks: block.content });
    else if (outside) outside.push(block);
    else texts.push({ name: null, blocks: (outside = [block]) });
  }
  return texts.map(({ name, blocks }) => ({ name, passage: { type: 'doc', content: blocks } }));
}
