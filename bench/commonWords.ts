import fs from 'node:fs';

/** Words as a text has them: the common ones often, the others seldom (Zipf 1935). `next`: numbers between 0 and 1. */
export function commonWords(next: () => number): () => string {
  const words = fs
    .readFileSync('web/generated/english.tsv', 'utf8')
    .split('\n')
    .flatMap((line) => {
      const [word, , weight] = line.split('\t');
      return word ? [{ word, weight: Number(weight) }] : [];
    })
    .sort((a, b) => b.weight - a.weight || a.word.length - b.word.length);
  return () => words[Math.floor(words.length ** next()) - 1]?.word ?? words[0]!.word;
}
