import { folded } from './keys';
import { TermIndex, type FoundBy, type Offerable } from './termIndex';

/** A list in reach that is offered from: a glossary, or the bank itself. */
export interface OfferSource {
  id: string;
  kind: 'term' | 'entry';
  /** Of two lists, the one with the higher number offers first. */
  priority: number;
  /** Whether what it has is offered before what others have that is found by the same rule. */
  goesFirst?: boolean;
  index: TermIndex;
  /** What this person has used of it, as an index of its own; null for nothing yet. */
  used: Used | null;
}

/** What a person has used of a list: the most used first, with how often, and where each stands in the list itself. */
export interface Used {
  index: TermIndex;
  ids: readonly number[];
  times: readonly number[];
}

/** One thing offered for what stands before the caret. */
export interface TermOffer {
  source: string;
  kind: 'term' | 'entry';
  /** Its place in the terms of its source. */
  id: number;
  text: string;
  by: FoundBy;
  /** Where in the line what it replaces begins. */
  from: number;
  /** How often this person has used it. */
  times: number;
}

/** What is typed last in a line, as a rule looks at it. */
interface Question {
  from: number;
  folded: string;
  by: FoundBy;
}

const MOST_WORDS = 4;
const WORDLIKE = /[\p{L}\p{M}\p{N}'’-]/u;

/** Whether a code unit belongs to a word; without a pattern for nearly every one that is typed. */
function isOfWord(code: number): boolean {
  if (code < 128) {
    const isLetter = (code | 32) >= 97 && (code | 32) <= 122;
    return isLetter || (code >= 48 && code <= 57) || code === 39 || code === 45;
  }
  return WORDLIKE.test(String.fromCharCode(code));
}

const isSpace = (code: number) => code === 32 || code === 160;
const isInk = (code: number) => code !== 32 && code !== 160 && code !== 9 && code !== 10;

/** The place after the last code unit before `end` for which `is` does not hold. */
function runStart(line: string, end: number, is: (code: number) => boolean): number {
  let at = end;
  while (at > 0 && is(line.charCodeAt(at - 1))) at -= 1;
  return at;
}

/** Where the last words of a line begin, the longest stretch first: up to four words, and not past a stop. */
function wordStarts(line: string): number[] {
  const starts: number[] = [];
  let end = line.length;
  while (starts.length < MOST_WORDS) {
    const from = runStart(line, end, isOfWord);
    if (from === end) break;
    starts.push(from);
    end = runStart(line, from, isSpace);
    if (end === from) break;
  }
  return starts.reverse();
}

/** Everything that may be asked of the indexes for a line, best kind of match first. */
function questions(line: string): Question[] {
  const asked: Question[] = [];
  const inkFrom = runStart(line, line.length, isInk);
  if (inkFrom < line.length) asked.push({ from: inkFrom, folded: folded(line.slice(inkFrom)), by: 'cue' });
  const starts = wordStarts(line);
  for (const from of starts) asked.push({ from, folded: folded(line.slice(from)), by: 'beginning' });
  const last = asked.at(-1);
  if (last && starts.length > 0) asked.push({ ...last, by: 'initials' }, { ...last, by: 'consonants' });
  return asked;
}

/** Something found: in which source, where, and how often it has been used. */
interface Find {
  source: OfferSource;
  id: number;
  term: Offerable;
  times: number;
}

/** Whether an offer is worth its key: a term that is typed, or nearly so, is not. */
const isWorth = (term: Offerable, { folded: typed, by }: Question, kind: OfferSource['kind']) =>
  kind === 'entry' || term.text.length - typed.length >= (by === 'beginning' ? 2 : 1);

/** Adds the best `most` of one index that are worth it and not known; `find` says what each of its terms is. */
function gather(
  finds: Find[],
  index: TermIndex,
  question: Question,
  most: number,
  find: (id: number) => Find | null,
): void {
  for (let many = most + 4; ; many *= 4) {
    const ids = index.find(question.folded, question.by, many);
    const before = finds.length;
    for (const id of ids) {
      const one = find(id);
      if (one && isWorth(one.term, question, one.source.kind)) finds.push(one);
      if (finds.length - before === most) return;
    }
    if (ids.length < many) return;
    finds.length = before;
  }
}

/** What one source has for one question: the used ones first, then the others. */
function gatherFrom(finds: Find[], source: OfferSource, question: Question, most: number): void {
  const { index, used } = source;
  const start = finds.length;
  if (used) {
    gather(finds, used.index, question, most, (at) => {
      const id = used.ids[at]!;
      return { source, id, term: index.terms[id]!, times: used.times[at]! };
    });
  }
  const end = finds.length;
  const isKnown = (id: number) => {
    for (let at = start; at < end; at += 1) if (finds[at]!.id === id) return true;
    return false;
  };
  gather(finds, index, question, most, (id) =>
    isKnown(id) ? null : { source, id, term: index.terms[id]!, times: 0 },
  );
}

/** Of two finds by the same rule: what is of this text alone, then the more used, then the list's priority, then the usual, the short, by letters. */
const better = (a: Find, b: Find): number =>
  Number(b.source.goesFirst ?? false) - Number(a.source.goesFirst ?? false) ||
  b.times - a.times ||
  b.source.priority - a.source.priority ||
  b.term.weight - a.term.weight ||
  a.term.text.length - b.term.text.length ||
  (a.term.text < b.term.text ? -1 : a.term.text > b.term.text ? 1 : 0);

/**
 * What to offer for the text before the caret, best first, `most` at the most. By cue before by beginning (several
 * words before one), by initials, by consonants; within each what goes first, then by this person's use, the list's priority and how usual
 * the term is. None of that depends on how much is typed, so that what stands first stays first while it still fits.
 */
export function offersFor(line: string, sources: readonly OfferSource[], most: number): TermOffer[] {
  const offers: TermOffer[] = [];
  for (const question of questions(line)) {
    const finds: Find[] = [];
    let given = 0;
    for (const source of sources) {
      const before = finds.length;
      gatherFrom(finds, source, question, most);
      if (finds.length > before) given += 1;
    }
    // One list's finds are in order already.
    if (given > 1) finds.sort(better);
    for (const { source, id, term, times } of finds) {
      if (offers.length >= most) return offers;
      const { kind } = source;
      // The same words from two lists are offered once, from the list that comes first.
      if (offers.some((offer) => offer.text === term.text && offer.kind === kind)) continue;
      offers.push({
        source: source.id,
        kind,
        id,
        text: term.text,
        by: question.by,
        from: question.from,
        times,
      });
    }
  }
  return offers;
}

/**
 * What a person has used of a list, as `offersFor` wants it; null for nothing. `times` is by what `idOf` finds a term
 * by; what is not in the list any more is passed over.
 */
export function usedOf(
  index: TermIndex,
  times: ReadonlyMap<string, number>,
  idOf: (key: string) => number | undefined = (key) => index.idOf(key),
): Used | null {
  const found = [...times].flatMap(([key, count]) => {
    const id = idOf(key);
    return id === undefined ? [] : [{ id, count }];
  });
  if (found.length === 0) return null;
  found.sort((a, b) => b.count - a.count || a.id - b.id);
  return {
    index: new TermIndex(
      found.map(({ id }) => index.terms[id]!),
      index.letters,
    ),
    ids: found.map(({ id }) => id),
    times: found.map(({ count }) => count),
  };
}
