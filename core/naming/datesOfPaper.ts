import { fullYear, isCalendarDate, monthsOf, type CalendarDate } from '#core/calendar';
import { ownWordsOf } from '#core/language';
import type { Paper } from './paper';

/** A date that a paper may be named by. */
export interface DateOfPaper {
  date: CalendarDate;
  /** The words around it as they stand there, or what else says it. */
  context: string;
  /** A month without a day: the date is its first. */
  isMonth: boolean;
}

interface Found extends DateOfPaper {
  score: number;
}

/** What stands before the date that a paper is of. */
const OF_THE_PAPER =
  /\b(?:dated?|date of (?:issue|statement|invoice|letter)|issued?|statement(?: date| of)?|invoice date|bill date|tax point|as (?:at|of|on)|written|printed on|survey(?:ed)?|visit(?:ed)?|ringed|on)\b[\s:.]*$/i;
/** What stands before one that it only tells of. */
const OF_ELSE =
  /\b(?:due(?: (?:on|by|date))?|pay(?:able)? by|payment (?:due|by)|before|until|valid|expir\w+|deadline|born|birth|d\.?o\.?b\.?|next|renewal|since|from)\b[\s:.]*$/i;
const PLAIN_DATE = /\bdate\b[\s:.]*$/i;

const pad = (text: string | number) => String(text).padStart(2, '0');

/** What languages shorten months to where it is no beginning of three letters; the rest is made of their names. */
const SHORTENED: Record<string, number> = { sept: 9 };

/** The names of months, with what they are shortened to, in the languages of the papers: without accents, by their number. */
function monthNumbers(languages: readonly string[]): Map<string, number> {
  const numbers = new Map(Object.entries(SHORTENED));
  const add = (name: string, month: number) => {
    const key = plain(name).replace(/\.$/, '');
    if (key.length >= 3 && !numbers.has(key)) numbers.set(key, month);
  };
  for (const language of ['en-GB', ...languages]) {
    const form = { timeZone: 'UTC' } as const;
    const short = new Intl.DateTimeFormat(language, { ...form, month: 'short' });
    // Some languages have another form of the name behind a day.
    const behindDay = new Intl.DateTimeFormat(language, { ...form, month: 'long', day: 'numeric' });
    monthsOf(language).forEach((name, at) => {
      add(name, at + 1);
      if (ownWordsOf(language)) return;
      const day = Date.UTC(2026, at, 15);
      add(short.format(day), at + 1);
      add(behindDay.formatToParts(day).find(({ type }) => type === 'month')?.value ?? '', at + 1);
    });
  }
  return numbers;
}

const known = new Map<string, Shape[]>();

const plain = (words: string) => words.toLowerCase().normalize('NFD').replace(/\p{M}/gu, '');

interface Shape {
  pattern: RegExp;
  read: (match: RegExpMatchArray) => { year: string; month: string; day: string | null } | null;
}

/** Day and month in figures: day first, but where only the other way round there is such a day. */
const dayAndMonth = (first: string, second: string) =>
  Number(second) > 12 ? { day: second, month: first } : { day: first, month: second };

function shapesOf(languages: readonly string[]): Shape[] {
  const key = languages.join();
  const made = known.get(key);
  if (made) return made;
  const names = monthNumbers(languages);
  // Longest first: "mar" stands in "march". Looked for in text without accents.
  const month = `(?:${[...names.keys()].sort((a, b) => b.length - a.length).join('|')})`;
  const ofName = (name: string) => String(names.get(name) ?? 0);
  const shapes: Shape[] = [
    {
      pattern: /(?<!\d)(\d{4})[-_./](\d{1,2})[-_./](\d{1,2})(?!\d)/g,
      read: ([, year, one, two]) => ({ year: year!, month: one!, day: two! }),
    },
    {
      pattern: /(?<!\d)(19|20)(\d{2})(\d{2})(\d{2})(?!\d)/g,
      read: ([, century, year, one, two]) => ({ year: century! + year!, month: one!, day: two! }),
    },
    {
      pattern: /(?<![\d.,/])(\d{1,2})([-_./])(\d{1,2})\2(\d{4}|\d{2})(?![\d/]|\.\d)/g,
      read: ([, one, , two, year]) => ({ year: year!, ...dayAndMonth(one!, two!) }),
    },
    {
      pattern: new RegExp(
        `(?<!\\d)(\\d{1,2})(?:st|nd|rd|th|er|o|\\.)?[\\s-]*(?:of |de |d')?(${month})\\.?(?:[\\s,-]+(?:de )?)(\\d{4}|\\d{2}(?![\\d:]))`,
        'g',
      ),
      read: ([, day, name, year]) => ({ year: year!, month: ofName(name!), day: day! }),
    },
    {
      pattern: new RegExp(`(?<!\\p{L})(${month})\\.?\\s+(\\d{1,2})(?:st|nd|rd|th)?,?\\s+(\\d{4})`, 'gu'),
      read: ([, name, day, year]) => ({ year: year!, month: ofName(name!), day: day! }),
    },
    {
      pattern: new RegExp(`(?<![\\p{L}\\d]|\\d[\\s-])(${month})\\.?[\\s,-]+(?:de )?(\\d{4})(?!\\d)`, 'gu'),
      read: ([, name, year]) => ({ year: year!, month: ofName(name!), day: null }),
    },
  ];
  known.set(key, shapes);
  return shapes;
}

/** Far ahead or long past, a day is hardly that of a paper that is named today. */
function plausibility(date: CalendarDate, today: CalendarDate): number {
  const years = Number(today.slice(0, 4)) - Number(date.slice(0, 4));
  if (date > today) return years < -1 ? -4 : -2;
  return years > 30 ? -3 : years > 8 ? -1 : 0;
}

function roleOf(before: string): number {
  if (OF_ELSE.test(before)) return -4;
  if (OF_THE_PAPER.test(before)) return 4;
  return PLAIN_DATE.test(before) ? 3 : 0;
}

/** So much before and behind a date is told with it. */
const AROUND = { before: 28, behind: 12 };

function contextOf(text: string, from: number, to: number): string {
  const line = text.lastIndexOf('\n', from - 1) + 1;
  const end = text.indexOf('\n', to);
  const start = Math.max(line, from - AROUND.before);
  const stop = Math.min(end < 0 ? text.length : end, to + AROUND.behind);
  // No word is cut at the front.
  const cut = start > line ? start + Math.max(0, text.slice(start, from).search(/\s/)) : start;
  return text.slice(cut, stop).replace(/\s+/g, ' ').trim();
}

/** Text with its accents taken off, letter for letter: what is found in it stands where it stands in the text. */
const letterForLetter = (text: string): string =>
  text.normalize('NFC').replace(/[^\u0000-\u007F]/gu, (letter) => {
    const bare = plain(letter);
    return bare.length === letter.length ? bare : letter;
  });

function datesInText(text: string, languages: readonly string[], today: CalendarDate): Found[] {
  const whole = text.normalize('NFC');
  const searched = letterForLetter(whole).toLowerCase();
  // Where a capital has no small letter of its length, places would not be right.
  if (searched.length !== whole.length) return [];
  const found: (Found & { from: number; to: number })[] = [];
  for (const { pattern, read } of shapesOf(languages))
    for (const match of searched.matchAll(pattern)) {
      const parts = read(match);
      if (!parts) continue;
      const date = `${fullYear(parts.year, today)}-${pad(parts.month)}-${pad(parts.day ?? 1)}`;
      const [from, to] = [match.index, match.index + match[0].length];
      if (!isCalendarDate(date) || found.some((one) => from < one.to && one.from < to)) continue;
      const before = whole.slice(Math.max(0, from - 40), from);
      const line = before.slice(before.lastIndexOf('\n') + 1);
      // A head over its figure: the words of the line above.
      const above = line.trim() === '' ? before.trimEnd() : line;
      found.push({
        ...{ from, to, date, isMonth: parts.day === null, context: contextOf(whole, from, to) },
        score:
          roleOf(above) +
          plausibility(date, today) +
          (from < 600 ? 1.5 : from < 2000 ? 0.5 : 0) -
          (parts.day === null ? 1 : 0),
      });
    }
  return found;
}

/** So many dates are told of one paper. */
const MOST_DATES = 8;

/**
 * The dates that a paper may be named by, the likeliest first: those in its words (what stands before them tells whether they are its own,
 * or when something is due), in its old name, its properties, and the day it was last changed at the end. `languages`: of the papers (BCP 47).
 */
export function datesOfPaper(
  paper: Paper,
  { languages, today }: { languages: readonly string[]; today: CalendarDate },
): DateOfPaper[] {
  const all: Found[] = [
    ...datesInText(paper.text, languages, today),
    ...datesInText(paper.title, languages, today).map((one) => ({ ...one, score: one.score + 1 })),
    ...datesInText(paper.name, languages, today).map((one) => ({
      ...one,
      ...{ context: 'in its old name', score: one.score - 0.5 },
    })),
  ];
  if (paper.dated)
    all.push({ date: paper.dated, context: paper.datedAs, isMonth: false, score: paper.text === '' ? 3 : 1 });
  const byDate = new Map<string, Found>();
  for (const one of all) {
    const other = byDate.get(one.date);
    if (!other) byDate.set(one.date, { ...one });
    else {
      // Said more than once it is likelier, and told with the words that say most.
      const best = one.score > other.score ? one : other;
      byDate.set(one.date, { ...best, score: best.score + 0.5 });
    }
  }
  const sorted = [...byDate.values()].sort((a, b) => b.score - a.score).slice(0, MOST_DATES);
  const told = sorted.map(({ date, context, isMonth }) => ({ date, context, isMonth }));
  return byDate.has(paper.changed)
    ? told
    : [...told, { date: paper.changed, context: 'last changed', isMonth: false }];
}
