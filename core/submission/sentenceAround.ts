/** A stretch of a line of words, in UTF-16 units. */
export interface Stretch {
  from: number;
  to: number;
}

/** The stretch without white space at its ends. */
function trimmed(words: string, { from, to }: Stretch): Stretch {
  const inner = words.slice(from, to);
  const start = from + (inner.length - inner.trimStart().length);
  return { from: start, to: Math.max(start, from + inner.trimEnd().length) };
}

/**
 * The sentences of a line of words, as Unicode's own rules part them (UAX 29), each without the space around it.
 * `language` is a BCP 47 tag.
 */
export function sentencesIn(words: string, language: string): Stretch[] {
  const segments = new Intl.Segmenter(language, { granularity: 'sentence' }).segment(words);
  return [...segments]
    .map(({ index, segment }) => trimmed(words, { from: index, to: index + segment.length }))
    .filter(({ from, to }) => to > from);
}

/** The sentence that a place of a line is in, or right behind; the whole line, trimmed, where it has none. */
export function sentenceAround(words: string, at: number, language: string): Stretch {
  const all = sentencesIn(words, language);
  return all.find(({ to }) => at <= to) ?? all.at(-1) ?? trimmed(words, { from: 0, to: words.length });
}
