import { withArticle } from '#core/language';
import type { EntryContent } from '#core/entry';
import { entryTexts, type TextEdit } from './entryTexts';

/** A form of a term, and what it becomes. */
export interface TermForm {
  from: string;
  to: string;
}

/** A place where a term stands in an entry: the edit that would change it, and the words that stand there now. */
export interface TermPlace extends TextEdit {
  words: string;
}

const escape = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
const capital = (words: string) => words.replace(/\p{L}/u, (letter) => letter.toLocaleUpperCase());

/** Words in the case of others: all of them large, the first letter large, or as they are given. */
function inCaseOf(found: string, put: string): string {
  const letters = found.replace(/[^\p{L}]/gu, '');
  if (letters.length > 1 && letters === letters.toLocaleUpperCase()) return put.toLocaleUpperCase();
  return /^[^\p{L}]*\p{Lu}/u.test(found) ? capital(put) : put;
}

const ARTICLE = /(?<![\p{L}\p{N}])(an?)(\s+)$/iu;

/** The edit with the article before it, where that must be another one: "a hog" is "an otter" then. */
function withItsArticle(text: string, edit: Omit<TermPlace, 'at'>, language: string): Omit<TermPlace, 'at'> {
  const [whole, article, space] = ARTICLE.exec(text.slice(0, edit.from)) ?? [];
  if (!whole) return edit;
  const wanted = withArticle(edit.put, language).split(' ')[0]!;
  if (!/^an?$/.test(wanted) || wanted === article!.toLowerCase()) return edit;
  const from = edit.from - whole.length;
  return {
    from,
    to: edit.to,
    put: inCaseOf(article!, wanted) + space + edit.put,
    words: text.slice(from, edit.to),
  };
}

/** The edit that drops some words with the space beside them, so that none is left doubled. */
function withItsSpace(text: string, from: number, to: number): Omit<TermPlace, 'at'> {
  const start = text[from - 1] === ' ' ? from - 1 : from;
  const end = start === from && text[to] === ' ' ? to + 1 : to;
  return { from: start, to: end, put: '', words: text.slice(start, end) };
}

/** Finds the forms of a term as whole words, in any case, the longest first; words of one may stand apart by any space. */
export class TermFinder {
  private readonly pattern: RegExp | null;
  private readonly becomes: ReadonlyMap<string, string>;

  constructor(forms: readonly TermForm[]) {
    const plain = (words: string) => words.trim().replace(/\s+/g, ' ').toLocaleLowerCase();
    const given = forms.filter(({ from }) => plain(from) !== '');
    this.becomes = new Map(given.map(({ from, to }) => [plain(from), to]));
    const written = [...this.becomes.keys()].sort((a, b) => b.length - a.length);
    this.pattern =
      written.length === 0
        ? null
        : new RegExp(
            `(?<![\\p{L}\\p{N}])(?:${written.map((one) => escape(one).replace(/ /g, '\\s+')).join('|')})(?![\\p{L}\\p{N}])`,
            'giu',
          );
  }

  /** The edits that would change them in a text of a language, in reading order. */
  in(text: string, language: string): Omit<TermPlace, 'at'>[] {
    if (!this.pattern) return [];
    return [...text.matchAll(this.pattern)].map(({ 0: words, index: from }) => {
      const put = this.becomes.get(words.replace(/\s+/g, ' ').toLocaleLowerCase()) ?? words;
      const to = from + words.length;
      if (put === '') return withItsSpace(text, from, to);
      return withItsArticle(text, { from, to, put: inCaseOf(words, put), words }, language);
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
