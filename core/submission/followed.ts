import { MOST_COMMENTED, type CommentOn, type TextPoint, type TextRange } from '#core/passage';
import { wordsOn } from './paragraphs';
import { wordsOfBlock, type Submission } from './submission';

/** A submission as one text, its blocks parted by a line end, with where each begins in it. */
interface OneText {
  text: string;
  starts: readonly number[];
}

const known = new WeakMap<Submission, OneText>();

function oneText(submission: Submission): OneText {
  const found = known.get(submission);
  if (found) return found;
  const starts: number[] = [];
  let text = '';
  for (const block of submission.blocks) {
    starts.push(text.length);
    text += `${wordsOfBlock(block)}\n`;
  }
  const made = { text, starts };
  known.set(submission, made);
  return made;
}

/** The place that an offset in the one text is: by halving. */
function pointOf({ starts }: OneText, offset: number): TextPoint {
  let [low, high] = [0, starts.length - 1];
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if (starts[middle]! <= offset) low = middle;
    else high = middle - 1;
  }
  return { block: low, at: offset - (starts[low] ?? 0) };
}

const offsetOf = ({ starts, text }: OneText, { block, at }: TextPoint): number =>
  block < starts.length ? starts[block]! + at : text.length;

/** How many characters two texts have alike at their ends. */
function alikeAtEnd(a: string, b: string): number {
  let count = 0;
  while (count < a.length && count < b.length && a[a.length - 1 - count] === b[b.length - 1 - count])
    count += 1;
  return count;
}

/** So many places that have the same words are compared. */
const MOST_PLACES = 2000;

/** Where words stand in a text. */
function placesOf(text: string, words: string): number[] {
  const found: number[] = [];
  for (let at = text.indexOf(words); at >= 0 && found.length < MOST_PLACES; at = text.indexOf(words, at + 1))
    found.push(at);
  return found;
}

/** So many characters before a comment's words are kept, to tell places of the same words apart. */
export const MOST_BEFORE = 40;

/** What stands before a place, as far as a comment keeps it. */
export function wordsBefore(submission: Submission, from: TextPoint): string {
  const all = oneText(submission);
  const offset = offsetOf(all, from);
  return all.text.slice(Math.max(0, offset - MOST_BEFORE), offset);
}

/** The end of a stretch that begins elsewhere now; of one of which only the first words are kept, as far on as it went. */
function endFrom(all: OneText, start: number, { on, words }: Pick<CommentOn, 'on' | 'words'>): TextPoint {
  const { from, to } = on;
  if (words.length < MOST_COMMENTED) return pointOf(all, start + words.length);
  const begin = pointOf(all, start);
  if (from.block === to.block) return pointOf(all, Math.min(start + to.at - from.at, all.text.length));
  const block = Math.min(begin.block + to.block - from.block, all.starts.length - 1);
  const length = (all.starts[block + 1] ?? all.text.length) - all.starts[block]! - 1;
  return { block, at: Math.min(to.at, length) };
}

/**
 * Where the words that a comment is on are in a submission that may have been handed in anew: the stretch itself where all is as it was;
 * else the place of the same words before which most is as it was, of several the nearest. Null where they are gone: the words, and not
 * the place, are what a comment speaks of.
 */
export function followedRange(
  submission: Submission,
  comment: Pick<CommentOn, 'on' | 'words' | 'before'>,
): TextRange | null {
  const { on, words, before } = comment;
  if (wordsOn(submission, on) === words && wordsBefore(submission, on.from) === before) return on;
  if (words === '') return null;
  const all = oneText(submission);
  const was = offsetOf(all, on.from);
  const best = placesOf(all.text, words)
    .map((at) => ({ at, alike: alikeAtEnd(all.text.slice(Math.max(0, at - MOST_BEFORE), at), before) }))
    .sort((a, b) => b.alike - a.alike || Math.abs(a.at - was) - Math.abs(b.at - was))[0];
  return best ? { from: pointOf(all, best.at), to: endFrom(all, best.at, comment) } : null;
}
