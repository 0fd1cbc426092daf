import { RE2JS, RE2Set } from 're2js';
import type { Sign } from '#core/entry';
import { Literals } from '#core/finder';
import type { TextRange } from '#core/passage';
import { PLACE_SIGN, type Submission, type SubmissionBlock } from '#core/submission';
import { termForms } from '#core/terms';
import { plainPattern } from './plainPattern';
import { lineSign, type LinePlace } from './lineSigns';
import { signWordsOf, type SignWords } from './signWords';

/** An entry with what it looks for. */
export interface EntrySigns {
  entry: string;
  signs: readonly Sign[];
}

/** A place in a submission where an entry would fit. */
export interface SignPlace {
  entry: string;
  on: TextRange;
}

/** So many places of one entry are told at the most: of what is everywhere more would help nobody. */
export const MOST_PLACES = 500;

/** The words of a block as signs are looked for in them: what was deleted, and marked so, is none. In length as they are. */
const wordsToSearch = ({ spans }: SubmissionBlock): string =>
  spans
    .map((span) => {
      if (!('text' in span)) return PLACE_SIGN;
      return span.marks?.includes('deleted') ? PLACE_SIGN.repeat(span.text.length) : span.text;
    })
    .join('');

const small = (text: string): string => {
  const lower = text.toLowerCase();
  // A letter that becomes two would move all behind it: such a line is searched as it is written.
  return lower.length === text.length ? lower : text;
};

/** Where signs are looked for: in headings and tables sentences have other rules, and in code none. */
const isProse = ({ kind, cell }: SubmissionBlock): boolean => kind !== 'heading' && kind !== 'code' && !cell;

/**
 * Finds in a submission where entries would fit, by their signs: all words of all entries in one pass of each line, patterns in linear
 * time (RE2). A pattern that cannot be read finds nothing.
 */
export class SignFinder {
  private readonly known: SignWords;
  private readonly literals: Literals;
  private readonly entriesOf = new Map<string, Set<string>>();
  private readonly plain: { entry: string; pattern: RegExp }[] = [];
  private readonly patterns: { entry: string; pattern: RE2JS }[] = [];
  /** All patterns that are not plain as one: in one pass it says which of them a line holds, where most lines hold none. */
  private readonly anyOf = new RE2Set(RE2Set.UNANCHORED, RE2JS.CASE_INSENSITIVE);
  private readonly byLine: { entry: string; sign: Sign }[] = [];

  /**
   * @param language - BCP 47: of the submission. Words are looked for in their regular English forms where it is English.
   * @param avoided - Words that the house avoids, for entries that look for these.
   */
  constructor(
    all: readonly EntrySigns[],
    private readonly language: string,
    avoided: readonly string[],
  ) {
    this.known = signWordsOf(language);
    for (const { entry, signs } of all) for (const sign of signs) this.take(entry, sign, avoided);
    this.literals = new Literals(this.entriesOf.keys());
  }

  private take(entry: string, sign: Sign, avoided: readonly string[]): void {
    if (sign.kind === 'words') this.takeWords(entry, sign.words);
    else if (sign.kind === 'avoided-term') this.takeWords(entry, avoided);
    else if (sign.kind !== 'pattern') this.byLine.push({ entry, sign });
    else {
      try {
        const pattern = RE2JS.compile(sign.pattern, RE2JS.CASE_INSENSITIVE);
        const plain = plainPattern(sign.pattern);
        if (plain) this.plain.push({ entry, pattern: plain });
        else {
          this.anyOf.add(sign.pattern);
          this.patterns.push({ entry, pattern });
        }
      } catch {
        // The editor of the entry says what is wrong with it.
      }
    }
  }

  private takeWords(entry: string, words: readonly string[]): void {
    const isEnglish = this.language.toLowerCase().startsWith('en');
    const forms = words.flatMap((word) =>
      isEnglish ? termForms(word, word).map(({ from }) => from) : [word],
    );
    for (const form of forms.map((one) => small(one.trim().replace(/\s+/g, ' ')))) {
      const entries = this.entriesOf.get(form) ?? new Set();
      this.entriesOf.set(form, entries.add(entry));
    }
  }

  /** Where each entry would fit, in reading order; of one entry no two places that overlap. */
  in({ blocks }: Submission): SignPlace[] {
    const counts = new Map<string, number>();
    return blocks.flatMap((block, at) => {
      const words = wordsToSearch(block);
      return this.inLine(words, isProse(block)).flatMap(({ entry, from, to }) => {
        const count = (counts.get(entry) ?? 0) + 1;
        counts.set(entry, count);
        return count > MOST_PLACES
          ? []
          : [{ entry, on: { from: { block: at, at: from }, to: { block: at, at: to } } }];
      });
    });
  }

  private patternsIn(words: string): (LinePlace & { entry: string })[] {
    const plain = this.plain.flatMap(({ entry, pattern }) =>
      plainMatches(pattern, words).map((place) => ({ entry, ...place })),
    );
    if (this.patterns.length === 0) return plain;
    const others = this.anyOf.match(words).flatMap((at) => {
      const { entry, pattern } = this.patterns[at]!;
      return matchesOf(pattern, words).map((place) => ({ entry, ...place }));
    });
    return [...plain, ...others];
  }

  private inLine(words: string, isProseLine: boolean): (LinePlace & { entry: string })[] {
    const found = [
      ...this.literals
        .in(small(words))
        .flatMap(({ literal, from, to }) =>
          [...this.entriesOf.get(literal)!].map((entry) => ({ entry, from, to })),
        ),
      ...this.patternsIn(words),
      ...(isProseLine ? this.byLine : []).flatMap(({ entry, sign }) =>
        (lineSign(sign, words, this.known, this.language) ?? []).map((place) => ({ entry, ...place })),
      ),
    ];
    const ends = new Map<string, number>();
    return found
      .sort((one, other) => one.from - other.from || other.to - one.to)
      .filter(({ entry, from, to }) => {
        if (from < (ends.get(entry) ?? 0)) return false;
        ends.set(entry, to);
        return true;
      });
  }
}

/** What a pattern that the browser matches by itself finds in a line. */
function plainMatches(pattern: RegExp, words: string): LinePlace[] {
  const found: LinePlace[] = [];
  for (const { 0: match, index } of words.matchAll(pattern)) {
    if (match !== '') found.push({ from: index, to: index + match.length });
    if (found.length >= MOST_PLACES) break;
  }
  return found;
}

function matchesOf(pattern: RE2JS, words: string): LinePlace[] {
  const matcher = pattern.matcher(words);
  const found: LinePlace[] = [];
  while (found.length < MOST_PLACES && matcher.find()) {
    const [from, to] = [matcher.start(), matcher.end()];
    // One that fits where nothing stands would fit everywhere.
    if (to > from) found.push({ from, to });
  }
  return found;
}
