import { mapLines, plainText, wordsOfInline, type Block, type Inline, type Passage } from '#core/passage';
import { isFullCast, withSpeaker, type Speaker } from './cast';
import { TooManySpeakers } from './fromLines';

/** Blocks that go together: what is said from one time on, up to the next; the first may be without a time. */
interface Stretch {
  /** In milliseconds; null for what stands before any time. */
  at: number | null;
  /** The place of its first block. */
  first: number;
  blocks: Block[];
}

/** The stretches of a transcript in the order they stand in. */
function stretchesOf(blocks: readonly Block[]): Stretch[] {
  const stretches: Stretch[] = [];
  blocks.forEach((block, place) => {
    const at = block.type === 'turn' ? block.attrs.at : null;
    if (at !== null || stretches.length === 0) stretches.push({ at, first: place, blocks: [block] });
    else stretches.at(-1)!.blocks.push(block);
  });
  return stretches;
}

/** An inline as it may stand in another's draft: an answer is its words, and what says where words came from goes. */
function asWords(inline: Inline): Inline[] {
  const marks = (inline.marks ?? []).filter(
    ({ type }) => !['placed', 'when', 'confirm', 'confirmed'].includes(type),
  );
  const marked = marks.length > 0 ? { marks } : {};
  if (inline.type === 'hardBreak' || inline.type === 'timeCode') {
    const { marks: _, ...bare } = inline;
    return [{ ...bare, ...marked }];
  }
  const text = wordsOfInline(inline);
  return text === '' ? [] : [{ type: 'text', text, ...marked }];
}

/** Somebody else's text as one's own draft may hold it. */
export const asOwnWords = <P extends Passage>(passage: P): P => ({
  ...passage,
  content: mapLines(passage, (line) => line.flatMap(asWords)).content,
});

const sameName = (a: string, b: string) => a.toLowerCase() === b.toLowerCase();

/**
 * The cast with everybody of another one in it, by name; and whom each of those ids is here.
 *
 * @throws TooManySpeakers where there is no room for all.
 */
export function castTogether(mine: readonly Speaker[], theirs: readonly Speaker[], newId: () => string) {
  let cast = [...mine];
  const here = new Map<string, string>();
  for (const { id, name, role } of theirs) {
    let found = cast.find((one) => sameName(one.name, name));
    if (!found) {
      if (isFullCast(cast)) throw new TooManySpeakers();
      cast = withSpeaker(cast, newId(), name, role);
      found = cast.at(-1)!;
    }
    here.set(id, found.id);
  }
  return { cast, here };
}

/** Blocks to be put before one of a text, by its place; before what is behind its last for its length. */
export interface Insertion {
  before: number;
  blocks: Block[];
}

/** By which the same stretch is known again: its time, who speaks and what they say; an editor may have parted its runs otherwise. */
const printOf = ({ at, blocks }: Stretch): string =>
  JSON.stringify([
    at,
    blocks.map((block) => (block.type === 'turn' ? block.attrs.speaker : '')),
    plainText({ type: 'doc', content: blocks }),
  ]);

/**
 * What of another's transcript is not in one's own yet, and where by its times it belongs. One's own words stay as they are and in
 * their order; of the same time theirs come behind one's own.
 */
export function insertionsOf(mine: readonly Block[], theirs: readonly Block[]): Insertion[] {
  const own = stretchesOf(mine);
  const known = new Set(own.map(printOf));
  const isBare = ({ blocks }: Stretch) =>
    blocks.every((block) => block.type === 'paragraph' && !block.content);
  const insertions: Insertion[] = [];
  for (const stretch of stretchesOf(theirs)) {
    if (known.has(printOf(stretch)) || isBare(stretch)) continue;
    const { at, blocks } = stretch;
    // Behind the last of one's own that is no later; what has no time comes first.
    const last = own.findLastIndex((one) => one.at === null || (at !== null && one.at <= at));
    const before = own[last + 1]?.first ?? mine.length;
    const there = insertions.find((one) => one.before === before);
    if (there) there.blocks.push(...blocks);
    else insertions.push({ before, blocks: [...blocks] });
  }
  return insertions.sort((a, b) => a.before - b.before);
}
