import { findDates, type CalendarDate, type DateForm } from '#core/calendar';
import { lineText, linesOf, type BlankForm, type Passage } from '#core/passage';
import { converted } from '#core/units';
import { detailsOf, type CaseRecord, type Detail } from '#core/record';

/** Something in a text that belongs to this case alone: where it stands and what could stand for it. */
export interface Particular {
  /** Index of the line among `linesOf(passage)`, and UTF-16 offsets in `lineText` of that line. */
  line: number;
  from: number;
  to: number;
  words: string;
  label: string;
  /** The detail of the record that says the same; null when the record does not know it. */
  path: string | null;
  form: BlankForm;
}

type Found = Omit<Particular, 'line' | 'words'>;

const escape = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

/** Names are matched by their capital letters, since "bramble" may be a bush; other words in any case. */
const MATCHED_EXACTLY = new Set(['name', 'customer', 'clinician', 'place']);
/** Words too common to belong to a case wherever they stand. */
const TOO_COMMON = new Set([
  'sex',
  'days in care',
  'topic',
  'medicines',
  'problems',
  'reason',
  'ward',
  'weighed',
  'temperature',
]);

function findWords(text: string, detail: Detail): Found[] {
  if (detail.value.kind !== 'text' || detail.value.text.length < 2) return [];
  const flags = MATCHED_EXACTLY.has(detail.path) ? 'gu' : 'giu';
  const pattern = new RegExp(`(?<![\\p{L}\\p{N}])${escape(detail.value.text)}(?![\\p{L}\\p{N}])`, flags);
  return [...text.matchAll(pattern)].map((match) => ({
    from: match.index,
    to: match.index + match[0].length,
    label: detail.label,
    path: detail.path,
    form: 'as-is',
  }));
}

/** The same amount, in its own unit or another: half of the last digit that people write does not part them. */
function sameAmount(value: number, unit: string, wanted: { value: number; unit: string }): boolean {
  const inTheirs = converted(value, unit, wanted.unit);
  return inTheirs !== null && Math.abs(inTheirs - wanted.value) <= Math.abs(wanted.value) * 0.001;
}

/** Amounts that were measured at any time: the latest and the first have details, those between are asked for. */
function findAmounts(text: string, record: CaseRecord, details: readonly Detail[]): Found[] {
  return [
    ...text.matchAll(/(?<![\p{L}\p{N}.,])(\d{1,3}(?:,\d{3})+|\d+(?:\.\d+)?)\s?(mg|kg|g|°C)(?!\p{L})/gu),
  ].flatMap((match) => {
    const value = Number(match[1]!.replace(/,/g, ''));
    const detail = details.find(
      (one) =>
        one.value.kind === 'quantity' &&
        sameAmount(value, match[2]!, one.value) &&
        one.path !== 'days in care',
    );
    const earlier = record.measurements.find((one) => sameAmount(value, match[2]!, one));
    if (!detail && !earlier) return [];
    return [
      {
        from: match.index,
        to: match.index + match[0].length,
        label: detail?.label ?? `Earlier ${earlier!.label.toLowerCase()}`,
        path: detail?.path ?? null,
        form: 'as-is',
      },
    ];
  });
}

const IN_WORDS = 'one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve';
/** "11 weeks old", "11-week-old", "a three week old", "aged 11 weeks", "aged 3". */
const AGE = new RegExp(
  `(?<![\\p{L}\\p{N}])(?:(?:\\d{1,3}|${IN_WORDS})[ -](?:day|week|month|year)s?(?=[ -]olds?(?!\\p{L}))|(?<=[Aa]ged (?:about )?)\\d{1,3}(?: (?:days?|weeks?|months?|years?))?(?![\\p{L}\\p{N}]))`,
  'gu',
);

/** Ages of whoever it is. */
function findAges(text: string, details: readonly Detail[]): Found[] {
  const known = details.find(({ path }) => path === 'age');
  const plain = (words: string) => words.replace('-', ' ').replace(/s$/, '');
  return [...text.matchAll(AGE)].map((match) => {
    const isKnown = known?.value.kind === 'text' && plain(known.value.text) === plain(match[0]);
    const to = match.index + match[0].length;
    // "11-week-old" reads as one word: what stands in its place is asked for whole.
    const asWord = match[0].includes('-');
    return {
      from: match.index,
      to: asWord ? to + 4 : to,
      label: 'Age',
      path: isKnown && !asWord ? 'age' : null,
      form: 'as-is',
    };
  });
}

const MONTH =
  'January|February|March|April|May|June|July|August|September|October|November|December|Jan|Feb|Mar|Apr|Jun|Jul|Aug|Sept?|Oct|Nov|Dec';
const WEEKDAY = '(?:(?:Mon|Tues|Wednes|Thurs|Fri|Satur|Sun)day,? )?';
const DAY_FIRST = `${WEEKDAY}(?<day>\\d{1,2})(?:st|nd|rd|th)?(?: of)? (?<month>${MONTH})(?!\\p{L}|,? \\d{4})`;
const MONTH_FIRST = `${WEEKDAY}(?<month2>${MONTH}) (?<day2>\\d{1,2})(?:st|nd|rd|th)?(?![\\p{L}\\p{N}]|,? \\d{4})`;
const IN_FIGURES =
  '(?<=(?:[Oo]n|[Ss]ince|[Ff]rom|[Uu]ntil|[Bb]y|[Bb]efore|[Aa]fter) )(?<day3>\\d{1,2})/(?<month3>\\d{1,2})(?![\\p{N}/])';
/** A day without its year: "16 November", "16th of Nov", "Monday 16 November", "November 16", "on 16/11". */
const DAY = new RegExp(`(?<![\\p{L}\\p{N}/.-])(?:${DAY_FIRST}|${MONTH_FIRST}|${IN_FIGURES})`, 'gu');
const MONTHS = 'jan feb mar apr may jun jul aug sep oct nov dec'.split(' ');

/** Days that are written without their year, with the detail of the record that is that day of the year. */
function findDaysOfTheYear(text: string, details: readonly Detail[]): Found[] {
  return [...text.matchAll(DAY)].flatMap((match): Found[] => {
    const { day, month, day2, month2, day3, month3 } = match.groups!;
    const name = month ?? month2;
    const number = name ? MONTHS.indexOf(name.slice(0, 3).toLowerCase()) + 1 : Number(month3);
    const which = Number(day ?? day2 ?? day3);
    if (number < 1 || number > 12 || which < 1 || which > 31) return [];
    const end = `-${String(number).padStart(2, '0')}-${String(which).padStart(2, '0')}`;
    const detail = details.find((one) => one.value.kind === 'date' && one.value.date.endsWith(end));
    return [
      {
        from: match.index,
        to: match.index + match[0].length,
        label: detail?.label ?? 'Date',
        path: detail?.path ?? null,
        form: detail ? 'day-month' : 'as-is',
      },
    ];
  });
}

function findDays(text: string, details: readonly Detail[]): Found[] {
  return findDates(text).map(({ from, to, date, form }) => {
    const detail = details.find((one) => one.value.kind === 'date' && one.value.date === date);
    return {
      from,
      to,
      label: detail?.label ?? 'Date',
      path: detail?.path ?? null,
      form: form satisfies DateForm,
    };
  });
}

function withoutOverlaps(found: Found[]): Found[] {
  const ordered = [...found].sort((a, b) => a.from - b.from || b.to - a.to);
  let end = 0;
  return ordered.filter(({ from, to }) => {
    const isFree = from >= end;
    end = Math.max(end, to);
    return isFree;
  });
}

/**
 * The particulars of a case in a passage: names, species and number from its record, amounts equal to one that was ever
 * measured (also in another unit), ages, and every written date, with its year or without. In reading order, none overlapping. Where
 * in doubt it finds: a person can turn one back, but what is missed would enter the bank.
 */
export function findParticulars(passage: Passage, record: CaseRecord, today: CalendarDate): Particular[] {
  const details = detailsOf(record, today);
  const wordy = details.filter((detail) => !TOO_COMMON.has(detail.path));
  return linesOf(passage).flatMap((line, index) => {
    const text = lineText(line);
    const found = [
      ...wordy.flatMap((detail) => findWords(text, detail)),
      ...findAmounts(text, record, details),
      ...findDays(text, details),
      ...findDaysOfTheYear(text, details),
      ...findAges(text, details),
    ];
    return withoutOverlaps(found).map((one) => ({
      ...one,
      line: index,
      words: text.slice(one.from, one.to),
    }));
  });
}
