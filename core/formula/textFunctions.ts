import { numberLanguage, ownWordsOf, numberWords, readNumber } from '#core/language';
import { dateInWords, readDate } from '#core/calendar';
import { figures } from '#core/record';
import { FormulaFault } from './formulaError';
import { date, LONGEST_TEXT, number, numberOf, text, textOf, yesNo, type PlacedValue } from './formulaValue';
import { takes, type FunctionCall, type FormulaFunction } from './functions';

const words = ({ args, around }: FunctionCall, index: number): string =>
  textOf(args[index]!, around.language);
const whole = (call: FunctionCall, index: number, otherwise: number): number =>
  index < call.args.length ? Math.trunc(numberOf(call.args[index]!)) : otherwise;

/** Letters as people count them: an accent or a skin tone does not make two. */
const letters = (from: string): string[] => Array.from(from);

const changed = (change: (words: string, call: FunctionCall) => string, least = 1, most = least) =>
  takes(least, most, (call) => text(change(words(call, 0), call)));

function counted(call: FunctionCall, index: number, otherwise: number): number {
  const count = whole(call, index, otherwise);
  if (count < 0) throw new FormulaFault({ code: 'no-such-number', ...call.args[index]!.at });
  return count;
}

const proper = (from: string) =>
  from.toLocaleLowerCase().replace(/(?<![\p{L}\p{M}])\p{L}/gu, (letter) => letter.toLocaleUpperCase());

/** What is written of a number at the most, before and after its point: more digits no number here has. */
const MOST_DIGITS = 20;

/** A number format of digits: "0.00", "#,##0", "0%". */
function formatted(value: number, format: string, language: string): string {
  const percent = format.includes('%');
  const [before = '', after = ''] = format.replace(/[^0#.,]/g, '').split('.');
  const least = (digits: string) => Math.min(MOST_DIGITS, (digits.match(/0/g) ?? []).length);
  const shown = (percent ? value * 100 : value).toLocaleString(numberLanguage(language), {
    minimumIntegerDigits: Math.max(1, least(before)),
    minimumFractionDigits: least(after),
    maximumFractionDigits: Math.min(MOST_DIGITS, after.length),
    useGrouping: before.includes(','),
  });
  const sign = /[0#.,]+/.exec(format)?.[0] ?? '';
  return sign === '' ? format : format.replace(sign, shown);
}

/** A date format of y, m and d: "d mmmm yyyy", "dd/mm/yy". */
function datedAs(day: string, format: string, language: string): string {
  const [year = '', month = '', dayOfMonth = ''] = day.split('-');
  const own = ownWordsOf(language);
  const monthName = (style: 'long' | 'short') =>
    own?.months[Number(month) - 1]?.slice(0, style === 'short' ? 3 : undefined) ??
    new Intl.DateTimeFormat(language, { month: style, timeZone: 'UTC' }).format(new Date(`${day}T00:00:00Z`));
  const weekdayName = (style: 'long' | 'short') =>
    own?.weekdays[new Date(`${day}T00:00:00Z`).getUTCDay()] ??
    new Intl.DateTimeFormat(language, { weekday: style, timeZone: 'UTC' }).format(
      new Date(`${day}T00:00:00Z`),
    );
  const PARTS: Record<string, () => string> = {
    yyyy: () => year,
    yy: () => year.slice(2),
    mmmm: () => monthName('long'),
    mmm: () => monthName('short'),
    mm: () => month,
    m: () => String(Number(month)),
    dddd: () => weekdayName('long'),
    ddd: () => weekdayName('short'),
    dd: () => dayOfMonth,
    d: () => String(Number(dayOfMonth)),
  };
  return format.replace(/yyyy|yy|m{1,4}|d{1,4}/gi, (part) => PARTS[part.toLowerCase()]!());
}

function textAs(call: FunctionCall): string {
  const [{ value }, { language }] = [call.args[0]!, call.around];
  const format = words(call, 1);
  if (value.kind === 'date') return datedAs(value.date, format, language);
  return formatted(numberOf(call.args[0]!), format, language);
}

function find(call: FunctionCall): number {
  const start = Math.max(1, whole(call, 2, 1));
  const at = words(call, 1).indexOf(words(call, 0), start - 1);
  if (at < 0) throw new FormulaFault({ code: 'not-found', ...call.args[0]!.at });
  return at + 1;
}

function substitute(from: string, call: FunctionCall): string {
  const [old, fresh] = [words(call, 1), words(call, 2)];
  if (old === '') return from;
  if (call.args.length < 4) {
    // Counted before it is made: each of 20,000 letters might become 20,000.
    const length = from.length + (from.split(old).length - 1) * (fresh.length - old.length);
    if (length > LONGEST_TEXT) throw new FormulaFault({ code: 'too-long', ...call.at });
    return from.replaceAll(old, () => fresh);
  }
  const which = whole(call, 3, 1);
  const parts = from.split(old);
  if (which < 1 || which >= parts.length) return from;
  return parts.slice(0, which).join(old) + fresh + parts.slice(which).join(old);
}

function repeated(from: string, call: FunctionCall): string {
  const count = counted(call, 1, 1);
  if (from.length * count > LONGEST_TEXT) throw new FormulaFault({ code: 'too-long', ...call.at });
  return from.repeat(count);
}

function replaced(from: string, call: FunctionCall): string {
  const all = letters(from);
  const start = Math.max(1, whole(call, 1, 1)) - 1;
  return all.slice(0, start).join('') + words(call, 3) + all.slice(start + counted(call, 2, 0)).join('');
}

function valueOf(call: FunctionCall) {
  const read = readNumber(words(call, 0), call.around.language, '');
  if (read === null) throw new FormulaFault({ code: 'no-such-number', ...call.args[0]!.at });
  return number(read);
}

function dateValue(call: FunctionCall) {
  const read = readDate(words(call, 0), call.around.today, call.around.language);
  if (!read) throw new FormulaFault({ code: 'no-such-date', ...call.args[0]!.at });
  return date(read);
}

const isKind = (kind: PlacedValue['value']['kind']) =>
  takes(1, 1, ({ args }) => yesNo(args[0]!.value.kind === kind));

/** Functions of words: OpenFormula 1.3, part 4, section 6.20. WORDS is our own: a number or date in words. */
export const TEXT_FUNCTIONS: Record<string, FormulaFunction> = {
  CONCATENATE: takes(1, Infinity, (call) => text(call.args.map((_, at) => words(call, at)).join(''))),
  DATEVALUE: takes(1, 1, dateValue),
  EXACT: takes(2, 2, (call) => yesNo(words(call, 0) === words(call, 1))),
  FIND: takes(2, 3, (call) => number(find(call))),
  ISNUMBER: isKind('number'),
  ISTEXT: isKind('text'),
  LEFT: changed(
    (from, call) =>
      letters(from)
        .slice(0, counted(call, 1, 1))
        .join(''),
    1,
    2,
  ),
  LEN: takes(1, 1, (call) => number(letters(words(call, 0)).length)),
  LOWER: changed((from) => from.toLocaleLowerCase()),
  MID: changed(
    (from, call) =>
      letters(from)
        .slice(Math.max(1, whole(call, 1, 1)) - 1)
        .slice(0, counted(call, 2, 0))
        .join(''),
    3,
  ),
  PROPER: changed(proper),
  REPLACE: changed(replaced, 4),
  REPT: changed(repeated, 2),
  RIGHT: changed(
    (from, call) => {
      const count = counted(call, 1, 1);
      return count === 0 ? '' : letters(from).slice(-count).join('');
    },
    1,
    2,
  ),
  SUBSTITUTE: changed(substitute, 3, 4),
  TEXT: takes(2, 2, (call) => text(textAs(call))),
  TRIM: changed((from) => from.trim().replace(/ {2,}/g, ' ')),
  UPPER: changed((from) => from.toLocaleUpperCase()),
  VALUE: takes(1, 1, valueOf),
  WORDS: takes(1, 1, (call) => {
    const [{ value }, { language }] = [call.args[0]!, call.around];
    if (value.kind === 'date') return text(dateInWords(value.date, 'long', language));
    const amount = numberOf(call.args[0]!);
    return text(numberWords(amount, language) ?? figures(amount, language));
  }),
};
