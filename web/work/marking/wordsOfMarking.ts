import { plainText, type Block } from '#core/passage';
import type { Markings } from './useMarkings';

/** What a marking says, in one line; "…" for what is still to be answered. */
export const wordsOfMarking = ({ node }: Pick<Markings['markings'][number], 'node'>): string =>
  plainText({ type: 'doc', content: [node.toJSON() as Block] }, '…').trim();
