import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  evaluate,
  formulaErrorInWords,
  FUNCTION_NAMES,
  readFormula,
  type FormulaValue,
  type NamedValue,
} from '.';

const FIELDS: Record<string, FormulaValue> = {
  weight: { kind: 'number', value: 840, unit: 'g' },
  heavy: { kind: 'number', value: 31.5, unit: 'kg' },
  first: { kind: 'number', value: 700, unit: 'g' },
  admitted: { kind: 'date', date: '2026-01-31' },
  born: { kind: 'date', date: '2024-02-29' },
  ward: { kind: 'text', text: 'Marsh side' },
  fed: { kind: 'yes-no', yes: true },
  signs: { kind: 'list', items: ['ticks', 'fleas'] },
  'days in care': { kind: 'number', value: 33 },
  note: { kind: 'empty' },
};

function named(name: string): NamedValue {
  const value = FIELDS[name.toLowerCase()];
  if (value) return { value };
  return name === 'open' ? { missing: 'open' } : null;
}

function inWords(value: FormulaValue): string {
  switch (value.kind) {
    case 'number':
      return String(value.value);
    case 'text':
      return value.text;
    case 'date':
      return value.date;
    case 'yes-no':
      return value.yes ? 'yes' : 'no';
    default:
      return value.kind;
  }
}

/** The value in words; or the error with what stands at its place. */
function work(source: string): string {
  const read = readFormula(source);
  const result = read.ok
    ? evaluate(read.value, { today: '2026-03-04', language: 'en-GB', valueOf: named })
    : read;
  if (result.ok) return inWords(result.value);
  const { code, from, to } = result.error;
  return `${code} at “${source.slice(from, to)}”`;
}

describe('formulas give', () => {
  test.each([
    // Signs bind as in OpenFormula: unary minus before ^, ^ to the left, & before comparisons.
    ['1 + 2 * 3', '7'],
    ['(1 + 2) * 3', '9'],
    ['-2^2', '4'],
    ['2^3^2', '64'],
    ['10 - 4 - 3', '3'],
    ['50%', '0.5'],
    ['200 * 15%', '30'],
    ['0.1 + 0.2', '0.3'],
    ['="a" & 1 + 1', 'a2'],
    ['"a" & "b" = "ab"', 'yes'],
    ['1 <> 2', 'yes'],
    ['"Owl" = "owl"', 'yes'],
    ['weight > 800', 'yes'],
    ['signs = "fleas"', 'yes'],
    ['signs <> "lice"', 'yes'],
    ["'days in care' / 7", '4.71428571428571'],
    ['note + 1', '1'],
    // Rounding: halves away from nought, whatever the binary digits say.
    ['ROUND(1.005; 2)', '1.01'],
    ['ROUND(-2.5)', '-3'],
    ['ROUND(1234; -2)', '1200'],
    ['ROUNDUP(1.2)', '2'],
    ['ROUNDDOWN(-1.8)', '-1'],
    ['TRUNC(8.97; 1)', '8.9'],
    ['INT(-8.2)', '-9'],
    ['MROUND(7.3; 0.5)', '7.5'],
    ['FLOOR(0.6; 0.2)', '0.6'],
    ['CEILING(1.21; 0.1)', '1.3'],
    ['EVEN(3)', '4'],
    ['ODD(2)', '3'],
    ['MOD(-3; 2)', '1'],
    ['QUOTIENT(-7; 2)', '-3'],
    ['SUM(1; 2; note; 3.5)', '6.5'],
    ['AVERAGE(2; 4; note)', '3'],
    ['MEDIAN(5; 1; 3; 2)', '2.5'],
    ['MAX(3; 9; 4)', '9'],
    ['MIN(-3; 9)', '-3'],
    ['COUNTA(note; ward; 1)', '2'],
    // Doses by weight: grams and kilograms are told apart by the record's own unit.
    ['CONVERT(weight; "kg")', '0.84'],
    ['CONVERT(heavy; "kg")', '31.5'],
    ['CONVERT(heavy; "g")', '31500'],
    ['CONVERT(5; "ml"; "l")', '0.005'],
    ['CONVERT(98.6; "F"; "C")', '37'],
    ['MROUND(CONVERT(weight; "kg") * 5; 0.1)', '4.2'],
    ['MIN(CONVERT(heavy; "kg") * 2; 50)', '50'],
    ['ROUND((weight - first) / first * 100; 1)', '20'],
    // Days, with month ends and leap years.
    ['TODAY()', '2026-03-04'],
    ['TODAY() - admitted', '32'],
    ['DAYS(TODAY(); admitted)', '32'],
    ['admitted + 28', '2026-02-28'],
    ['7 + admitted', '2026-02-07'],
    ['EDATE(admitted; 1)', '2026-02-28'],
    ['EDATE(admitted; 25)', '2028-02-29'],
    ['EDATE(DATE(2026; 3; 31); -1)', '2026-02-28'],
    ['EDATE(DATE(2024; 3; 31); -1)', '2024-02-29'],
    ['EDATE(born; 12)', '2025-02-28'],
    ['EOMONTH(admitted; 1)', '2026-02-28'],
    ['EOMONTH(TODAY(); 0)', '2026-03-31'],
    ['DATE(2026; 14; 1)', '2027-02-01'],
    ['DATE(2026; 3; 0)', '2026-02-28'],
    ['DATEDIF(born; TODAY(); "y")', '2'],
    ['DATEDIF(admitted; TODAY(); "m")', '1'],
    ['DATEDIF(DATE(2026;1;15); TODAY(); "md")', '17'],
    ['AGE(born)', '2 years'],
    ['AGE(DATE(2026; 2; 25))', '7 days'],
    ['WORKDAY(DATE(2026; 3; 6); 1)', '2026-03-09'],
    ['WORKDAY(DATE(2026; 3; 7); 5)', '2026-03-13'],
    ['WORKDAY(DATE(2026; 3; 9); -1)', '2026-03-06'],
    ['NETWORKDAYS(DATE(2026; 3; 2); DATE(2026; 3; 13))', '10'],
    ['WEEKDAY(TODAY(); 2)', '3'],
    ['WEEKDAY(TODAY())', '4'],
    ['ISOWEEKNUM(DATE(2027; 1; 1))', '53'],
    ['YEAR(admitted) * 100 + MONTH(admitted)', '202601'],
    ['TEXT(TODAY(); "ddd d mmm yyyy")', 'Wed 4 Mar 2026'],
    ['TEXT(1234.5; "#,##0.00")', '1,234.50'],
    ['TEXT(0.256; "0%")', '26%'],
    // Words.
    ['UPPER(LEFT(ward; 5))', 'MARSH'],
    ['RIGHT(ward; 4) & "!"', 'side!'],
    ['MID("hedgehog"; 6; 3)', 'hog'],
    ['LEN("Tŷ 🦔")', '4'],
    ['PROPER("marsh SIDE")', 'Marsh Side'],
    ['SUBSTITUTE("a-b-c"; "-"; "+"; 2)', 'a-b+c'],
    ['FIND("side"; ward)', '7'],
    ['TRIM("  a   b ")', 'a b'],
    ['WORDS(12)', 'twelve'],
    ['VALUE("1,200.5")', '1200.5'],
    ['"say ""no"""', 'say "no"'],
    // Choices, which look only at what they need.
    ['IF(fed; "fed"; open)', 'fed'],
    ['IF(weight > 1000; "heavy"; "light")', 'light'],
    ['IFERROR(open; "not yet")', 'not yet'],
    ['IFERROR(1 / 0; 7)', '7'],
    ['ISBLANK(open)', 'yes'],
    ['ISBLANK(ward)', 'no'],
    ['AND(FALSE(); open)', 'no'],
    ['OR(TRUE(); open)', 'yes'],
    ['XOR(TRUE(); TRUE())', 'no'],
    ['NOT(fed)', 'no'],
    ['CHOOSE(2; "a"; "b")', 'b'],
  ])('%s → %s', (source, expected) => {
    expect(work(source)).toBe(expected);
  });
});

describe('errors stand at the character that causes them', () => {
  test.each([
    ['1 +', 'syntax at “”'],
    ['1 + * 2', 'syntax at “*”'],
    ['(1 + 2', 'syntax at “”'],
    ['1 2', 'syntax at “2”'],
    ['weight § 2', 'syntax at “§”'],
    ['"open', 'syntax at “"”'],
    ['wieght + 1', 'unknown-name at “wieght”'],
    ['RUOND(1)', 'unknown-function at “RUOND”'],
    ['ROUND()', 'argument-count at “ROUND”'],
    ['TODAY(1)', 'argument-count at “TODAY”'],
    ['1 + ward', 'wrong-kind at “ward”'],
    ['DAYS(TODAY(); ward)', 'wrong-kind at “ward”'],
    ['admitted > 3', 'wrong-kind at “3”'],
    ['open * 2', 'missing at “open”'],
    ['1 / (2 - 2)', 'division-by-zero at “2 - 2”'],
    ['SQRT(-1)', 'no-such-number at “SQRT”'],
    ['admitted + 99999999', 'no-such-date at “admitted + 99999999”'],
    ['CONVERT(1; "kg"; "ml")', 'not-found at “"ml"”'],
    ['CHOOSE(9; 1)', 'not-found at “9”'],
  ])('%s → %s', (source, expected) => {
    expect(work(source)).toBe(expected);
  });

  test('a misspelt function is told which is meant', () => {
    const read = readFormula('RUOND(1)');
    const result = read.ok && evaluate(read.value, { today: '2026-03-04', language: 'en', valueOf: named });
    if (!result || result.ok) throw new Error('no error');
    expect(formulaErrorInWords(result.error)).toBe('There is no function RUOND. Is ROUND meant?');
  });
});

describe('any text', () => {
  const bits = fc.constantFrom(
    ...FUNCTION_NAMES.map((name) => `${name}(`),
    ')',
    ';',
    '1',
    '0',
    '-',
    '^',
    '%',
    '"a"',
    'ward',
    'weight',
    'born',
    'open',
    '99999999',
    '&',
    '=',
    '/',
    "'days in care'",
    ' ',
  );
  const sources = fc.oneof(
    fc.string({ unit: 'binary' }),
    fc.array(bits, { maxLength: 25 }).map((some) => some.join('')),
  );

  test('gives a value or an error with a place within it, and never anything else', () => {
    fc.assert(
      fc.property(sources, (source) => {
        const read = readFormula(source);
        const result = read.ok
          ? evaluate(read.value, { today: '2026-03-04', language: 'en-GB', valueOf: named })
          : read;
        if (result.ok) return;
        const { from, to } = result.error;
        expect(from >= 0 && from <= to && to <= source.length).toBe(true);
        expect(formulaErrorInWords(result.error)).toMatch(/\.$|\?$/);
      }),
      { numRuns: 3000 },
    );
  });

  test('of great depth or length is refused, not followed', () => {
    expect(work('('.repeat(500))).toMatch(/^too-deep/);
    expect(work('-'.repeat(500) + '1')).toMatch(/^too-deep/);
    expect(work('1+'.repeat(1500) + '1')).toMatch(/^too-long/);
    expect(work('REPT("abc"; 99999999)')).toMatch(/^too-long/);
    // Counted before it is made: it would be 400 million letters.
    expect(work('SUBSTITUTE(REPT("a";20000);"a";REPT("b";20000))')).toMatch(/^too-long/);
    expect(work('CONCATENATE(REPT("a";15000);REPT("b";15000))')).toMatch(/^too-long/);
    expect(work(`TEXT(1;"${'0'.repeat(22)}.${'0'.repeat(200)}")`)).toMatch(/^0{19}1\.0{20}$|^[\d,]+\.0{20}$/);
  });
});
