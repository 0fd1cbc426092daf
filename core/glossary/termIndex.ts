import { consonantsOf, folded, initialsOf, isConsonants } from './keys';
import { KeyTable, type Keyed } from './keyTable';

/** Which letters of a term may find it: its first ones, the first of each word of a phrase, its consonants. */
export const LETTERS_COUNTED = ['beginning', 'initials', 'consonants'] as const;
export type LettersCounted = (typeof LETTERS_COUNTED)[number];

/** How a term was found by what is typed. */
export type FoundBy = 'cue' | LettersCounted;

/** Something that can be offered: the words shown, cues of its own, and other words it may be begun by. */
export interface Offerable {
  text: string;
  /** How usual it is; the higher, the sooner it is offered. */
  weight: number;
  cues?: readonly string[];
  /** Besides its text, as an entry's first words. */
  beginnings?: readonly string[];
}

/** Whether so little is typed that a rule would find nearly everything. A lead-in alone is enough for cues. */
const isTooLittle = (typed: string, by: FoundBy) =>
  typed.length < 2 && (by !== 'cue' || typed === '' || /[\p{L}\p{N}]/u.test(typed));

const reversed = (text: string) => [...text].reverse().join('');

/** The order in which an index wants its terms: the usual ones first, then the short ones, then by letters. */
export const bestFirst = <T extends Offerable>(terms: readonly T[]): T[] =>
  [...terms].sort(
    (a, b) =>
      b.weight - a.weight ||
      a.text.length - b.text.length ||
      (a.text < b.text ? -1 : a.text > b.text ? 1 : 0),
  );

/**
 * Finds terms while they are typed: by a cue, by their beginning, phrases by their initials, words by their
 * consonants. Terms are given best first, and found in that order; what one does not want is skipped by asking for
 * more. Nothing of the list is copied but its keys: about 20 bytes a term beyond the strings.
 */
export class TermIndex {
  private readonly tables: Record<FoundBy, KeyTable>;
  private readonly ways: ReadonlySet<FoundBy>;
  private backwards: KeyTable | null = null;

  /** `letters` says which letters of the terms find them; their cues always do. */
  constructor(
    readonly terms: readonly Offerable[],
    readonly letters: readonly LettersCounted[] = LETTERS_COUNTED,
  ) {
    this.ways = new Set<FoundBy>(['cue', ...letters]);
    const keyed: Record<FoundBy, Keyed[]> = { cue: [], beginning: [], initials: [], consonants: [] };
    terms.forEach(({ text, cues, beginnings }, id) => {
      const put = (by: FoundBy, key: string) => void (key !== '' && keyed[by].push({ key, id }));
      const plain = folded(text);
      // Whole terms are known by it too, whichever letters count.
      put('beginning', plain);
      if (this.ways.has('initials')) put('initials', initialsOf(plain));
      if (this.ways.has('consonants')) put('consonants', consonantsOf(plain));
      cues?.forEach((cue) => put('cue', folded(cue)));
      beginnings?.forEach((words) => put('beginning', folded(words)));
    });
    const table = (by: FoundBy) => new KeyTable(keyed[by]);
    this.tables = {
      cue: table('cue'),
      beginning: table('beginning'),
      initials: table('initials'),
      consonants: table('consonants'),
    };
  }

  /** Ids (places in `terms`) of the best `most` terms that `typed`, folded already, finds by a rule; best first. */
  find(typed: string, by: FoundBy, most: number): number[] {
    if (isTooLittle(typed, by) || !this.ways.has(by)) return [];
    if (by === 'consonants' && !isConsonants(typed)) return [];
    const key = by === 'consonants' ? typed.replace(/(.)\1+/g, '$1') : typed;
    return this.tables[by].beginning(key, most);
  }

  /** The best term that is just these words, folded already; undefined when there is none. */
  idOf(typed: string): number | undefined {
    return this.tables.beginning.exactly(typed, 1)[0];
  }

  /** A usual word that begins so and goes on with a letter; undefined for none. */
  longer(beginning: string): string | undefined {
    const ids = this.tables.beginning.beginning(beginning, 8);
    return this.firstWord(ids, (word) => word.length > beginning.length && word.startsWith(beginning));
  }

  /** A usual word that ends so, with letters before; undefined for none. What finds it is made when it is first asked. */
  endingIn(end: string): string | undefined {
    this.backwards ??= new KeyTable(this.terms.map(({ text }, id) => ({ key: reversed(folded(text)), id })));
    const ids = this.backwards.beginning(reversed(end), 8);
    return this.firstWord(ids, (word) => word.length > end.length && word.endsWith(end));
  }

  private firstWord(ids: readonly number[], is: (word: string) => boolean): string | undefined {
    return ids.map((id) => folded(this.terms[id]!.text)).find((word) => /^\p{L}+$/u.test(word) && is(word));
  }
}
