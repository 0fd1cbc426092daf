import MiniSearch from 'minisearch';
import { likeGroups, LikePairs, wordSets } from '#core/likeness';
import { finished } from '#core/testing';
import { commonWords } from './commonWords';
import { measureEach, type Measured } from './measure';
import { numbers } from './numbers';

const LIKE = 0.8;
/** The slow ways are shown among fewer. */
const FEW = 3000;
const MANY = 50_000;
const RUNS = 3;

/** Texts of 15 to 90 words; one in five is another with up to three words changed. */
function makeTexts(count: number): string[][] {
  const random = numbers(3);
  const pick = (of: number) => Math.floor(random() * of);
  const word = commonWords(random);
  const texts: string[][] = [];
  while (texts.length < count) {
    const before = texts[pick(texts.length)];
    const text = before && random() < 0.2 ? [...before] : Array.from({ length: 15 + pick(75) }, word);
    for (let changes = pick(4); changes > 0; changes -= 1) text[pick(text.length)] = word();
    texts.push([...new Set(text)]);
  }
  return texts;
}

function pairsOf(texts: readonly string[][]): number {
  let pairs = 0;
  const join = new LikePairs(finished(wordSets(texts)), LIKE);
  while (join.step(1000, () => (pairs += 1)));
  return pairs;
}

const groupsOf = (texts: readonly string[][]): number =>
  finished(
    likeGroups(
      texts.map((words, owner) => ({ owner, words })),
      LIKE,
    ),
  ).length;

const jaccard = (a: ReadonlySet<string>, b: ReadonlySet<string>) => {
  let shared = 0;
  for (const word of a) if (b.has(word)) shared += 1;
  return shared / (a.size + b.size - shared);
};

/** The way most would go: each with each. */
function eachWithEach(texts: readonly string[][]): number {
  const sets = texts.map((words) => new Set(words));
  let pairs = 0;
  sets.forEach((a, at) => {
    for (let other = 0; other < at; other += 1) if (jaccard(a, sets[other]!) >= LIKE) pairs += 1;
  });
  return pairs;
}

/** What a search library gives: each text searched for by its words, and what is found compared. */
function bySearch(texts: readonly string[][]): number {
  const sets = texts.map((words) => new Set(words));
  const search = new MiniSearch({ fields: ['words'] });
  search.addAll(texts.map((words, id) => ({ id, words: words.join(' ') })));
  let pairs = 0;
  texts.forEach((words, at) => {
    for (const { id } of search.search(words.join(' ')))
      if ((id as number) < at && jaccard(sets[at]!, sets[id as number]!) >= LIKE) pairs += 1;
  });
  return pairs;
}

/** All pairs of texts that share four fifths of their words. Each way must find as many. */
export function benchLikeness(): Measured[] {
  return [FEW, MANY].flatMap((size) => {
    const texts = makeTexts(size);
    const work = `all pairs alike at Jaccard ${LIKE} among ${size.toLocaleString('en-GB')} texts`;
    const timed = (contender: string, run: () => number, runs = RUNS) => {
      let found = 0;
      const measured = measureEach('likeness', work, contender, runs, () => (found = run()));
      return { measured, found };
    };
    const ours = timed('Elderleaf', () => pairsOf(texts));
    const groups = timed('Elderleaf, as groups', () => groupsOf(texts));
    if (size === MANY) return [ours.measured, groups.measured];
    const others = [
      timed('each with each', () => eachWithEach(texts), 1),
      timed('MiniSearch, then compared', () => bySearch(texts), 1),
    ];
    for (const { found } of others)
      if (found !== ours.found)
        throw new Error(`They do not find the same: ${ours.found} and ${found} pairs`);
    return [ours, groups, ...others].map(({ measured }) => measured);
  });
}
