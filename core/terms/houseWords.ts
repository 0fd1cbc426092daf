import type { EntryContent } from '#core/entry';
import { TermFinder, type TermPlace } from './findTerm';
import { termForms } from './termForms';

/** A word of the house: what is said, instead of what, and why. */
export interface HouseWord {
  id: string;
  /** Of which language; '' for every one. */
  language: string;
  /** What is said; '' where the others are only to be left out. */
  use: string;
  avoid: readonly string[];
  why: string;
  /** Whether they are pointed out only where two of them stand in one entry: one word for one thing. */
  together: boolean;
}

/** A place where a word to avoid stands, with the edit that says it as the house does. */
export interface HousePlace extends TermPlace {
  /** Id of the word of the house. */
  word: string;
}

interface Prepared {
  language: string;
  finder: TermFinder;
  /** The word of the house, and which of its words to avoid, by each form in small letters. */
  byForm: Map<string, { word: HouseWord; avoided: string }>;
}

const formOf = (words: string) => words.toLowerCase().replace(/\s+/g, ' ').trim();

function prepare(language: string, words: readonly HouseWord[]): Prepared {
  const byForm: Prepared['byForm'] = new Map();
  const forms = words.flatMap((word) => {
    // What is said is looked for as well, and becomes itself: words within it are not pointed out.
    const said = word.use === '' ? [] : termForms(word.use, word.use);
    const others = word.avoid.flatMap((avoided) => {
      const all = termForms(avoided, word.use);
      for (const { from } of all) byForm.set(formOf(from), { word, avoided });
      return all;
    });
    return [...said, ...others];
  });
  return { language, finder: new TermFinder(forms), byForm };
}

/**
 * Points out in entries what the house says otherwise. Each text is read in one pass, however many words there are; a wording is held
 * against the words of its language and those of every language.
 */
export class HouseFinder {
  private readonly prepared: Prepared[];
  /** Of words that are only meant where two of them stand together: what finds the one that is said. */
  private readonly said: ReadonlyMap<HouseWord, TermFinder>;

  constructor(words: readonly HouseWord[]) {
    const languages = [...new Set(words.map(({ language }) => language))];
    this.prepared = languages.map((language) =>
      prepare(
        language,
        words.filter((word) => word.language === language),
      ),
    );
    const together = words.filter((word) => word.together);
    this.said = new Map(together.map((word) => [word, new TermFinder(termForms(word.use, word.use))]));
  }

  /** In reading order within each language. */
  in(content: EntryContent): HousePlace[] {
    const found = this.prepared.flatMap(({ language, finder, byForm }) =>
      finder.inEntry(content, language).flatMap((place) => {
        const known = byForm.get(place.form);
        return known ? [{ ...place, known }] : [];
      }),
    );
    if (found.length === 0) return [];
    const avoided = new Map<HouseWord, Set<string>>();
    for (const { known } of found)
      avoided.set(known.word, (avoided.get(known.word) ?? new Set()).add(known.avoided));
    // One word for one thing: alone, each is right.
    const isAlone = (word: HouseWord) =>
      word.together &&
      avoided.get(word)!.size < 2 &&
      this.said.get(word)!.inEntry(content, word.language).length === 0;
    return found
      .filter(({ known }) => !isAlone(known.word))
      .map(({ known, ...place }) => ({ ...place, word: known.word.id }));
  }
}
