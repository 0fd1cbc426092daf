import type { Block, MarkingOn, Passage } from '#core/passage';

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
