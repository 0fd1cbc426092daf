export { starterFile, STARTER_LEAD_IN, STARTERS } from './starters';
export type { Starter } from './starters';
