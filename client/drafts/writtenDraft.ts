import type { DraftDocument } from '#core/draft';

type Block = DraftDocument['content'][number];

/** Of each block: a key changes one of thousands, the others are the same objects as when they were written last. */
const known = new WeakMap<Block, string>();

function writtenBlock(block: Block): string {
  const written = known.get(block) ?? JSON.stringify(block);
  known.set(block, written);
  return written;
}

/** A draft's document as JSON: the same as `JSON.stringify` gives, in a fraction of the time where most of it was written before. */
export function writtenDraft({ content, ...rest }: DraftDocument): string {
  const head = JSON.stringify(rest).replace(/\}$/, '');
  return `${head},"content":[${content.map(writtenBlock).join(',')}]}`;
}
