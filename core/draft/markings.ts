import { isEmptyPassage, type Block, type MarkingOn, type Passage } from '#core/passage';

/** A marking of a draft: where it stands, and its words. */
export interface DraftMarking extends MarkingOn {
  passage: Passage;
}

/** What a block is as a marking; null for any other. */
export const markingIn = (block: Block): MarkingOn | null =>
  block.type === 'box' ? (block.attrs.marking ?? null) : null;

/** The markings of a draft, in their order: page by page, those of one page as they were put there. */
export const markingsOf = ({ content }: Passage): DraftMarking[] =>
  content.flatMap((block) => {
    const marking = markingIn(block);
    if (!marking || block.type !== 'box') return [];
    return [{ ...marking, passage: { type: 'doc' as const, content: block.content } }];
  });

const pageHead = (page: number): Block => ({
  type: 'heading',
  attrs: { level: 2 },
  content: [{ type: 'text', text: `Page ${page + 1}` }],
});

const hasWords = (...content: Block[]): boolean => !isEmptyPassage({ type: 'doc', content });

/**
 * The markings of a draft as a text to be read: what each says one after another, under the number of its page where they are on several; what
 * stands in no marking stays where it is. Lines without words between them are left out.
 */
export function markingsAsText(passage: Passage): Passage {
  const written = markingsOf(passage).filter((one) => hasWords(...one.passage.content));
  const pages = new Set(written.map(({ page }) => page)).size;
  let before = -1;
  const content = passage.content.flatMap((block): Block[] => {
    const marking = markingIn(block);
    if (!marking || block.type !== 'box') return hasWords(block) ? [block] : [];
    const words = block.content.filter((one) => hasWords(one));
    const head = pages > 1 && words.length > 0 && marking.page !== before ? [pageHead(marking.page)] : [];
    if (words.length > 0) before = marking.page;
    return [...head, ...words];
  });
  return { type: 'doc', content: content.length > 0 ? content : [{ type: 'paragraph' }] };
}
