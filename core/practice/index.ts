export { asked, cardsFor, isCue } from './practice';
export type { Card, Known } from './practice';
