import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { plainPassage } from '#core/passage';
import { finished } from '#core/testing';
import { comparedWords, likeGroups, LikePairs, wordSets } from './index';

/** What every two texts share, counted word by word without leaving any out. */
function bruteForce(texts: readonly (readonly string[])[], threshold: number): string[] {
  const pairs: string[] = [];
  const having = new Map<string, number[]>();
  texts.forEach((words, b) => {
    const shared = new Int32Array(b);
    for (const word of words) {
      const others = having.get(word) ?? [];
      for (const a of others) shared[a]! += 1;
      others.push(b);
      having.set(word, others);
    }
    shared.forEach((count, a) => {
      const likeness = count / (texts[a]!.length + words.length - count);
      if (likeness >= threshold - 1e-9) pairs.push(`${a} ${b} ${likeness.toFixed(6)}`);
    });
  });
  return pairs.sort();
}

function joined(texts: readonly (readonly string[])[], threshold: number): string[] {
  const pairs: string[] = [];
  const join = new LikePairs(finished(wordSets(texts)), threshold);
  const found = (a: number, b: number, likeness: number) =>
    pairs.push(`${Math.min(a, b)} ${Math.max(a, b)} ${likeness.toFixed(6)}`);
  while (join.step(3, found));
  return pairs.sort();
}

const groupsOf = (texts: readonly { owner: string; words: string[] }[]): string[][] =>
  finished(likeGroups(texts, 0.8));

/** Numbers from 0 up to one, always the same. */
function numbers(seed: number): () => number {
  let state = seed;
  return () => (state = (state * 16807) % 2147483647) / 2147483647;
}

describe('texts alike', () => {
  test('none is missed and none is wrong, whatever the texts and the threshold', () => {
    const text = fc.uniqueArray(fc.constantFrom(...'abcdefghijklmn'), { maxLength: 12 });
    const threshold = fc.constantFrom(0.3, 0.5, 0.6, 0.75, 0.8, 0.9, 1);
    fc.assert(
      fc.property(fc.array(text, { maxLength: 40 }), threshold, (texts, least) => {
        expect(joined(texts, least)).toEqual(bruteForce(texts, least));
      }),
      { numRuns: 500 },
    );
  });

  test('among 5,000 texts with planted near-copies, exactly what brute force finds', () => {
    const next = numbers(7);
    const pick = (count: number) => Math.floor(next() * count);
    // Words as in a language: few common, many rare.
    const word = () => `w${Math.floor(3000 * next() ** 3)}`;
    const texts: string[][] = [];
    while (texts.length < 5000) {
      const before = texts[pick(texts.length)];
      const text = before && next() < 0.2 ? [...before] : Array.from({ length: 5 + pick(60) }, word);
      for (let change = pick(4); change > 0; change -= 1) text[pick(text.length)] = word();
      texts.push([...new Set(text)]);
    }
    const expected = bruteForce(texts, 0.8);
    expect(expected.length).toBeGreaterThan(500);
    expect(joined(texts, 0.8)).toEqual(expected);
  });

  test('blanks, dates, numbers, names of cases, accents, case and punctuation do not hide a likeness', () => {
    const words = (text: string) => comparedWords([plainPassage(text)], new Set(['bramble', 'hazel']));
    expect(words('Bramble weighed 512 g on 4 March 2026: a café guest!')).toEqual(
      words('HAZEL weighed 1,098.5 g, on 04/11/2026, a Cafe guest'),
    );
  });

  test('groups go by owner: copies and chains are one, one’s own texts and empty ones are none', () => {
    const ten = [...'abcdefghij'];
    const groups = groupsOf([
      { owner: 'copy', words: ten },
      { owner: 'copied', words: [...ten].reverse() },
      { owner: 'near', words: [...ten.slice(0, 9), 'k'] },
      { owner: 'further', words: [...ten.slice(0, 8), 'k', 'l'] },
      { owner: 'alone', words: ['x', 'y'] },
      { owner: 'alone', words: ['x', 'y'] },
      { owner: 'empty', words: [] },
      { owner: 'void', words: [] },
    ]);
    expect(groups.map((group) => group.sort())).toEqual([['copied', 'copy', 'further', 'near']]);
  });
});
