import { diffArrays } from 'diff';

/** A stretch of text: in both, or only in what came after or before. */
export interface Piece {
  kind: 'same' | 'added' | 'dropped';
  text: string;
}

/** More steps than this apart, two texts are told as one in place of the other: finding what they share takes too long. */
const MOST_STEPS = 1500;

/** A text in the steps a reader sees it change by: words, figures, blanks in braces, spaces, single signs. */
const stepsOf = (text: string): string[] =>
  text.match(/\{[^{}\n]*\}|[\p{L}\p{M}]+(?:['’-][\p{L}\p{M}]+)*|\p{N}+(?:[.,]\p{N}+)*|\n|[^\S\n]+|./gsu) ??
  [];

/** Pieces with neighbours of a kind made one, and without empty ones. */
function joined(pieces: readonly Piece[]): Piece[] {
  const all: Piece[] = [];
  for (const { kind, text } of pieces) {
    const last = all.at(-1);
    if (text === '') continue;
    if (last?.kind === kind) last.text += text;
    else all.push({ kind, text });
  }
  return all;
}

/**
 * A space alone between two changes goes with them: four words that give way to four others read better as one change than
 * as four. What is dropped stands before what is added.
 */
function smoothed(pieces: readonly Piece[]): Piece[] {
  const all: Piece[] = [];
  let dropped = '';
  let added = '';
  const settle = () => {
    all.push({ kind: 'dropped', text: dropped }, { kind: 'added', text: added });
    dropped = added = '';
  };
  pieces.forEach(({ kind, text }, at) => {
    if (kind === 'dropped') dropped += text;
    else if (kind === 'added') added += text;
    else if (/^[^\S\n]+$/.test(text) && dropped !== '' && added !== '' && at < pieces.length - 1) {
      dropped += text;
      added += text;
    } else {
      settle();
      all.push({ kind, text });
    }
  });
  settle();
  return joined(all);
}

/**
 * What must be dropped from one text and added to it so that it reads as the other, in whole words, in reading order. All
 * but what is added makes the text before, all but what is dropped the text after. Works on any two texts; by the
 * algorithm of Myers ("An O(ND) difference algorithm and its variations", 1986) as the package `diff` has it.
 */
export function wordDifference(before: string, after: string): Piece[] {
  const changes = diffArrays(stepsOf(before), stepsOf(after), { maxEditLength: MOST_STEPS });
  if (!changes)
    return joined([
      { kind: 'dropped', text: before },
      { kind: 'added', text: after },
    ]);
  return smoothed(
    changes.map(({ added, removed, value }) => ({
      kind: added ? 'added' : removed ? 'dropped' : 'same',
      text: value.join(''),
    })),
  );
}
