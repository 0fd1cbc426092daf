import { z } from 'zod';
import { CalendarDateSchema, dateInWords, type DateForm } from '#core/calendar';

/** A typed value of a record: words, a day, an amount with its unit, or several words. */
export const ValueSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('text'), text: z.string().max(5000) }),
  z.object({ kind: z.literal('date'), date: CalendarDateSchema }),
  z.object({ kind: z.literal('quantity'), value: z.number(), unit: z.string().max(40) }),
  z.object({ kind: z.literal('list'), items: z.array(z.string().max(500)).max(200) }),
]);
export type Value = z.infer<typeof ValueSchema>;

const lists = new Map<string, Intl.ListFormat>();
const numbers = new Map<string, Intl.NumberFormat>();

/** Several words as prose in the language given: "a", "a and b", "a, b and c"; or with "or". */
export function joinAsProse(items: readonly string[], join: 'and' | 'or', language: string): string {
  const key = `${language} ${join}`;
  let format = lists.get(key);
  if (!format) {
    format = new Intl.ListFormat(language, { type: join === 'or' ? 'disjunction' : 'conjunction' });
    lists.set(key, format);
  }
  return format.format(items);
}

function numberInWords(value: number, language: string): string {
  let format = numbers.get(language);
  if (!format)
    numbers.set(language, (format = new Intl.NumberFormat(language, { maximumFractionDigits: 3 })));
  return format.format(value);
}

/** A value as words in a language (BCP 47 tag); `form` says how a date is written. */
export function valueInWords(value: Value, language: string, form: DateForm = 'long'): string {
  switch (value.kind) {
    case 'text':
      return value.text;
    case 'date':
      return dateInWords(value.date, form, language);
    case 'quantity':
      return `${numberInWords(value.value, language)} ${value.unit}`.trim();
    case 'list':
      return joinAsProse(value.items, 'and', language);
  }
}
