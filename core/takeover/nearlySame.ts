import type { EntryContent } from '#core/entry';
import { comparedWords, likeGroups } from '#core/likeness';

/** An entry whose texts are compared: arriving, or one that is here. */
interface Compared {
  id: string;
  content: EntryContent;
}

/** What an arriving entry says nearly the same as. */
export interface NearlySame {
  title: string;
  /** Whether that one is in the bank; else it arrives too. */
  isHere: boolean;
}

/** How alike texts must be (Jaccard, of their words): so that a person would ask whether both are needed. */
const ALIKE = 0.75;

/**
 * Arriving entries that say nearly the same as others, of the bank or of those that arrive too, each with one of them. Between entries of
 * one title nothing is told: they are compared word for word elsewhere. A generator, for who runs it in turns.
 */
export function* nearlySame(
  arriving: readonly Compared[],
  here: readonly Compared[],
): Generator<number, Map<string, NearlySame>> {
  const owners = [
    ...arriving.map((one) => ({ ...one, isHere: false })),
    ...here.map((one) => ({ ...one, isHere: true })),
  ];
  const texts = owners.flatMap((owner) =>
    owner.content.wordings.map(({ parts }) => ({
      owner,
      words: comparedWords(parts.map(({ passage }) => passage)),
    })),
  );
  const groups = yield* likeGroups(texts, ALIKE);
  const found = new Map<string, NearlySame>();
  const titleOf = ({ content }: Compared) => content.title.trim().toLowerCase();
  for (const group of groups)
    for (const one of group) {
      if (one.isHere) continue;
      const others = group.filter((other) => other !== one && titleOf(other) !== titleOf(one));
      const other = others.find(({ isHere }) => isHere) ?? others[0];
      if (other) found.set(one.id, { title: other.content.title, isHere: other.isHere });
    }
  return found;
}
