import {
  addDays,
  addMonths,
  addWorkdays,
  ageInWords,
  daysBetween,
  isCalendarDate,
  monthsBetween,
  weekdayOf,
  workdaysBetween,
  type CalendarDate,
} from '#core/calendar';
import { FormulaFault, type FormulaSpan } from './formulaError';
import { date, dateOf, number, numberOf, text, textOf, type FormulaValue } from './formulaValue';
import { takes, type FunctionCall, type FormulaFunction } from './functions';

/** A date that arithmetic gave, as a value; a fault when the calendar of four-digit years has none such. */
export function dateFrom(make: () => CalendarDate, at: FormulaSpan): FormulaValue {
  try {
    const made = make();
    if (isCalendarDate(made)) return date(made);
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
  }
  throw new FormulaFault({ code: 'no-such-date', from: at.from, to: at.to });
}

const dayOf = ({ args }: FunctionCall, index = 0) => dateOf(args[index]!);
const whole = ({ args }: FunctionCall, index: number) => Math.trunc(numberOf(args[index]!));

const moving = (move: (from: CalendarDate, by: number) => CalendarDate) =>
  takes(2, 2, (call) => dateFrom(() => move(dayOf(call), whole(call, 1)), call.at));

const fromDay = (read: (day: CalendarDate) => number) => takes(1, 1, (call) => number(read(dayOf(call))));

const endOfMonth = (day: CalendarDate, months: number) =>
  addDays(addMonths(`${day.slice(0, 8)}01`, months + 1), -1);

const written = (year: number, month: number, day: number) =>
  `${String(year).padStart(4, '0')}-${String(month).padStart(2, '0')}-${String(day).padStart(2, '0')}`;

/** Months and days over their ends run on into the next, as DATE of OpenFormula has it. */
const dateOfParts = (year: number, month: number, day: number) =>
  addDays(addMonths(written(year, 1, 1), month - 1), day - 1);

function between(call: FunctionCall) {
  const [from, to] = [dayOf(call), dayOf(call, 1)];
  switch (textOf(call.args[2]!, 'en').toLowerCase()) {
    case 'y':
      return Math.floor(monthsBetween(from, to) / 12);
    case 'm':
      return monthsBetween(from, to);
    case 'ym':
      return monthsBetween(from, to) % 12;
    case 'd':
      return daysBetween(from, to);
    case 'md':
      return daysBetween(addMonths(from, monthsBetween(from, to)), to);
    default:
      throw new FormulaFault({ code: 'not-found', ...call.args[2]!.at });
  }
}

/** ISO 8601 week: that of the Thursday in the date's week. */
function isoWeek(day: CalendarDate): number {
  const thursday = addDays(day, 4 - weekdayOf(day));
  return Math.floor(daysBetween(`${thursday.slice(0, 4)}-01-01`, thursday) / 7) + 1;
}

/** WEEKDAY's second argument: 1 counts from Sunday as 1, 2 from Monday as 1, 3 from Monday as 0. */
function weekday(call: FunctionCall): FormulaValue {
  const day = weekdayOf(dayOf(call));
  const type = call.args.length > 1 ? whole(call, 1) : 1;
  if (type === 1) return number((day % 7) + 1);
  if (type === 2) return number(day);
  if (type === 3) return number(day - 1);
  throw new FormulaFault({ code: 'not-found', ...call.args[1]!.at });
}

function age(call: FunctionCall): FormulaValue {
  const until = call.args.length > 1 ? dayOf(call, 1) : call.around.today;
  const words = ageInWords(dayOf(call), until, call.around.language);
  if (words === null) throw new FormulaFault({ code: 'no-such-number', ...call.at });
  return text(words);
}

/**
 * Functions of dates: OpenFormula 1.3, part 4, section 6.10, on calendar dates instead of serial numbers. AGE is
 * our own: an age in words as a clinician says it.
 */
export const DATE_FUNCTIONS: Record<string, FormulaFunction> = {
  AGE: takes(1, 2, age),
  DATE: takes(3, 3, (call) =>
    dateFrom(() => dateOfParts(whole(call, 0), whole(call, 1), whole(call, 2)), call.at),
  ),
  DATEDIF: takes(3, 3, (call) => number(between(call))),
  DAY: fromDay((day) => Number(day.slice(8))),
  // As OpenFormula has it: the end comes first.
  DAYS: takes(2, 2, (call) => number(daysBetween(dayOf(call, 1), dayOf(call)))),
  EDATE: moving(addMonths),
  EOMONTH: moving(endOfMonth),
  ISOWEEKNUM: fromDay(isoWeek),
  MONTH: fromDay((day) => Number(day.slice(5, 7))),
  NETWORKDAYS: takes(2, 2, (call) => number(workdaysBetween(dayOf(call), dayOf(call, 1)))),
  TODAY: takes(0, 0, ({ around }) => date(around.today)),
  WEEKDAY: takes(1, 2, weekday),
  WORKDAY: moving(addWorkdays),
  YEAR: fromDay((day) => Number(day.slice(0, 4))),
};
