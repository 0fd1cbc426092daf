export { Finder } from './finder';
export type { Findable } from './finder';
