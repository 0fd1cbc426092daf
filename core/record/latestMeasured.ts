import type { CalendarDate } from '#core/calendar';
import { lookUp } from './details';
import { partsInOrder, seriesOfCode } from './measuredAsk';
import type { CaseRecord, Measurement } from './record';
import { isOld, readsAs, usualOf, type RecordRules } from './recordRules';
import { figures, valueInWords } from './value';

/** What is known of the record besides, and how it is told: in a language (BCP 47). */
export interface Telling {
  today: CalendarDate;
  rules: RecordRules;
  locale: string;
}

/** The last of something measured, as it is told. */
export interface LatestMeasured {
  code: string;
  label: string;
  /** "36.8 °C"; of what is measured in parts all of them: "158/91 mmHg". */
  amount: string;
  measured: CalendarDate;
  isOld: boolean;
  /** How it is to what is usual; null for as usual, or not known. */
  reads: ReturnType<typeof readsAs>;
  /** What is usual, in words; '' where it is not known. */
  usual: string;
}

const speciesOf = (record: CaseRecord, today: CalendarDate): string => {
  const value = lookUp(record, 'species', today)?.value;
  return value?.kind === 'text' ? value.text : '';
};

/** A usual range in words: "37 to 38 °C", "at most 140 mmHg". */
function rangeInWords(
  { low, high }: { low: number | null; high: number | null },
  unit: string,
  locale: string,
): string {
  const [from, to] = [low, high].map((end) => (end === null ? null : figures(end, locale)));
  const words = from && to ? `${from} to ${to}` : from ? `at least ${from}` : `at most ${to}`;
  return `${words} ${unit}`.trim();
}

function told(one: Measurement, species: string, { today, rules, locale }: Telling): LatestMeasured {
  const usual = usualOf(one, species, rules);
  return {
    ...{ code: one.code, label: one.label, measured: one.measured },
    amount: valueInWords({ kind: 'quantity', value: one.value, unit: one.unit }, locale),
    isOld: isOld(one.code, one.measured, rules, today),
    reads: readsAs(one, species, rules),
    usual: usual ? rangeInWords(usual, one.unit, locale) : '',
  };
}

/** The parts of one thing, of its last moment, told as one; what is odd of any of them is odd of it. */
function toldInParts(
  whole: string,
  record: CaseRecord,
  parts: readonly LatestMeasured[],
  { today, locale }: Telling,
): LatestMeasured {
  const [first] = parts;
  const together = lookUp(record, whole, today, locale)?.value;
  return {
    ...first!,
    code: whole,
    label: whole.charAt(0).toUpperCase() + whole.slice(1),
    amount: together ? valueInWords(together, locale) : parts.map(({ amount }) => amount).join(' / '),
    reads: parts.find(({ reads }) => reads !== null)?.reads ?? null,
    usual: '',
  };
}

/** The last of each thing measured, in the order in which they first come; of what is measured in parts the whole. */
export function latestMeasured(record: CaseRecord, telling: Telling): LatestMeasured[] {
  const species = speciesOf(record, telling.today);
  const lasts = [...new Set(record.measurements.map(({ code }) => code))].map((code) =>
    seriesOfCode(record, code).at(-1)!,
  );
  const wholes = new Set<string>();
  return lasts.flatMap((one) => {
    const { within } = one;
    if (within === undefined) return told(one, species, telling);
    if (wholes.has(within)) return [];
    wholes.add(within);
    const parts = partsInOrder(lasts.filter((part) => part.within === within)).map((part) =>
      told(part, species, telling),
    );
    return toldInParts(within, record, parts, telling);
  });
}
