import { dateInWords, type CalendarDate } from '#core/calendar';
import { askedList, itemInRow } from './askedList';
import { seriesOf } from './details';
import { readMeasuredAsk, seriesAsked } from './measuredAsk';
import type { CaseRecord, Measurement } from './record';
import { figures } from './value';

/** A table that a record answers with: its heads, and its rows of as many cells. */
export interface RecordTable {
  heads: string[];
  rows: string[][];
}

/** How far each measurement lies from the one before it, with its sign. */
function change(measurement: Measurement, before: Measurement | undefined, language: string): string {
  if (!before || before.unit !== measurement.unit) return '';
  const difference = Number((measurement.value - before.value).toPrecision(12));
  const words = figures(difference, language);
  return difference > 0 ? `+${words}` : words.replace('-', '−');
}

const headOf = ({ label, unit }: Measurement): string => (unit ? `${label} (${unit})` : label);

function seriesTable(series: readonly Measurement[], language: string): RecordTable {
  const rows = series.map((one, at) => [
    dateInWords(one.measured, 'long', language),
    figures(one.value, language),
    change(one, series[at - 1], language),
  ]);
  return { heads: ['Date', headOf(series.at(-1)!), 'Change'], rows };
}

/** Several things over time: a row for each day, a column for each. Of several on one day the last; a unit that differs is said. */
function severalTable(all: readonly (readonly Measurement[])[], language: string): RecordTable {
  const days = [...new Set(all.flat().map(({ measured }) => measured))].sort();
  const cell = (series: readonly Measurement[], day: CalendarDate) => {
    const last = series.filter(({ measured }) => measured === day).at(-1);
    if (!last) return '';
    const { unit } = series.at(-1)!;
    return figures(last.value, language) + (last.unit === unit ? '' : ` ${last.unit}`);
  };
  const rows = days.map((day) => [
    dateInWords(day, 'long', language),
    ...all.map((series) => cell(series, day)),
  ]);
  return { heads: ['Date', ...all.map((series) => headOf(series.at(-1)!))], rows };
}

/** What a path asks for as a table; null where it asks for nothing that has rows, or the record has none of it. */
export function recordTable(
  record: CaseRecord,
  path: string,
  today: CalendarDate,
  language: string,
): RecordTable | null {
  const asked = askedList(record, path);
  if (asked) {
    if (asked.items.length === 0) return null;
    return {
      heads: ['What', 'Detail', 'Date', 'Source'],
      rows: asked.items.map((item) => itemInRow(item, asked, language)),
    };
  }
  const ask = readMeasuredAsk(path);
  if (ask.codes.length > 1) {
    const all = ask.codes
      .map((code) => seriesAsked(record, code, ask, today))
      .filter((one) => one.length > 0);
    return all.length > 0 ? severalTable(all, language) : null;
  }
  const series = seriesOf(record, path, today);
  return series.length > 0 ? seriesTable(series, language) : null;
}
