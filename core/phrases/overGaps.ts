import { phraseWord } from './phraseWord';
import type { RepeatedPhrase } from './repeatedPhrases';
import type { Text } from './wordStream';

type Place = RepeatedPhrase['places'][number];

const WORD = /[\p{L}\p{N}]+/gu;
/** A sentence's length is looked at beside a phrase, no more. */
const BESIDE = 160;
/** Fewer words beyond a gap than this may be the same by chance. */
const LEAST_BEYOND = 2;

interface Word {
  plain: string;
  from: number;
  to: number;
}

/** The words of a stretch of a text; without those that it cuts through. */
function wordsIn(text: string, from: number, to: number): Word[] {
  const words = [...text.slice(from, to).matchAll(WORD)].map((match) => ({
    plain: phraseWord(match[0]),
    from: from + match.index,
    to: from + match.index + match[0].length,
  }));
  return words.filter((word) => (word.from > from || from === 0) && (word.to < to || to >= text.length));
}

/** The words beside each place, the nearest first, as far as they are the same everywhere but for the first; null where too few are. */
function beyond(sides: readonly (readonly Word[])[]): Word[] | null {
  const shortest = Math.min(...sides.map(({ length }) => length));
  let same = 1;
  while (same < shortest && sides.every((side) => side[same]!.plain === sides[0]![same]!.plain)) same += 1;
  if (same - 1 < LEAST_BEYOND) return null;
  return sides.map((side) => side[same - 1]!);
}

/**
 * The places of a phrase, made longer on either side where everywhere one word differs and those beyond it are the same again:
 * "on the left wing was" and "on the right wing was", each written once, are one phrase with a word open.
 */
export function overGaps<Owner>(texts: readonly Text<Owner>[], places: readonly Place[]): Place[] {
  const textOf = (place: Place) => texts[place.text]!.text;
  const before = beyond(
    places.map((place) => wordsIn(textOf(place), Math.max(0, place.from - BESIDE), place.from).reverse()),
  );
  const after = beyond(places.map((place) => wordsIn(textOf(place), place.to, place.to + BESIDE)));
  return places.map((place, at) => ({
    ...place,
    from: before?.[at]!.from ?? place.from,
    to: after?.[at]!.to ?? place.to,
  }));
}
