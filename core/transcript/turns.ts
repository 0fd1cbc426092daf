import { countWords, textOfInlines, type Block, type Inline, type Passage } from '#core/passage';

/** One turn of a transcript: what somebody says until somebody else does, or until it begins anew with another time. */
export interface Turn {
  speaker: string;
  /** When it begins, in milliseconds; null where that is not known. */
  at: number | null;
  /** Its paragraphs. */
  lines: readonly (readonly Inline[])[];
}

/** The lines within a block, of whatever depth. */
function linesWithin(block: Block): (readonly Inline[])[] {
  if (block.type === 'paragraph' || block.type === 'heading' || block.type === 'turn')
    return [block.content ?? []];
  return 'content' in block ? block.content.flatMap(linesWithin) : [];
}

/** The turns of a passage in their order. What stands before the first, and headings on, belong to none. */
export function turnsOf({ content }: Passage): Turn[] {
  const turns: { speaker: string; at: number | null; lines: (readonly Inline[])[] }[] = [];
  let isWithin = false;
  for (const block of content) {
    if (block.type === 'turn') {
      turns.push({ ...block.attrs, lines: [block.content ?? []] });
      isWithin = true;
    } else if (block.type === 'heading' || block.type === 'box' || block.type === 'horizontalRule')
      isWithin = false;
    else if (isWithin) turns.at(-1)!.lines.push(...linesWithin(block));
  }
  return turns;
}

/** The words of a turn, its paragraphs parted by a line end. */
export const wordsOfTurn = ({ lines }: Pick<Turn, 'lines'>): string =>
  lines.map((line) => textOfInlines(line)).join('\n');

/** What one of the cast says in all. */
export interface Share {
  speaker: string;
  /** Turns in a row of one speaker count as one. */
  turns: number;
  words: number;
  /** How long they speak, in milliseconds: of the turns whose beginning and end are known. */
  spoken: number;
}

/**
 * How much each speaks, in the order in which they first do. A turn lasts until the next known time, at the latest until the
 * recording ends; turns between two known times share what is between them by their words.
 *
 * @param length - How long the recording is, in milliseconds; null where that is not known.
 */
export function sharesOf(turns: readonly Turn[], length: number | null): Share[] {
  const shares = new Map<string, Share>();
  const words = turns.map((turn) => countWords(wordsOfTurn(turn)));
  turns.forEach(({ speaker }, at) => {
    const share = shares.get(speaker) ?? { speaker, turns: 0, words: 0, spoken: 0 };
    share.turns += turns[at - 1]?.speaker === speaker ? 0 : 1;
    share.words += words[at]!;
    shares.set(speaker, share);
  });
  for (let from = 0; from < turns.length;) {
    let to = from + 1;
    while (to < turns.length && turns[to]!.at === null) to += 1;
    const end = turns[to]?.at ?? (to === turns.length ? length : null);
    const start = turns[from]!.at;
    if (start !== null && end !== null && end > start) {
      const all = words.slice(from, to).reduce((sum, count) => sum + count, 0);
      for (let at = from; at < to; at += 1)
        shares.get(turns[at]!.speaker)!.spoken +=
          (end - start) * (all > 0 ? words[at]! / all : 1 / (to - from));
    }
    from = to;
  }
  return [...shares.values()];
}

/** A time that cannot be right: before one that stands before it, or past the end. */
export interface TimeFault {
  /** Which of the times given, from 0. */
  index: number;
  at: number;
  kind: 'backwards' | 'past-end';
}

/** The times, in the order of the text, that cannot be right. */
export function timeFaults(times: readonly (number | null)[], length: number | null): TimeFault[] {
  const faults: TimeFault[] = [];
  let latest = 0;
  times.forEach((at, index) => {
    if (at === null) return;
    if (length !== null && at > length) faults.push({ index, at, kind: 'past-end' });
    else if (at < latest) faults.push({ index, at, kind: 'backwards' });
    else latest = at;
  });
  return faults;
}
