import { digestOf } from '#core/difference';
import type { DraftDocument } from '#core/draft';

type Block = DraftDocument['content'][number];

/** Of each block: a key changes one of thousands, the others are the same objects as when they were sent last. */
const known = new WeakMap<Block, string>();

function blockDigest(block: Block): string {
  const digest = known.get(block) ?? digestOf({ type: 'doc', content: [block] });
  known.set(block, digest);
  return digest;
}

/** A short name of a draft's document (see `digestOf`), in a fraction of the time where most of it was named before. */
const draftDigest = ({ content, ...rest }: DraftDocument): string =>
  digestOf({ ...rest, type: 'draft', content: content.map(blockDigest) });

/** So many texts that were sent without an answer are remembered. */
const SENT_KEPT = 100;

/** What was sent since a version without an answer, by digests, and a text that is sent now. */
export function alsoSent(sent: readonly string[], document: DraftDocument): string[] {
  const digest = draftDigest(document);
  return [...sent.filter((one) => one !== digest), digest].slice(-SENT_KEPT);
}

/** Whether what the server has is one of the texts that were sent to it without an answer, by their digests: then it arrived. */
export const hasArrived = (sent: readonly string[], current: DraftDocument): boolean =>
  sent.length > 0 && sent.includes(draftDigest(current));
