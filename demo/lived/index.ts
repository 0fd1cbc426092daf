export { daysBefore } from './daysBefore';
export { LIVED_DAYS, loadLived } from './loadLived';
