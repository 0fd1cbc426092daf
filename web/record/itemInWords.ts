import { dateInWords, type CalendarDate } from '#core/calendar';
import { valueInWords, type Measurement, type Medicine, type Problem, type WrittenItem } from '#core/record';

const locale = navigator.language;

/** A date of a record as the interface tells dates; null for none. */
export const dayInWords = (date: CalendarDate | null) => (date ? dateInWords(date, 'long', locale) : null);

const measurementInWords = ({ label, value, unit, measured }: Measurement) => [
  `${label} ${valueInWords({ kind: 'quantity', value, unit }, locale)}`,
  dayInWords(measured),
];
const medicineInWords = ({ name, dose, status, since, until }: Medicine) => [
  name,
  dose,
  status === 'planned' ? 'planned' : null,
  since && `since ${dayInWords(since)}`,
  until ? `until ${dayInWords(until)}` : status === 'ended' ? 'over' : null,
];
const problemInWords = ({ label, status, since }: Problem) => [
  label,
  since && `since ${dayInWords(since)}`,
  status === 'resolved' ? 'over' : null,
];

/** An item in one line, as it is told of. */
export function itemInWords(item: WrittenItem['item']): string {
  const parts =
    'measured' in item
      ? measurementInWords(item)
      : 'name' in item
        ? medicineInWords(item)
        : problemInWords(item);
  return parts.filter(Boolean).join(', ');
}
