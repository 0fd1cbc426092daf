/** What speech has and writing has not: sounds that fill a pause, a word or its beginning said twice, a sentence begun anew. */
export const DISFLUENCIES = ['filler', 'stammer', 'false-start'] as const;
export type DisfluencyKind = (typeof DISFLUENCIES)[number];

/** One of them in a line: from and to as places in its text, with the space and the marks that go along. */
export interface Disfluency {
  from: number;
  to: number;
  kind: DisfluencyKind;
}

/** Sounds that fill a pause, by language, until a member says otherwise. */
const FILLERS: Readonly<Record<string, readonly string[]>> = {
  en: ['um', 'umm', 'uh', 'uhm', 'er', 'erm', 'mm', 'hmm'],
  cy: ['ym', 'ymm', 'y', 'yy', 'm', 'mm'],
  de: ['äh', 'ähm', 'öh', 'hm', 'mhm'],
};
/** Languages whose fillers are known. */
export const FILLER_LANGUAGES: readonly string[] = Object.keys(FILLERS);
/** Fillers of a language, of which the first part of its code counts; those of English where none are known. */
export const fillersOf = (language: string): readonly string[] =>
  FILLERS[language.split('-')[0]!.toLowerCase()] ?? FILLERS.en!;

/** So many characters beside a filler may be marks and spaces that go along with it. */
const AROUND = 12;
/** A sentence that is broken off and begun anew has so many characters at the most. */
const LONGEST_BROKEN_OFF = 200;

/** A phrase of so many words is looked for again right behind itself. */
const MOST_REPEATED = 4;

const escaped = (word: string) => word.replace(/[.*+?^${}()|[\]\\]/g, '\\$&').replace(/\s+/g, '\\s+');
const BEFORE = "(?<![\\p{L}\\p{N}'’-])";
const BEHIND = "(?![\\p{L}\\p{N}'’-])";

/** How far a filler reaches, so that what is left reads well without it. */
function reachOf(text: string, from: number, to: number): { from: number; to: number } {
  // No more of a line is looked at than what may go along: all of it, for each filler, would take time by the square.
  const start = Math.max(0, from - AROUND);
  const [left, right] = [text.slice(start, from), text.slice(to, to + AROUND)];
  const comma = /,\s*$/.exec(left);
  const mark = /^\s*(?:,|…|\.\.\.|[–—])/.exec(right);
  // Between two commas, both: "we, um, went".
  if (comma && mark) return { from: start + comma.index, to: to + mark[0].length };
  // By itself, with its stop: "Um. We went".
  const stop = /^[.!?]+\s*/.exec(right);
  if (stop && /(?:^|[.!?…]\s*)$/.test(left)) return { from, to: to + stop[0].length };
  if (mark) return { from, to: to + /^\s*(?:,|…|\.\.\.|[–—])\s*/.exec(right)![0].length };
  const space = /^\s+/.exec(right);
  if (space) return { from, to: to + space[0].length };
  const behind = /,?\s+$/.exec(left);
  return { from: behind ? start + behind.index : from, to };
}

function fillersIn(text: string, fillers: readonly string[]): Disfluency[] {
  const words = fillers.map((word) => word.trim()).filter((word) => word !== '');
  if (words.length === 0) return [];
  // The longest first: "you know what" before "you know".
  const any = words.toSorted((a, b) => b.length - a.length).map(escaped);
  const pattern = new RegExp(`${BEFORE}(?:${any.join('|')})${BEHIND}`, 'giu');
  return [...text.matchAll(pattern)].map(({ index, 0: said }) => ({
    ...reachOf(text, index, index + said.length),
    kind: 'filler',
  }));
}

interface Word {
  from: number;
  to: number;
  plain: string;
}

const wordsOf = (text: string): Word[] =>
  [...text.matchAll(/[\p{L}\p{N}]+(?:['’][\p{L}\p{N}]+)*/gu)].map(({ index, 0: word }) => ({
    from: index,
    to: index + word.length,
    plain: word.toLowerCase(),
  }));

/** How many words from `at` on are said again right behind them; 0 for none. */
function repeatedAt(text: string, words: readonly Word[], at: number): number {
  for (let count = Math.min(MOST_REPEATED, Math.floor((words.length - at) / 2)); count > 0; count -= 1) {
    const isSame = Array.from(
      { length: count },
      (_, i) => words[at + i]!.plain === words[at + count + i]!.plain,
    );
    const between = text.slice(words[at + count - 1]!.to, words[at + count]!.from);
    const within = text.slice(words[at]!.from, words[at + 2 * count - 1]!.to);
    if (isSame.every(Boolean) && /^[\s,…–—-]*$/.test(between) && !/[.!?;:]\s/.test(within)) return count;
  }
  return 0;
}

/** Words and phrases that are said twice, but for numbers: the first time is marked. */
function repeatsIn(text: string): Disfluency[] {
  const words = wordsOf(text);
  const found: Disfluency[] = [];
  for (let at = 0; at < words.length; at += 1) {
    if (/^\p{N}/u.test(words[at]!.plain)) continue;
    const count = repeatedAt(text, words, at);
    if (count === 0) continue;
    const isOne = count === 1 && !/[–—]/.test(text.slice(words[at]!.to, words[at + 1]!.from));
    found.push({
      from: words[at]!.from,
      to: words[at + count]!.from,
      kind: isOne ? 'stammer' : 'false-start',
    });
    at += count - 1;
  }
  return found;
}

/** Words that are broken off by a dash: the beginning of the next word, or else the sentence up to there. */
function brokenOffIn(text: string, fillers: ReadonlySet<string>): Disfluency[] {
  return [...text.matchAll(/(?<![\p{L}\p{N}'’-])(\p{L}+)(?:-|–|—)\s+(?=(\p{L}*))/gu)].flatMap(
    ({ index, 0: all, 1: part = '', 2: next = '' }): Disfluency[] => {
      // A filler that trails off begins nothing anew.
      if (fillers.has(part.toLowerCase())) return [];
      const to = index + all.length;
      if (next.toLowerCase().startsWith(part.toLowerCase())) return [{ from: index, to, kind: 'stammer' }];
      // A hyphen stands in a word that is broken off; a dash may end a sentence that is.
      if (/-\s+$/.test(all) || next === '') return [];
      const first = Math.max(0, index - LONGEST_BROKEN_OFF);
      const sentence = text
        .slice(first, index)
        .split(/[.!?…;:,]/)
        .at(-1)!;
      return [{ from: index - sentence.trimStart().length, to, kind: 'false-start' }];
    },
  );
}

/**
 * What of a line are fillers, stammers and false starts, in its order and without overlaps. Rules of form alone: a word that is
 * rightly said twice ("had had") is found as well, and whoever writes says so.
 */
export function disfluenciesIn(text: string, fillers: readonly string[]): Disfluency[] {
  const all = [...fillersIn(text, fillers), ...brokenOffIn(text, new Set(fillers)), ...repeatsIn(text)];
  all.sort((a, b) => a.from - b.from || b.to - a.to);
  const found: Disfluency[] = [];
  for (const one of all) {
    const last = found.at(-1);
    if (!last || one.from >= last.to) found.push(one);
    // Two fillers that share a comma: "well, um, uh, no".
    else if (last.kind === 'filler' && one.kind === 'filler') last.to = Math.max(last.to, one.to);
  }
  return found;
}
