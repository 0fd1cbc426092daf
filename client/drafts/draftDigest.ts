import { digestOf } from '#core/difference';
import type { DraftDocument } from '#core/draft';

/** Of each block and each placement: a key changes one of thousands, the others are the same objects as when they were sent last. */
const known = new WeakMap<object, string>();

function knownDigest(part: object, written: unknown): string {
  const digest = known.get(part) ?? digestOf(written);
  known.set(part, digest);
  return digest;
}

const isObject = (value: unknown): value is object => typeof value === 'object' && value !== null;

/** What an attribute holds, each object in it by its digest. */
const inDigests = (attribute: object): [string, unknown][] =>
  Object.entries(attribute)
    .map(([key, part]: [string, unknown]): [string, unknown] => [
      key,
      isObject(part) ? knownDigest(part, part) : part,
    ])
    .sort(([a], [b]) => (a < b ? -1 : 1));

/** A short name of a draft's document (see `digestOf`), in a fraction of the time where most of it was named before. */
function draftDigest({ attrs, content }: DraftDocument): string {
  const about = Object.entries(attrs).map(([key, value]) => [key, value && inDigests(value)] as const);
  const blocks = content.map((block) => knownDigest(block, { type: 'doc', content: [block] }));
  return digestOf({ attrs: Object.fromEntries(about), blocks });
}

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
