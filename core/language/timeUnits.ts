import { ownWordsOf, type TimeUnit } from './ownWords';

const ENGLISH = /^en\b/i;
const formats = new Map<string, Intl.NumberFormat>();

/** Welsh and Irish name an amount of time by its number: "2 ddiwrnod", "3 diwrnod". Plural rules as in CLDR 44. */
const PLURALS: Record<string, (count: number) => Intl.LDMLPluralRule> = {
  cy: (count) => {
    const ONES: Record<number, Intl.LDMLPluralRule> = { 0: 'zero', 1: 'one', 2: 'two', 3: 'few', 6: 'many' };
    return ONES[count] ?? 'other';
  },
  ga: (count) => {
    if (count === 1) return 'one';
    if (count === 2) return 'two';
    if (count >= 3 && count <= 6) return 'few';
    return count >= 7 && count <= 10 ? 'many' : 'other';
  },
};

/**
 * The name of a unit of time beside a whole number of it, as the language has it: `3, 'day', 'en-GB'` gives "days",
 * `2, 'day', 'cy'` gives "ddiwrnod".
 */
export function timeUnit(count: number, unit: TimeUnit, language: string): string {
  if (ENGLISH.test(language)) return count === 1 ? unit : `${unit}s`;
  const own = ownWordsOf(language);
  if (own) {
    const names = own.units[unit];
    return names[PLURALS[language.toLowerCase().split('-')[0]!]!(count)] ?? names.other;
  }
  const key = `${language} ${unit}`;
  let format = formats.get(key);
  if (!format)
    formats.set(
      key,
      (format = new Intl.NumberFormat(language, { style: 'unit', unit, unitDisplay: 'long' })),
    );
  const name = format.formatToParts(count).find(({ type }) => type === 'unit');
  return name?.value ?? unit;
}
