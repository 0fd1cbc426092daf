import { maximalRepeats, type Repeat } from './maximalRepeats';
import { repeatedRuns } from './repeatedRuns';
import { commonWithBefore, suffixArray } from './suffixArray';
import { BREAK, wordStream, type Text, type WordStream } from './wordStream';

/** Words that stand in several texts. */
export interface RepeatedPhrase {
  /** How many words it has, and how many owners of texts have it. */
  words: number;
  owners: number;
  /** Everywhere it stands: in which text, and from where to where (UTF-16). */
  places: { text: number; from: number; to: number }[];
}

/** What phrases are told of. */
export interface PhrasesWanted {
  /** Words at the least. */
  least: number;
  /** Owners at the least. */
  inAtLeast: number;
  /** No more phrases than this: those worth most. */
  most: number;
}

/** How far it is (0 to 1) once the words are read, and once the repeated ones are in order. */
const READ = 0.4;
const SORTED = 0.9;

function toPhrase(
  { texts, from, to }: WordStream,
  { length, documents, ...range }: Repeat,
  places: Int32Array,
): RepeatedPhrase {
  return {
    words: length,
    owners: documents,
    places: Array.from(places.subarray(range.from, range.to), (first) => ({
      text: texts[first]!,
      from: from[first]!,
      to: to[first + length - 1]!,
    })).sort((a, b) => a.text - b.text || a.from - b.from),
  };
}

/**
 * Phrases that stand in the texts of several owners: all that are maximal, which are those that cannot be a word longer
 * without standing in fewer places; so no phrase comes again as its own pieces. Those first that are typed most, by owners
 * and letters. Case, accents and punctuation do not count, and all numbers are alike. Exact: a filter over short runs leaves
 * only what is repeated, a suffix array puts that in order. A generator, so that who runs it may tell how far it is (0 to 1)
 * and stop.
 */
export function* repeatedPhrases<Owner>(
  texts: readonly Text<Owner>[],
  { least, inAtLeast, most }: PhrasesWanted,
): Generator<number, RepeatedPhrase[]> {
  const reading = wordStream(texts);
  let read = reading.next();
  for (; !read.done; read = reading.next()) yield read.value * READ;
  const stream = read.value;
  const { places, symbols, kinds } = repeatedRuns(stream.words, least);
  yield READ;
  const sorting = suffixArray(symbols, kinds);
  let sorted = sorting.next();
  for (let left = SORTED - READ; !sorted.done; sorted = sorting.next()) yield SORTED - (left /= 2);
  const order = sorted.value;
  const owners = new Map<Owner, number>();
  const ownerOf = texts.map(({ owner }) => {
    const number = owners.get(owner) ?? owners.size;
    owners.set(owner, number);
    return number;
  });
  const common = commonWithBefore(symbols, order);
  // A break belongs to no phrase: whose it is does not count.
  const documentOf = (at: number) => (places[at] === BREAK ? BREAK : ownerOf[stream.texts[places[at]!]!]!);
  // Runs that begin one after the other are a phrase of as many words more than one run has.
  const repeats = maximalRepeats({ symbols, order, common }, documentOf, inAtLeast).map((repeat) => ({
    ...repeat,
    length: repeat.length + least - 1,
  }));
  yield SORTED;
  const inStream = order.map((at) => places[at]!);
  const letters = ({ length, from }: Repeat) => {
    const first = inStream[from]!;
    return stream.to[first + length - 1]! - stream.from[first]!;
  };
  return repeats
    .map((repeat) => ({ repeat, worth: repeat.documents * letters(repeat) }))
    .sort((a, b) => b.worth - a.worth || b.repeat.length - a.repeat.length)
    .slice(0, most)
    .map(({ repeat }) => toPhrase(stream, repeat, inStream));
}
