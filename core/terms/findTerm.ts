import type { EntryContent } from '#core/entry';
import { Literals, type LiteralPlace } from '#core/finder';
import { inCaseOf, withArticle } from '#core/language';
import { entryTexts, type TextEdit } from './entryTexts';

/** A form of a term, and what it becomes. */
export interface TermForm {
  from: string;
  to: string;
}

/** A place where a term stands in an entry: the edit that would change it, the words that stand there now, and which form it is, in small letters. */
export interface TermPlace extends TextEdit {
  words: string;
  form: string;
}
/** An edit of a text by itself. */
type Place = Omit<TermPlace, 'at' | 'form'>;

const small = (text: string): string => {
  const lower = text.replace(/\s/g, ' ').toLowerCase();
  // A letter that becomes two would move all behind it: such a text is searched as it is written.
  return lower.length === text.length ? lower : text;
};

/** An article and its space are no longer than this. */
const BESIDE = 40;
const ARTICLE = /(?<![\p{L}\p{N}])(an?)(\s+)$/iu;

/** The edit with the article before it, where that must be another one before what is `said`: "a hog" is "an otter" then. */
function withItsArticle(text: string, edit: Place, said: string, language: string): Place {
  const [whole, article, space] = ARTICLE.exec(text.slice(Math.max(0, edit.from - BESIDE), edit.from)) ?? [];
  if (!whole) return edit;
  const wanted = withArticle(said, language).split(' ')[0]!;
  if (!/^an?$/.test(wanted) || wanted === article!.toLowerCase()) return edit;
  const from = edit.from - whole.length;
  return {
    from,
    to: edit.to,
    put: inCaseOf(article!, wanted) + space + edit.put,
    words: text.slice(from, edit.to),
  };
}

/**
 * The edit that drops some words with the space beside them; a sentence that they began begins with a capital still. The
 * words are whole ones.
 */
export function withItsSpace(text: string, from: number, to: number): Place {
  const next = text[to] === ' ' ? text[to + 1] : undefined;
  if (/^\p{Lu}/u.test(text.slice(from, to)) && next && /\p{Ll}/u.test(next))
    return { from, to: to + 2, put: next.toLocaleUpperCase(), words: text.slice(from, to + 2) };
  const start = text[from - 1] === ' ' ? from - 1 : from;
  const end = start === from && text[to] === ' ' ? to + 1 : to;
  return { from: start, to: end, put: '', words: text.slice(start, end) };
}

/** The first of those that overlap, and of those that begin together the longest. */
function apart(places: readonly LiteralPlace[]): LiteralPlace[] {
  let end = 0;
  return [...places]
    .sort((a, b) => a.from - b.from || b.to - a.to)
    .filter(({ from, to }) => {
      if (from < end) return false;
      end = to;
      return true;
    });
}

/** Finds the forms of terms as whole words, in any case, the longest first: in one pass, however many they are. */
export class TermFinder {
  private readonly becomes: ReadonlyMap<string, string>;
  private readonly literals: Literals;

  /** Of forms that are written alike the first stands. */
  constructor(forms: readonly TermForm[]) {
    const plain = (words: string) => words.trim().replace(/\s+/g, ' ').toLowerCase();
    this.becomes = new Map([...forms].reverse().map(({ from, to }) => [plain(from), to]));
    this.literals = new Literals(this.becomes.keys());
  }

  /** The edits that would change them in a text of a language, in reading order. */
  in(text: string, language: string): Omit<TermPlace, 'at'>[] {
    return apart(this.literals.in(small(text))).map(({ literal, from, to }) => {
      const put = this.becomes.get(literal)!;
      if (put === '') return { ...withItsSpace(text, from, to), form: literal };
      const words = text.slice(from, to);
      const edit = { from, to, put: inCaseOf(words, put), words };
      return { ...withItsArticle(text, edit, put, language), form: literal };
    });
  }

  /** Where they stand in all texts of an entry; of a wording in `language` alone, where one is given, with the texts of no language. */
  inEntry(content: EntryContent, language = ''): TermPlace[] {
    const languages = new Map(content.wordings.map(({ id, language: own }) => [id, own]));
    const first = content.wordings[0]?.language ?? '';
    return entryTexts(content).flatMap(({ at, text }) => {
      const own = at.in === 'wording' ? languages.get(at.wording)! : first;
      if (language !== '' && !isOfLanguage(own, language)) return [];
      return this.in(text, own).map((edit) => ({ at, ...edit }));
    });
  }
}

/** Whether words of a language are also words of another: "en" is of "en-GB", and "en-GB" of "en". */
export function isOfLanguage(language: string, wanted: string): boolean {
  const [a, b] = [language.toLowerCase(), wanted.toLowerCase()];
  return a === b || a.startsWith(`${b}-`) || b.startsWith(`${a}-`);
}
