import { plainWord, searchWords } from '#core/finder';
import type { PhraseToBank } from './worthBanking';

/** A phrase is in a line that has this share of its pairs of neighbouring words: a blank in the midst takes two pairs away. */
const SHARE = 0.6;

const pairsOf = (text: string): Set<string> => {
  const words = searchWords(text).map(plainWord);
  return new Set(words.slice(1).map((word, at) => `${words[at]} ${word}`));
};

/** A phrase as it was first written. */
const writtenOf = ({ pieces }: Pick<PhraseToBank, 'pieces'>) =>
  pieces.map((piece) => ('text' in piece ? piece.text : piece.differs[0]!)).join('');

/** Which of some phrases the bank has already: shown its lines, one after the other. */
export class Banked<Phrase extends Pick<PhraseToBank, 'pieces'>> {
  private readonly having = new Map<string, Phrase[]>();
  private readonly pairs = new Map<Phrase, number>();
  private readonly found = new Set<Phrase>();

  constructor(phrases: readonly Phrase[]) {
    for (const phrase of phrases) {
      const pairs = pairsOf(writtenOf(phrase));
      this.pairs.set(phrase, pairs.size);
      for (const pair of pairs) this.having.set(pair, [...(this.having.get(pair) ?? []), phrase]);
    }
  }

  /** Looks for the phrases in a line of a wording; blanks are characters of no word. */
  read(line: string): void {
    const shared = new Map<Phrase, number>();
    for (const pair of pairsOf(line))
      for (const phrase of this.having.get(pair) ?? []) shared.set(phrase, (shared.get(phrase) ?? 0) + 1);
    for (const [phrase, count] of shared)
      if (count >= SHARE * this.pairs.get(phrase)!) this.found.add(phrase);
  }

  /** Those that no line had. */
  missing(): Phrase[] {
    return [...this.pairs.keys()].filter((phrase) => !this.found.has(phrase));
  }
}
