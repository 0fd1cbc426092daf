/** A mark that was dictated as words, in a line: what goes, and what is put there, with the capital of the word behind it. */
export interface SpokenMark {
  from: number;
  to: number;
  put: string;
  /** Whether a new line begins behind what is put there. */
  breaks: boolean;
}

type Side = 'closing' | 'opening' | 'joining' | 'between' | 'break';
type Mark = { sign: string; side: Side };

const closing = (sign: string): Mark => ({ sign, side: 'closing' });
const opening = (sign: string): Mark => ({ sign, side: 'opening' });
const BREAK: Mark = { sign: '', side: 'break' };

/** What is said for a mark, by language; the longer before what it begins with. */
const MARKS: Readonly<Record<string, Readonly<Record<string, Mark>>>> = {
  en: {
    'full stop': closing('.'),
    'question mark': closing('?'),
    'exclamation mark': closing('!'),
    'semi-colon': closing(';'),
    semicolon: closing(';'),
    colon: closing(':'),
    comma: closing(','),
    'open brackets': opening('('),
    'open bracket': opening('('),
    'close brackets': closing(')'),
    'close bracket': closing(')'),
    'open quotes': opening('“'),
    'close quotes': closing('”'),
    'new paragraph': BREAK,
    'new line': BREAK,
    hyphen: { sign: '-', side: 'joining' },
    dash: { sign: '–', side: 'between' },
  },
  cy: {
    'atalnod llawn': closing('.'),
    'marc cwestiwn': closing('?'),
    gofynnod: closing('?'),
    ebychnod: closing('!'),
    'hanner colon': closing(';'),
    colon: closing(':'),
    coma: closing(','),
    'agor cromfachau': opening('('),
    'cau cromfachau': closing(')'),
    'paragraff newydd': BREAK,
    'llinell newydd': BREAK,
    cysylltnod: { sign: '-', side: 'joining' },
  },
  de: {
    punkt: closing('.'),
    fragezeichen: closing('?'),
    ausrufezeichen: closing('!'),
    strichpunkt: closing(';'),
    semikolon: closing(';'),
    doppelpunkt: closing(':'),
    komma: closing(','),
    'klammer auf': opening('('),
    'klammer zu': closing(')'),
    'neuer absatz': BREAK,
    'neue zeile': BREAK,
    bindestrich: { sign: '-', side: 'joining' },
    gedankenstrich: { sign: '–', side: 'between' },
  },
};

/** Languages in which spoken marks are known. */
export const SPOKEN_MARK_LANGUAGES: readonly string[] = Object.keys(MARKS);

const patterns = new Map<string, RegExp>();
function patternOf(language: string): RegExp {
  const known = patterns.get(language);
  if (known) return known;
  const words = Object.keys(MARKS[language]!).map((said) => said.replace(' ', '\\s+'));
  // A machine that writes down what it hears may have put marks of its own around them.
  const pattern = new RegExp(`(?<![\\p{L}\\p{N}'’-])(${words.join('|')})(?![\\p{L}\\p{N}'’-])[.,]?`, 'giu');
  patterns.set(language, pattern);
  return pattern;
}

const SPACE_BEHIND: Record<Side, string> = {
  closing: ' ',
  opening: '',
  joining: '',
  between: ' ',
  break: '',
};
const SPACE_BEFORE: Record<Side, string> = {
  closing: '',
  opening: ' ',
  joining: '',
  between: ' ',
  break: '',
};

/** The place before a place that a mark takes with it, down to the one that is taken: a comma before the word is one more that a machine put there. */
function beforeMark(text: string, place: number, taken: number): number {
  let from = place;
  while (from > taken && /[\s,]/.test(text[from - 1]!)) from -= 1;
  return from;
}

function behindSpace(text: string, place: number): number {
  let next = place;
  while (next < text.length && /\s/.test(text[next]!)) next += 1;
  return next;
}

/** The first letter behind a sign: a capital where that ends a sentence. */
const beginningOf = (letter: string, sign: string) =>
  /[.?!]/.test(sign) ? letter.toLocaleUpperCase() : letter;

/**
 * The marks that are said in a line ("we went full stop"), in its order, each with what it is written as. A mark takes the space on
 * the side where it is written close, and a sentence that begins behind it takes its capital. Rules of form alone: "came to a full
 * stop" is found as well, and whoever writes says so. Marks of a language that is not known are those of English.
 */
export function spokenMarksIn(text: string, language: string): SpokenMark[] {
  const key = SPOKEN_MARK_LANGUAGES.includes(language) ? language : 'en';
  const all = [...text.matchAll(patternOf(key))];
  const marks: SpokenMark[] = [];
  // The sign that stands last before a mark, whether it was said or written.
  let sign = '';
  for (const [at, { index, 0: whole, 1: said }] of all.entries()) {
    const mark = MARKS[key]![said!.toLowerCase().replace(/\s+/g, ' ')]!;
    const { side } = mark;
    const last = marks.at(-1);
    const from = beforeMark(text, index, last?.to ?? 0);
    const isNextToMark = from === last?.to;
    if (!isNextToMark) sign = text.charAt(from - 1);
    const isFirst = from === 0 || (isNextToMark && (last.breaks || /[(“]$/.test(sign)));
    const put = (isFirst ? '' : SPACE_BEFORE[side]) + mark.sign;
    if (mark.sign !== '') ({ sign } = mark);
    const end = index + whole.length;
    const next = behindSpace(text, end);
    const breaks = side === 'break';
    const isBeforeMark = next === all[at + 1]?.index;
    if (isBeforeMark || next >= text.length) {
      // The space between two is the second's, which may be written without the first.
      marks.push({ from, to: isBeforeMark ? end : next, put, breaks });
      continue;
    }
    const begun = beginningOf(text.charAt(next), sign);
    marks.push({ from, to: next + 1, put: put + SPACE_BEHIND[side] + begun, breaks });
  }
  return marks;
}
