export { starterFile, STARTERS } from './starters';
export type { Starter } from './starters';
