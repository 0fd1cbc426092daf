import { findDates, type CalendarDate, type DateForm } from '#core/calendar';
import { lineText, linesOf, type BlankForm, type Passage } from '#core/passage';
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

const GRAMS: Record<string, number> = { mg: 0.001, g: 1, kg: 1000 };

function sameAmount(value: number, unit: string, wanted: { value: number; unit: string }): boolean {
  const [a, b] = [GRAMS[unit], GRAMS[wanted.unit]];
  if (a !== undefined && b !== undefined) return Math.abs(value * a - wanted.value * b) < 0.5;
  return unit === wanted.unit && value === wanted.value;
}

function findAmounts(text: string, details: readonly Detail[]): Found[] {
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
    if (!detail) return [];
    return [
      {
        from: match.index,
        to: match.index + match[0].length,
        label: detail.label,
        path: detail.path,
        form: 'as-is',
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
  return ordered.filter((one, index) => ordered.slice(0, index).every((other) => other.to <= one.from));
}

/**
 * The particulars of a case in a passage: names, species, age and number from its record, amounts equal to a
 * weight in it (also in the other unit), and every written date. In reading order, none overlapping. Where
 * in doubt it finds: a person can turn one back, but what is missed would enter the bank.
 */
export function findParticulars(passage: Passage, record: CaseRecord, today: CalendarDate): Particular[] {
  const details = detailsOf(record, today);
  const wordy = details.filter((detail) => !TOO_COMMON.has(detail.path));
  return linesOf(passage).flatMap((line, index) => {
    const text = lineText(line);
    const found = [
      ...wordy.flatMap((detail) => findWords(text, detail)),
      ...findAmounts(text, details),
      ...findDays(text, details),
    ];
    return withoutOverlaps(found).map((one) => ({
      ...one,
      line: index,
      words: text.slice(one.from, one.to),
    }));
  });
}
