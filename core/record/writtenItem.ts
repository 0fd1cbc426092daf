import { dateInWords, readDate, type CalendarDate } from '#core/calendar';
import { converted } from '#core/units';
import { isUnlike, readAmount } from './amount';
import { isSameName } from './itemParts';
import { valueInWords } from './value';
import { HISTORY_LISTS, isHistoryList } from './history';
import type { CaseRecord, HistoryItem, Measurement, RecordList, WrittenItem } from './record';
import type { Written } from './readDetail';

/** What a person wrote of an item of a record, by what is asked for. */
export interface ItemForm {
  /** What was measured, is given, or is the matter. */
  what: string;
  /** Of a measurement, with its unit. */
  amount: string;
  /** Of a medicine. */
  dose: string;
  /** Of an item of its history: what happened, what was found. */
  note: string;
  /** Of a medicine `active`, `planned` or `ended`; of a problem `active` or `resolved`; else as its list has it. */
  status: string;
  /** The day it was measured, or since when; in shorthand as well. */
  since: string;
  until: string;
}

/** Why an item cannot be written down, and by which part of the form. */
export interface ItemFault {
  field: keyof ItemForm;
  code: 'empty' | 'no-amount' | 'no-unit' | 'no-day' | 'day-ahead';
}

/** What is always measured in something, and asked for by wordings by its name. */
const KNOWN = [
  { code: 'weight', label: 'Weight' },
  { code: 'temperature', label: 'Temperature' },
];

/** What can be measured, by its name: what is known of every record, and what this one has. */
export function measuredIn({ measurements }: CaseRecord): { code: string; label: string }[] {
  const all = new Map(KNOWN.map((one) => [one.code, one.label]));
  for (const { code, label } of measurements) all.set(code, label);
  return [...all].map(([code, label]) => ({ code, label }));
}

/** What was measured, by the name given: as it is called already, else by a name of its own. */
function measureOf(record: CaseRecord, what: string): { code: string; label: string } {
  const known = measuredIn(record).find(
    ({ code, label }) => isSameName(label, what) || isSameName(code, what),
  );
  return known ?? { code: what.trim().toLowerCase().slice(0, 60), label: what.trim() };
}

/** The last of a kind of measurement before a day or on it, `but` aside. */
const lastOf = ({ measurements }: CaseRecord, code: string, but: Measurement | null) =>
  measurements
    .filter((one) => one.code === code && one !== but)
    .sort((a, b) => a.measured.localeCompare(b.measured) || (a.minute ?? 0) - (b.minute ?? 0))
    .at(-1);

/** Whether an item of a list is most likely of today when it is written down. */
const isDated = (list: RecordList): boolean =>
  isHistoryList(list) ? HISTORY_LISTS[list].happens === 'once' : list !== 'problems';

/** An empty form, for a day. */
export const emptyItem = (list: RecordList, { today, language }: Written): ItemForm => ({
  ...{ what: '', amount: '', dose: '', note: '', until: '' },
  status: isHistoryList(list) ? Object.keys(HISTORY_LISTS[list].states)[0]! : 'active',
  since: isDated(list) ? dateInWords(today, 'long', language) : '',
});

/** The form of an item as it is written down. */
export function formOf({ list, item }: WrittenItem, { language }: Written): ItemForm {
  const day = (date: CalendarDate | null) => (date ? dateInWords(date, 'long', language) : '');
  const none = { what: '', amount: '', dose: '', note: '', status: 'active', since: '', until: '' };
  switch (list) {
    case 'measurements': {
      const amount = valueInWords({ kind: 'quantity', value: item.value, unit: item.unit }, language);
      return { ...none, what: item.label, amount, since: day(item.measured) };
    }
    case 'medicines': {
      const { name, dose, status, since, until } = item;
      return { ...none, what: name, dose: dose ?? '', status, since: day(since), until: day(until) };
    }
    case 'problems':
      return {
        ...none,
        ...{ what: item.label, status: item.status, since: day(item.since), until: day(item.until ?? null) },
      };
    default: {
      const { label, note, status, since, until } = item;
      return { ...none, what: label, note: note ?? '', status, since: day(since), until: day(until) };
    }
  }
}

/** A day that may be left open; a fault where it can be read as none, or has not come though it must have. */
function dayOf(
  form: ItemForm,
  field: 'since' | 'until',
  { today, language }: Written,
  { isPast = false } = {},
): { day: CalendarDate | null; faults: ItemFault[] } {
  const words = form[field].trim();
  if (words === '') return { day: null, faults: [] };
  const day = readDate(words, today, language);
  if (!day) return { day: null, faults: [{ field, code: 'no-day' }] };
  return { day, faults: isPast && day > today ? [{ field, code: 'day-ahead' }] : [] };
}

type ReadItem = { item: WrittenItem; before: Measurement | null } | { faults: ItemFault[] };

/** An amount with its unit; a unit left out is that of the last one. */
function amountOf({ amount: words }: ItemForm, last: Measurement | undefined, language: string) {
  const amount = readAmount(words, last?.unit ?? '', language);
  const code = !amount ? 'no-amount' : amount.unit === '' && !last ? 'no-unit' : null;
  return { amount, faults: code ? [{ field: 'amount', code } as const] : [] };
}

/** The last one, where an amount is hardly the same thing measured again. */
function unlikeBefore(last: Measurement | undefined, value: number, unit: string): Measurement | null {
  const before = last && converted(last.value, last.unit, unit);
  return last && typeof before === 'number' && isUnlike(value, before) ? last : null;
}

/** What stays of a measurement that is corrected: when and by whom, of what it is a part, and what is usual in its unit. */
function keptOf(had: Measurement | null, unit: string, day: CalendarDate) {
  if (!had) return { minute: null, by: null };
  return {
    minute: had.measured === day ? had.minute : null,
    by: had.by,
    ...(had.within !== undefined && { within: had.within }),
    ...(had.usual && had.unit === unit && { usual: had.usual }),
  };
}

/** An amount with the day behind it, "412 g 16 nov", in its two parts; as it is where its end reads as no day. */
function withDayApart(form: ItemForm, { today, language }: Written): ItemForm {
  const words = form.amount.trim().split(/\s+/);
  for (let at = 1; at < words.length; at++) {
    const [amount, since] = [words.slice(0, at).join(' '), words.slice(at).join(' ')];
    if (
      /\d/.test(since) &&
      /[\p{L}/.-]/u.test(since) &&
      readAmount(amount, '', language) &&
      readDate(since, today, language)
    )
      return { ...form, amount, since };
  }
  return form;
}

/** A measurement in one line, "weight 412 g 16 nov", in its parts; as it is where it was typed in parts, or reads as no more than a name. */
export function inParts(form: ItemForm, written: Written): ItemForm {
  const [, what, amount] = (form.amount.trim() === '' && /^(\D+?)\s+(\d.*)$/u.exec(form.what.trim())) || [];
  return withDayApart(what && amount ? { ...form, what, amount } : form, written);
}

/** A measurement as it was written. */
function readMeasurement(
  typed: ItemForm,
  had: Measurement | null,
  record: CaseRecord,
  written: Written,
): ReadItem {
  const form = inParts(typed, written);
  const measure = measureOf(record, form.what);
  const other = lastOf(record, measure.code, had);
  const { amount, faults: ofAmount } = amountOf(form, other ?? had ?? undefined, written.language);
  const { day, faults: ofDay } = dayOf(form, 'since', written, { isPast: true });
  const faults: ItemFault[] = [...nameless(form), ...ofAmount, ...ofDay];
  if (!day && ofDay.length === 0) faults.push({ field: 'since', code: 'no-day' });
  if (faults.length > 0 || !amount || !day) return { faults };
  const { value, unit } = amount;
  const item = { ...measure, value, unit, measured: day, ...keptOf(had, unit, day), source: '' };
  return { item: { list: 'measurements', item }, before: unlikeBefore(other, value, unit) };
}

const nameless = ({ what }: ItemForm): ItemFault[] =>
  what.trim() === '' ? [{ field: 'what', code: 'empty' }] : [];

/** Whether an item of a list is past by its state: what was done was not done tomorrow. */
const isDone = (list: RecordList, status: string): boolean => isHistoryList(list) && status === 'over';

const oneOf = <One extends string>(all: readonly One[], word: string): One =>
  all.find((one) => one === word) ?? all[0]!;

/**
 * What a person wrote, as an item of a record; or what is wrong with it. `had` is what is corrected, null for a new one. `before` is
 * the measurement before it where the new one is hardly the same thing measured again: more often a slip than meant.
 */
export function readItem(
  list: RecordList,
  form: ItemForm,
  { had, record, written }: { had: WrittenItem['item'] | null; record: CaseRecord; written: Written },
): ReadItem {
  if (list === 'measurements') return readMeasurement(form, had as Measurement | null, record, written);
  // What is the matter has begun; what is given may be planned.
  const since = dayOf(form, 'since', written, { isPast: list === 'problems' || isDone(list, form.status) });
  const until = dayOf(form, 'until', written);
  const faults = [...nameless(form), ...since.faults, ...until.faults];
  if (faults.length > 0) return { faults };
  const what = form.what.trim();
  if (list === 'problems') {
    const status = oneOf(['active', 'resolved'] as const, form.status);
    const item = { label: what, status, since: since.day, until: until.day, source: '' };
    return { item: { list, item }, before: null };
  }
  if (isHistoryList(list)) {
    const states = Object.keys(HISTORY_LISTS[list].states) as HistoryItem['status'][];
    const status = oneOf(states, form.status);
    const note = form.note.trim() || null;
    const item = { label: what, note, status, since: since.day, until: until.day, source: '' };
    return { item: { list, item }, before: null };
  }
  const item = {
    name: what,
    dose: form.dose.trim() || null,
    status: oneOf(['active', 'ended', 'planned'] as const, form.status),
    since: since.day,
    until: until.day,
    source: '',
  };
  return { item: { list, item }, before: null };
}
