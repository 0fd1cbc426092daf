import { isCalendarDate, type CalendarDate } from '#core/calendar';
import { figures } from '#core/record';
import type { Concept, Dosage, HumanName, Quantity } from './resources';

/** The calendar date a FHIR dateTime was written on, in its own place: no zone moves it. Null for a part of a date. */
export const dayOf = (written: string | undefined): CalendarDate | null => {
  const day = written?.slice(0, 10) ?? '';
  return isCalendarDate(day) ? day : null;
};

/** The minute of the day (0 to 1439) that a FHIR dateTime tells, in its own place; null where it tells none. */
export const minuteOf = (written: string | undefined): number | null => {
  const time = /T(\d{2}):(\d{2})/.exec(written ?? '');
  return time ? Number(time[1]) * 60 + Number(time[2]) : null;
};

/** The words for a coded concept: its display, else its text, else a code; null for none. */
export function wordsFor(concept: Concept | undefined): string | null {
  const display = concept?.coding?.find((coding) => coding.display?.trim())?.display;
  const words = display ?? (concept?.text?.trim() || concept?.coding?.find(({ code }) => code)?.code);
  return words?.trim() || null;
}

/** The codes of a concept. */
export const codesOf = (concept: Concept | undefined): string[] =>
  concept?.coding?.flatMap(({ code }) => (code ? [code] : [])) ?? [];

/** The words of several concepts. */
export const allInWords = (concepts: readonly Concept[] | undefined): string | null =>
  concepts
    ?.map((one) => wordsFor(one))
    .filter(Boolean)
    .join('; ') || null;

/** A person's or animal's name in one line, the one in use now before any other; null when there is none. */
export function nameInWords(names: HumanName[] | undefined): string | null {
  const name = names?.find(({ use }) => use === 'official' || use === 'usual') ?? names?.[0];
  const parts = [...(name?.prefix ?? []), ...(name?.given ?? []), name?.family ?? ''];
  return name?.text?.trim() || parts.join(' ').replace(/\s+/g, ' ').trim() || null;
}

/** Units of UCUM that people write otherwise. */
const UNITS: Record<string, string> = {
  Cel: '°C',
  '[degF]': '°F',
  '/min': 'a minute',
  '{beats}/min': 'beats a minute',
  '{breaths}/min': 'breaths a minute',
  'mm[Hg]': 'mmHg',
  'cm[H2O]': 'cmH2O',
  '[lb_av]': 'lb',
  '[oz_av]': 'oz',
  '[in_i]': 'in',
  '[ft_i]': 'ft',
  ug: 'µg',
  '10*3/uL': '10³/µL',
  '10*6/uL': '10⁶/µL',
  '10*9/L': '10⁹/L',
  '10*12/L': '10¹²/L',
  '1': '',
};

/** A unit as people write it: UCUM's own signs are put into words, its remarks in braces without the braces. */
export function unitInWords({ unit, code }: Quantity): string {
  const written = unit || code || '';
  const plain = written.replace(/\[(?:iU|IU)\]/g, 'IU').replace(/[{}]/g, '');
  return UNITS[written] ?? plain.trim().slice(0, 40);
}

/** So many digits are measured at the most; what a machine wrote behind them is noise. Whole numbers stay as they are. */
const DIGITS = 6;

/** A value without what no instrument measures: 43.0968663797 is 43.0969. */
export function withoutNoise(value: number): number {
  const before = Math.max(1, Math.floor(Math.log10(Math.abs(value) || 1)) + 1);
  return Math.abs(value) < 1
    ? Number(value.toPrecision(DIGITS))
    : Number(value.toFixed(Math.max(0, DIGITS - before)));
}

/** An amount in words: "< 5 mg/L"; null without a number. */
export function quantityInWords(quantity: Quantity | undefined): string | null {
  if (quantity?.value === undefined) return null;
  const { value, comparator } = quantity;
  return [comparator, figures(withoutNoise(value), 'en-GB'), unitInWords(quantity)].filter(Boolean).join(' ');
}

const EVERY: Record<string, string> = {
  s: 'second',
  min: 'minute',
  h: 'hour',
  d: 'day',
  wk: 'week',
  mo: 'month',
  a: 'year',
};
const TIMES: Record<number, string> = { 1: 'once', 2: 'twice', 3: 'three times', 4: 'four times' };

/** How often: "twice a day", "every 8 hours"; null where it does not say. */
function oftenInWords({ timing }: Dosage): string | null {
  const { frequency = 1, period = 1, periodUnit = '' } = timing?.repeat ?? {};
  const unit = EVERY[periodUnit];
  if (!unit) return wordsFor(timing?.code);
  if (period !== 1)
    return `${frequency > 1 ? `${TIMES[frequency] ?? `${frequency} times`} ` : ''}every ${period} ${unit}s`;
  return `${TIMES[frequency] ?? `${frequency} times`} ${unit === 'hour' ? 'an' : 'a'} ${unit}`;
}

/** A dose in words: as its source wrote it, else put together from how much, how often and by which way; null for nothing said. */
export function doseInWords(dosage: Dosage | undefined): string | null {
  if (!dosage) return null;
  if (dosage.text) return dosage.text;
  const { doseQuantity, doseRange } = dosage.doseAndRate?.[0] ?? {};
  const [low, high] = [quantityInWords(doseRange?.low), quantityInWords(doseRange?.high)];
  const amount = quantityInWords(doseQuantity) ?? (low && high ? `${low} to ${high}` : null);
  const parts = [
    amount,
    oftenInWords(dosage),
    wordsFor(dosage.route),
    dosage.asNeededBoolean ? 'as needed' : null,
  ];
  return parts.filter(Boolean).join(', ') || null;
}
