export {
  CalendarDateSchema,
  isCalendarDate,
  daysBetween,
  monthsBetween,
  agoInWords,
  ageInWords,
} from './calendarDate';
export type { CalendarDate } from './calendarDate';
export { dateInWords, DATE_FORMS } from './dateInWords';
export type { DateForm } from './dateInWords';
export { findDates } from './findDates';
export { addDays, addMonths } from './addTo';
export { weekdayOf, addWorkdays, workdaysBetween } from './workdays';
export { fullYear, isMonthFirst, monthsOf, readDate } from './readDate';
export { TimeOfDaySchema, readTime, timeInWords } from './timeOfDay';
export type { TimeOfDay } from './timeOfDay';
