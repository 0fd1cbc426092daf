import { plainWord, searchWords } from '#core/finder';
import { cutTo } from '#core/language';
import { overGaps } from './overGaps';
import { isNumber, phraseWord } from './phraseWord';
import type { RepeatedPhrase } from './repeatedPhrases';
import type { Text } from './wordStream';

/** A piece of a phrase: words that are always so, or what stood there in one place and another. */
export type PhrasePiece = { text: string } | { differs: string[] };

/** A phrase to put into the bank. */
export interface PhraseToBank {
  /** As it was first written; what differs elsewhere in pieces of their own. */
  pieces: PhrasePiece[];
  /** In how many texts' owners it stands, in this or a near wording. */
  times: number;
  /** Keys that its cue would have saved, all times together. */
  saves: number;
  /** What it is known by: its plain words. */
  key: string;
}

/** So many keys a cue is taken to have: a lead-in and three letters. */
const CUE_KEYS = 4;
const SLOT = '*';
const KEY_LENGTH = 400;
/** A phrase of more words is looked at as it is: it is too rare that another differs from it in one word alone. */
const LONGEST_VARIED = 40;
/** A phrase says something when it has so many different words. */
const LEAST_DIFFERENT = 3;
/** So many places tell what differs in a phrase. */
const MOST_PLACES = 400;

type Place = RepeatedPhrase['places'][number];

const plainOf = (text: string) => searchWords(text).map(phraseWord);

interface Candidate<Owner> {
  phrase: RepeatedPhrase;
  words: string[];
  owners: Set<Owner>;
}

/** The place at which most of the others differ from a phrase, and in nothing else; and those others. */
function variantsOf<Owner>(
  one: Candidate<Owner>,
  byPattern: ReadonlyMap<string, Candidate<Owner>[]>,
): { at: number; others: Candidate<Owner>[] } {
  let best = { at: -1, others: [] as Candidate<Owner>[] };
  patternsOf(one.words).forEach((pattern, at) => {
    const others = (byPattern.get(pattern) ?? []).filter((other) => other !== one);
    if (others.length > best.others.length) best = { at, others };
  });
  return best;
}

const patternAt = (words: readonly string[], at: number) =>
  [...words.slice(0, at), SLOT, ...words.slice(at + 1)].join(' ');

/** A phrase with each of its words left open in turn; of a phrase too long to be a variant of another, none. */
const patternsOf = (words: readonly string[]): string[] =>
  words.length > LONGEST_VARIED ? [] : words.map((_, at) => patternAt(words, at));

/** The phrase as something to bank; null for a run of one and the same words, such as a row of noughts or dashes, which nobody banks. */
function candidateOf<Owner>(texts: readonly Text<Owner>[], phrase: RepeatedPhrase): Candidate<Owner> | null {
  const overlapsItself = phrase.places.some((place, at) => {
    const next = phrase.places[at + 1];
    return next?.text === place.text && next.from < place.to;
  });
  if (overlapsItself) return null;
  const places = phrase.places.slice(0, MOST_PLACES);
  const { text, from, to } = places[0]!;
  const words = plainOf(texts[text]!.text.slice(from, to));
  if (new Set(words).size < LEAST_DIFFERENT) return null;
  return {
    phrase: { ...phrase, places },
    words,
    owners: new Set(phrase.places.map((place) => texts[place.text]!.owner)),
  };
}

/** What a phrase is known by, short enough for an index of a store: of a long one its beginning and its length. */
const keyOf = (words: string) =>
  words.length > KEY_LENGTH ? `${cutTo(words, KEY_LENGTH)} +${words.length - KEY_LENGTH}` : words;

/** A phrase as it is written in its first place, cut where places differ: in a number, or another word. */
function piecesOf<Owner>(texts: readonly Text<Owner>[], places: readonly Place[]): PhrasePiece[] {
  const written = places.map(({ text, from, to }) => texts[text]!.text.slice(from, to));
  const each = written.map(searchWords);
  const first = written[0]!;
  const pieces: PhrasePiece[] = [];
  let end = 0;
  let at = 0;
  each[0]!.forEach((word, index) => {
    const start = first.indexOf(word, at);
    at = start + word.length;
    const there = each.map((words) => words[index]!);
    const kinds = isNumber(word) ? there : there.map(plainWord);
    if (new Set(kinds).size === 1) return;
    if (start > end) pieces.push({ text: first.slice(end, start) });
    pieces.push({ differs: there.filter((one, place) => kinds.indexOf(kinds[place]!) === place) });
    end = at;
  });
  if (end < first.length) pieces.push({ text: first.slice(end) });
  return pieces;
}

/** A phrase with its variants as one phrase to bank, and all places of it. */
function groupOf<Owner>(
  texts: readonly Text<Owner>[],
  one: Candidate<Owner>,
  { at, others }: { at: number; others: Candidate<Owner>[] },
): PhraseToBank & { places: Place[] } {
  const all = [one, ...others];
  const places = all
    .flatMap(({ phrase }) => phrase.places)
    .sort((a, b) => a.text - b.text || a.from - b.from);
  const whole = overGaps(texts, places);
  const owners = new Set(all.flatMap((each) => [...each.owners]));
  const pieces = piecesOf(texts, whole);
  const letters = pieces.reduce((sum, piece) => sum + ('text' in piece ? piece.text.length : 0), 0);
  return {
    pieces,
    times: owners.size,
    saves: owners.size * Math.max(0, letters - CUE_KEYS),
    key: keyOf(others.length > 0 ? patternAt(one.words, at) : one.words.join(' ')),
    places: whole,
  };
}

/**
 * Which of the phrases found in some texts are worth putting into the bank, those first that would have saved most keys.
 * Phrases that differ in one word are one, with that word open; of phrases that lie over each other the better one is told,
 * the other only where it stands in two texts more. `ignored` are keys of those not wanted. A generator, so that who runs it can
 * give others their turn; it yields nothing.
 */
export function* worthBanking<Owner>(
  texts: readonly Text<Owner>[],
  phrases: readonly RepeatedPhrase[],
  ignored: ReadonlySet<string> = new Set(),
): Generator<void, PhraseToBank[]> {
  const candidates: Candidate<Owner>[] = [];
  for (const phrase of phrases) {
    yield;
    const one = candidateOf(texts, phrase);
    if (one) candidates.push(one);
  }
  const byPattern = new Map<string, Candidate<Owner>[]>();
  for (const one of candidates) {
    yield;
    for (const pattern of patternsOf(one.words)) {
      const others = byPattern.get(pattern);
      if (others) others.push(one);
      else byPattern.set(pattern, [one]);
    }
  }
  const found: ReturnType<typeof groupOf>[] = [];
  for (const one of candidates) {
    yield;
    found.push(groupOf(texts, one, variantsOf(one, byPattern)));
  }
  const groups = found.filter(({ saves }) => saves > 0).sort((a, b) => b.saves - a.saves);
  const told = new Set<string>();
  const covered = new Map<number, { from: number; to: number }[]>();
  const isCovered = ({ text, from, to }: Place) =>
    (covered.get(text) ?? []).some((other) => other.from < to && from < other.to);
  return groups.flatMap(({ places, ...group }): PhraseToBank[] => {
    const free = new Set(places.filter((place) => !isCovered(place)).map(({ text }) => texts[text]!.owner));
    if (free.size < 2 || told.has(group.key)) return [];
    told.add(group.key);
    for (const { text, from, to } of places) {
      const here = covered.get(text);
      if (here) here.push({ from, to });
      else covered.set(text, [{ from, to }]);
    }
    // What is not wanted still hides what lies within it.
    return ignored.has(group.key) ? [] : [group];
  });
}
