import { wordsOfInline, type Inline } from '#core/passage';
import type { Turn } from './turns';

/** A word with when it is heard, in milliseconds: known, or in its place between what is known. */
export interface HeardWord {
  text: string;
  from: number;
  to: number;
}

/** Where nothing says how long words take: so many milliseconds for a character, as people speak on average. */
const PER_CHARACTER = 65;

interface Anchor {
  /** How many characters of the turn stand before. */
  offset: number;
  at: number;
}

const timeOf = (inline: Inline): number | null => {
  if (inline.type === 'timeCode') return inline.attrs.at;
  const heard = inline.marks?.find((mark) => mark.type === 'heard');
  return heard?.type === 'heard' ? heard.attrs.at : null;
};

/** The text of a turn, its paragraphs parted by a space, and the times known in it; a time before one that stands earlier is none. */
function textAndAnchors(turn: Turn): { text: string; anchors: Anchor[] } {
  let text = '';
  const anchors: Anchor[] = [];
  const know = (at: number | null) => {
    if (at !== null && at >= (anchors.at(-1)?.at ?? 0) && anchors.at(-1)?.offset !== text.length)
      anchors.push({ offset: text.length, at });
  };
  know(turn.at);
  turn.lines.forEach((line, index) => {
    if (index > 0) text += ' ';
    for (const inline of line) {
      if (timeOf(inline) !== (anchors.at(-1)?.at ?? null)) know(timeOf(inline));
      // A time among words is for those who read, with the space before it; whoever hears them has the sound.
      if (inline.type === 'timeCode') text = text.replace(/ $/, '');
      else text += wordsOfInline(inline);
    }
  });
  return { text, anchors };
}

/**
 * The words of a turn with their times: where a time is known it holds, words between two times share what is between them by their
 * letters.
 *
 * @param start - When the turn begins at the earliest, for one without a time.
 * @param end - When it ends at the latest; null where that is not known.
 */
export function heardWords(turn: Turn, start: number, end: number | null): HeardWord[] {
  const { text, anchors } = textAndAnchors(turn);
  const first = anchors[0]?.offset === 0 ? [] : [{ offset: 0, at: Math.min(start, anchors[0]?.at ?? start) }];
  const known = [...first, ...anchors];
  const last = known.at(-1)!;
  const longest = last.at + (text.length - last.offset) * PER_CHARACTER;
  known.push({ offset: text.length, at: Math.max(last.at, Math.min(longest, end ?? longest)) });
  let index = 0;
  const timeAt = (offset: number): number => {
    while (index < known.length - 2 && known[index + 1]!.offset <= offset) index += 1;
    const [a, b] = [known[index]!, known[index + 1]!];
    const share = b.offset === a.offset ? 0 : (offset - a.offset) / (b.offset - a.offset);
    return a.at + (b.at - a.at) * Math.min(1, Math.max(0, share));
  };
  return [...text.matchAll(/\S+/g)].map((word) => ({
    text: word[0],
    from: Math.round(timeAt(word.index)),
    to: Math.round(timeAt(word.index + word[0].length)),
  }));
}
