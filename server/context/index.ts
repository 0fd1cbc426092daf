export { AccountTries } from './accountTries';
export type { Context } from './context';
export { readSettings, type Settings } from './settings';
