export { daysBefore, LIVED_DAYS, loadLived } from './loadLived';
