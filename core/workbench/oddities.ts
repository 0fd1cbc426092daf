import { withArticle } from '#core/language';

/** How a line reads oddly: a code, and from where to where in the line. */
export interface Oddity {
  code:
    | 'doubled-space'
    | 'space-before-stop'
    | 'doubled-stop'
    | 'starts-with-stop'
    | 'small-start'
    | 'empty-brackets'
    | 'unpaired-bracket'
    | 'wrong-article'
    | 'word-twice'
    | 'hangs';
  from: number;
  to: number;
}

/** What is odd wherever it is met; a pattern each, with the group that is at fault. */
const ANYWHERE: [Oddity['code'], RegExp][] = [
  ['doubled-space', /(?<=\S) {2,}(?=\S)/g],
  ['space-before-stop', /(?<=[\p{L}\p{N})]) +[,.;:!?](?=\s|$)/gu],
  // Dots of an ellipsis, and "?!", are meant.
  ['doubled-stop', /(?<![.!?])(?:\.\.(?!\.)|[,;:][,;:.!?]|[.!?][,;:]|\.[!?]|[!?]\.)/g],
  ['starts-with-stop', /^\s*[,.;:!?]/g],
  ['empty-brackets', /\(\s*\)/g],
  ['word-twice', /\b(\p{L}{2,}) \1\b/giu],
];

/** English alone: words that something must follow; before a full stop only those no sentence can end in. */
const HANGS = /(?<=\s)(?:(?:and|or|the|an?)(?=\s*[.!?]?\s*$)|(?:with|of|to|at|from|by|for)(?=\s*$))/g;
/** English alone: a sentence that begins small after another has ended. */
const SMALL_START = /(?<=\p{L}{2}[.!?]["”’)]? )\p{Ll}/gu;

const PAIRS: [string, string][] = [
  ['(', ')'],
  ['[', ']'],
  ['“', '”'],
];

const found = (code: Oddity['code'], pattern: RegExp, line: string): Oddity[] =>
  [...line.matchAll(pattern)].map((match) => ({
    code,
    from: match.index,
    to: match.index + match[0].length,
  }));

function unpaired(line: string): Oddity[] {
  return PAIRS.flatMap(([open, close]) => {
    let depth = 0;
    for (const [at, one] of Array.from(line).entries()) {
      if (one === open) depth += 1;
      if (one === close) depth -= 1;
      if (depth < 0) return [{ code: 'unpaired-bracket' as const, from: at, to: at + 1 }];
    }
    const at = line.lastIndexOf(open);
    return depth > 0 ? [{ code: 'unpaired-bracket' as const, from: at, to: at + 1 }] : [];
  });
}

function articles(line: string, language: string): Oddity[] {
  return [...line.matchAll(/\b(an?) ([\p{L}\p{N}-]+)/giu)].flatMap((match) => {
    const right = withArticle(match[2]!, language).split(' ')[0]!;
    if (right.toLowerCase() === match[1]!.toLowerCase()) return [];
    return [{ code: 'wrong-article' as const, from: match.index, to: match.index + match[0].length }];
  });
}

/**
 * How a finished line reads oddly, as far as its signs and letters can tell. Approximate: what it does not tell of may
 * still be odd, and what it tells of is worth a look, not wrong for sure.
 */
export function odditiesOf(line: string, language: string): Oddity[] {
  const everywhere = [
    ...ANYWHERE.flatMap(([code, pattern]) => found(code, pattern, line)),
    ...unpaired(line),
  ];
  if (!language.toLowerCase().startsWith('en')) return everywhere;
  return [
    ...everywhere,
    ...found('small-start', SMALL_START, line),
    ...articles(line, language),
    // Alone on its line such a word is no unfinished sentence.
    ...found('hangs', HANGS, line).filter(({ from }) => line.slice(0, from).trim() !== ''),
  ];
}

const WORDS: Record<Oddity['code'], string> = {
  'doubled-space': 'two spaces in a row',
  'space-before-stop': 'a space before a stop',
  'doubled-stop': 'two stops in a row',
  'starts-with-stop': 'a line that begins with a stop',
  'small-start': 'a sentence that begins with a small letter',
  'empty-brackets': 'brackets with nothing in them',
  'unpaired-bracket': 'a bracket or quote without its partner',
  'wrong-article': '“a” where “an” belongs, or the other way round',
  'word-twice': 'a word said twice',
  hangs: 'a line that stops in mid-sentence',
};

/** What is odd, in words. */
export const oddityInWords = (code: Oddity['code']): string => WORDS[code];
