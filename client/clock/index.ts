export { calendarToday, instantInWords, dayInWords, writtenToday, clockNow } from './calendarToday';
