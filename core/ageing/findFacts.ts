import { findDates } from '#core/calendar';
import type { EntryContent } from '#core/entry';
import { Literals } from '#core/finder';
import { lineText, linesOf, type Line } from '#core/passage';
import { findEMails, findPhones } from '#core/privacy';
import { linkFault, type LinkFault } from './linkFault';

/** What sort of thing in a wording grows old. */
export type FactKind = 'price' | 'hours' | 'date' | 'link' | 'phone' | 'e-mail' | 'staff';

/** Words of a line that may be wrong one day (UTF-16). */
interface FactInLine {
  kind: FactKind;
  from: number;
  to: number;
  /** Of a link: what is wrong with its form. */
  fault: LinkFault | null;
}

/** A fact that grows old in an entry: in which wording, part and line (of `linesOf`), and where in that line's text. */
export interface Fact extends FactInLine {
  wording: string;
  part: string;
  line: number;
  words: string;
}

const PRICE =
  /(?<![\p{L}\p{N}])(?:[£€$] ?\d+(?:,\d{3})*(?:[.,]\d{1,2})?|\d+(?:[.,]\d+)? ?(?:pounds?|euros?|pence))(?![\p{L}\p{N}])/gu;
const DAY = '(?:Mon|Tues|Wednes|Thurs|Fri|Satur|Sun)day';
const HOURS = new RegExp(
  [
    `(?<!\\p{L})${DAY}s?(?: (?:to|and) |-|–)${DAY}s?(?!\\p{L})`,
    `(?<!\\p{L})${DAY}s(?!\\p{L})`,
    '(?<![\\p{N}:.])(?:[01]?\\d|2[0-3])[:.][0-5]\\d(?: ?[ap]\\.?m\\.?)?(?![\\p{N}:])(?! ?(?:kg|g|mg|ml|%|°))',
    "(?<![\\p{N}.])(?:1[0-2]|[1-9]) ?(?:[ap]m|o’clock|o'clock)(?!\\p{L})",
  ].join('|'),
  'gu',
);
const YEAR = /(?<![\p{L}\p{N}.,/-])(?:in|since|until|of|for|season|year|from) (20\d\d)(?![\p{N}-]|[.,]\d)/gu;
const ADDRESS = /(?:https?:\/\/|www\.)[^\s<>"'”’)\uFFFC]+/giu;

const matches = (kind: FactKind, text: string, pattern: RegExp): FactInLine[] =>
  [...text.matchAll(pattern)].map(({ 0: words, index }) => ({
    kind,
    from: index,
    to: index + words.length,
    fault: null,
  }));

const plain =
  (kind: FactKind) =>
  ({ from, to }: { from: number; to: number }): FactInLine => ({ kind, from, to, fault: null });

/** Written addresses; a sign that ends the sentence is none of theirs. */
const writtenLinks = (text: string): FactInLine[] =>
  [...text.matchAll(ADDRESS)].map(({ 0: all, index }) => {
    const address = all.replace(/[.,;:!?]+$/, '');
    return { kind: 'link', from: index, to: index + address.length, fault: linkFault(address) };
  });

/** Words that lead somewhere, each run once. */
function markedLinks(line: Line): FactInLine[] {
  let at = 0;
  const found: (FactInLine & { href: string })[] = [];
  for (const inline of line) {
    const from = at;
    at += inline.type === 'text' ? inline.text.length : 1;
    const link = inline.marks?.find((mark) => mark.type === 'link');
    if (link?.type !== 'link') continue;
    const { href } = link.attrs;
    const last = found.at(-1);
    if (last?.to === from && last.href === href) last.to = at;
    else found.push({ kind: 'link', from, to: at, fault: linkFault(href), href });
  }
  return found.map(({ href: _, ...fact }) => fact);
}

const FIRST: readonly FactKind[] = ['link', 'e-mail', 'phone', 'date', 'price', 'hours', 'staff'];

/**
 * Finds what grows old in wordings: prices, hours and days of opening, dates and years, links, telephone numbers, e-mail
 * addresses and `staff` (their names, as they are written). Approximate: it finds where it is in doubt, for a person says what
 * needs a day of review.
 */
export function factFinder(staff: readonly string[]): (content: EntryContent) => Fact[] {
  const names = new Literals(staff);
  const inLine = (line: Line): FactInLine[] => {
    const text = lineText(line);
    const found = [
      ...markedLinks(line),
      ...writtenLinks(text),
      ...findEMails(text).map(plain('e-mail')),
      ...findPhones(text).map(plain('phone')),
      ...findDates(text).map(plain('date')),
      ...matches('date', text, YEAR),
      ...matches('price', text, PRICE),
      ...matches('hours', text, HOURS),
      ...names.in(text).map(plain('staff')),
    ].sort((a, b) => FIRST.indexOf(a.kind) - FIRST.indexOf(b.kind) || b.to - b.from - (a.to - a.from));
    const kept: FactInLine[] = [];
    for (const one of found)
      if (kept.every((other) => other.to <= one.from || one.to <= other.from)) kept.push(one);
    return kept.sort((a, b) => a.from - b.from);
  };
  return ({ wordings }) =>
    wordings.flatMap(({ id, parts }) =>
      parts.flatMap((part) =>
        linesOf(part.passage).flatMap((line, at) => {
          const text = lineText(line);
          return inLine(line).map((fact) => ({
            ...fact,
            wording: id,
            part: part.id,
            line: at,
            words: text.slice(fact.from, fact.to),
          }));
        }),
      ),
    );
}
