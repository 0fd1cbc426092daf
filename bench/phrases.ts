import { repeatedPhrases } from '#core/phrases';
import { finished } from '#core/testing';
import { commonWords } from './commonWords';
import { measureEach, type Measured } from './measure';
import { numbers } from './numbers';

const BYTES = 5_000_000;
const LEAST = 5;
/** The naive way would take all memory without an end to its phrases. */
const NAIVE_MOST = 12;
const RUNS = 8;

/** Letters of 60 to 200 words, one sentence in four a stock phrase of 5 to 25 words, some with a word changed. */
function makeLetters(): string[] {
  const random = numbers(5);
  const pick = (of: number) => Math.floor(random() * of);
  const word = commonWords(random);
  const sentence = (words: number) => Array.from({ length: words }, word);
  const stock = Array.from({ length: 400 }, () => sentence(5 + pick(20)));
  const letters: string[] = [];
  for (let bytes = 0; bytes < BYTES;) {
    const sentences = Array.from({ length: 6 + pick(8) }, () => {
      if (random() > 0.25) return sentence(6 + pick(14));
      const phrase = [...stock[pick(stock.length)]!];
      if (random() < 0.3) phrase[pick(phrase.length)] = word();
      return phrase;
    });
    const letter = sentences.map((words) => `${words.join(' ')}.`).join(' ');
    letters.push(letter);
    bytes += letter.length;
  }
  return letters;
}

const ours = (letters: readonly string[]): number =>
  finished(
    repeatedPhrases(
      letters.map((text, owner) => ({ owner, text })),
      { least: LEAST, inAtLeast: 2, most: 1000 },
    ),
  ).length;

/** The way most would go: every run of words counted in a map, each with all its pieces. */
function counted(letters: readonly string[]): number {
  const counts = new Map<string, number>();
  for (const letter of letters) {
    const words = letter.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? [];
    for (let from = 0; from < words.length; from += 1) {
      let phrase = words.slice(from, from + LEAST - 1).join(' ');
      for (let to = from + LEAST - 1; to < Math.min(words.length, from + NAIVE_MOST); to += 1) {
        phrase += ` ${words[to]}`;
        counts.set(phrase, (counts.get(phrase) ?? 0) + 1);
      }
    }
  }
  let repeated = 0;
  for (const count of counts.values()) if (count > 1) repeated += 1;
  return repeated;
}

/** Phrases of five words and more in 5 MB of letters; the naive way looks no further than twelve words, and through a fifth of them. */
export function benchPhrases(): Measured[] {
  const letters = makeLetters();
  const few = letters.slice(0, letters.length / 5);
  const timed = (share: string, contender: string, runs: number, run: () => unknown) =>
    measureEach('phrases', `repeated phrases in ${share} of letters`, contender, runs, run);
  return [
    timed('5 MB', 'Elderleaf, maximal, of any length', RUNS, () => ours(letters)),
    timed('1 MB', 'Elderleaf, maximal, of any length', RUNS, () => ours(few)),
    timed('1 MB', 'each run up to 12 words in a map', 1, () => counted(few)),
  ];
}
