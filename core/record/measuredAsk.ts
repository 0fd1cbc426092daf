import { addDays, addMonths, dateInWords, type CalendarDate } from '#core/calendar';
import { remembering } from '#core/remembering';
import { converted } from '#core/units';
import type { CaseRecord, Measurement } from './record';
import { figures, valueInWords, type Value } from './value';

/** Which of the measurements of something is meant. */
export const WHICH = {
  last: 'the last',
  first: 'the first',
  highest: 'the highest',
  lowest: 'the lowest',
  mean: 'the mean',
  'change in': 'the change, first to last',
  'day of': 'the day of the last',
} as const;
/** Which of the measurements of something is meant. */
export type Which = keyof typeof WHICH;

/** What a detail asks of measurements: "highest temperature in 7 days", or several things at once: "weight, temperature". */
export interface MeasuredAsk {
  which: Which;
  /** What is measured; several are told together. */
  codes: readonly string[];
  /** Only those of so long before today, and of today. */
  within: { count: number; step: 'days' | 'weeks' | 'months' } | null;
}

const FORM =
  /^(?:(last|first|highest|lowest|mean|change in|day of) )?(.+?)(?: in (\d{1,4}) (days|weeks|months))?$/;

function readAsk(path: string): MeasuredAsk {
  const [, which, what = path, count, step] = FORM.exec(path) ?? [];
  return {
    which: (which as Which | undefined) ?? 'last',
    codes: what
      .split(',')
      .map((code) => code.trim())
      .filter(Boolean),
    within: count === undefined ? null : { count: Number(count), step: step as 'days' | 'weeks' | 'months' },
  };
}

/**
 * A path as what it asks of measurements. Every path reads as one: whether something of that name was measured, the record says. A bank
 * asks by few paths, and fills each of them again and again.
 */
export const readMeasuredAsk = remembering(readAsk, 20_000);

/** The path that asks this. */
export function pathOfAsk({ which, codes, within }: MeasuredAsk): string {
  const after = within ? ` in ${within.count} ${within.step}` : '';
  return `${which} ${codes.join(', ')}${after}`;
}

/** Measurements of one code, oldest first. */
export function seriesOfCode(record: CaseRecord, code: string): Measurement[] {
  return record.measurements
    .filter((measurement) => measurement.code === code)
    .sort((a, b) => a.measured.localeCompare(b.measured) || (a.minute ?? 0) - (b.minute ?? 0));
}

/** The first day that still counts. */
function firstDay({ within }: MeasuredAsk, today: CalendarDate): CalendarDate | null {
  if (!within) return null;
  const { count, step } = within;
  return step === 'months' ? addMonths(today, -count) : addDays(today, -count * (step === 'weeks' ? 7 : 1));
}

/** What was asked for of one code, oldest first. */
export function seriesAsked(
  record: CaseRecord,
  code: string,
  ask: MeasuredAsk,
  today: CalendarDate,
): Measurement[] {
  const from = firstDay(ask, today);
  return seriesOfCode(record, code).filter(({ measured }) => from === null || measured >= from);
}

/** A value in the unit of the last of its series, to be compared and reckoned with. */
interface Comparable {
  of: Measurement;
  value: number;
}

/** All in the unit of the last of them; null where one cannot be: then nothing may be reckoned with them. */
function inOneUnit(series: readonly Measurement[]): Comparable[] | null {
  const { unit } = series.at(-1)!;
  const made = series.map((of) => ({ of, value: converted(of.value, of.unit, unit) }));
  return made.every((one): one is Comparable => one.value !== null) ? made : null;
}

const decimalsOf = (value: number): number => (String(value).split('.')[1] ?? '').length;

/** What is reckoned of a series is hardly more exact than what it is reckoned of: one more digit than that. */
function rounded(value: number, series: readonly Measurement[], more: 0 | 1): number {
  const decimals = Math.max(...series.map((one) => decimalsOf(one.value)));
  return Number(value.toFixed(Math.min(decimals + more, 10)));
}

/** A value that was asked for, with the measurement it rests on. */
interface Found {
  value: Value;
  of: Measurement;
}

const amountOf = (of: Measurement, value = of.value): Found => ({
  value: { kind: 'quantity', value, unit: of.unit },
  of,
});

const farthest = (all: readonly Comparable[], isFarther: (a: number, b: number) => boolean): Found =>
  // As it was measured, in its own unit.
  amountOf(all.reduce((best, one) => (isFarther(one.value, best.value) ? one : best)).of);

/** The mean of a series, in the unit of its last. */
function meanOf(all: readonly Comparable[], series: readonly Measurement[]): Found {
  const mean = all.reduce((sum, { value }) => sum + value, 0) / all.length;
  return amountOf(series.at(-1)!, rounded(mean, series, 1));
}

/** From the first to the last; null of one alone. Converted, it is no more exact than a digit more. */
function changeOf(all: readonly Comparable[], series: readonly Measurement[]): Found | null {
  const [first, last] = [all[0]!, all.at(-1)!];
  if (all.length < 2) return null;
  return amountOf(last.of, rounded(last.value - first.value, series, first.of.unit === last.of.unit ? 0 : 1));
}

/** What is asked of one series, which has at least one measurement; null where nothing can be said. */
function ofSeries(series: readonly Measurement[], which: Which): Found | null {
  const last = series.at(-1)!;
  if (which === 'last') return amountOf(last);
  if (which === 'first') return amountOf(series[0]!);
  if (which === 'day of') return { value: { kind: 'date', date: last.measured }, of: last };
  const comparable = inOneUnit(series);
  if (!comparable) return null;
  switch (which) {
    case 'highest':
      return farthest(comparable, (a, b) => a >= b);
    case 'lowest':
      return farthest(comparable, (a, b) => a <= b);
    case 'mean':
      return meanOf(comparable, series);
    case 'change in':
      return changeOf(comparable, series);
  }
}

/** The last of several things, each with its day: "Weight: 512 g on 19 November 2026". */
export const lastInWords = (lasts: readonly Measurement[], language: string): string[] =>
  lasts.map(({ label, value, unit, measured }) => {
    const amount = valueInWords({ kind: 'quantity', value, unit }, language);
    const day = dateInWords(measured, 'long', language);
    return /^en\b/i.test(language) ? `${label}: ${amount} on ${day}` : `${label}: ${amount} (${day})`;
  });

/** The parts of something that is measured in parts, of one moment: of a blood pressure the upper and the lower. */
function partsOf(record: CaseRecord, code: string): Measurement[] {
  const parts = record.measurements.filter(({ within }) => within === code);
  const [last] = [...parts].sort(
    (a, b) => b.measured.localeCompare(a.measured) || (b.minute ?? 0) - (a.minute ?? 0),
  );
  return partsInOrder(
    parts.filter(({ measured, minute }) => measured === last!.measured && minute === last!.minute),
  );
}

/** Parts that are told in an order of their own, whatever order they come in: 146/88 is never 88/146. */
const PART_ORDER = ['systolic', 'diastolic'];

/** The parts of one thing in the order in which they are told. */
export function partsInOrder<Part extends { code: string }>(parts: readonly Part[]): Part[] {
  const place = ({ code }: Part) =>
    (PART_ORDER.indexOf(code) + PART_ORDER.length + 1) % (PART_ORDER.length + 1);
  return [...parts].sort((a, b) => place(a) - place(b));
}

/** Parts as they are written together: "158/91 mmHg". */
function inParts(parts: readonly Measurement[], language: string): Found | null {
  const [of] = parts;
  if (!of) return null;
  const amounts = parts.map(({ value }) => figures(value, language)).join('/');
  return { value: { kind: 'text', text: `${amounts} ${of.unit}`.trim() }, of };
}

/** What a path asks of the measurements of a record; null where the record has none of it. */
export function measuredDetail(
  record: CaseRecord,
  path: string,
  today: CalendarDate,
  language: string,
): Found | null {
  const ask = readMeasuredAsk(path);
  const all = ask.codes.map((code) => seriesAsked(record, code, ask, today)).filter((one) => one.length > 0);
  const [first] = all;
  if (!first) return ask.which === 'last' && !ask.within ? inParts(partsOf(record, path), language) : null;
  if (ask.codes.length === 1) return ofSeries(first, ask.which);
  const lasts = all.map((series) => series.at(-1)!);
  return { value: { kind: 'list', items: lastInWords(lasts, language) }, of: lasts[0]! };
}
