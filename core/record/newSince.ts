import type { CalendarDate } from '#core/calendar';
import { HISTORY_LIST_IDS } from './history';
import { itemsOf, type CaseRecord, type HistoryItem, type Measurement, type WrittenItem } from './record';
import type { Since } from './since';

const isAfter = (date: CalendarDate | null | undefined, { day }: Since): boolean => !!date && date > day;

/** Written down by hand after it, or come from a source after it, whatever day it is of. */
const isWrittenAfter = (
  { writtenAt, cameAt }: { writtenAt?: string | undefined; cameAt?: string | undefined },
  since: Since,
): boolean => (writtenAt ?? cameAt ?? '') > since.at;

const isNewMeasurement = ({ measured, minute }: Measurement, since: Since): boolean =>
  isAfter(measured, since) || (measured === since.day && minute !== null && minute > since.minute);

/** Of each thing measured the last one alone, in the order they come first. */
function latestOfEach(measurements: readonly Measurement[]): Measurement[] {
  const latest = new Map<string, Measurement>();
  const at = ({ measured, minute }: Measurement) => `${measured} ${String(minute ?? 0).padStart(4, '0')}`;
  for (const one of measurements) {
    const other = latest.get(one.code);
    if (!other || at(one) >= at(other)) latest.set(one.code, one);
  }
  return [...latest.values()];
}

/**
 * What a record says that it did not say at a moment, as when the last note was written: of each thing measured the newest, medicines
 * begun or ended, problems found, what else happened. What a source does not date is not known to be new.
 */
export function newSince(record: CaseRecord, since: Since): WrittenItem[] {
  const measured = record.measurements.filter(
    (one) => isWrittenAfter(one, since) || isNewMeasurement(one, since),
  );
  return [
    ...latestOfEach(measured).map((item) => ({ list: 'measurements', item }) as const),
    ...record.medicines
      .filter((one) => isWrittenAfter(one, since) || isAfter(one.since, since) || isAfter(one.until, since))
      .map((item) => ({ list: 'medicines', item }) as const),
    ...record.problems
      .filter((one) => isWrittenAfter(one, since) || isAfter(one.since, since) || isAfter(one.until, since))
      .map((item) => ({ list: 'problems', item }) as const),
    ...HISTORY_LIST_IDS.flatMap((list) =>
      (itemsOf(record, list) as HistoryItem[])
        .filter((one) => isWrittenAfter(one, since) || isAfter(one.since, since) || isAfter(one.until, since))
        .map((item) => ({ list, item }) as const),
    ),
  ];
}
