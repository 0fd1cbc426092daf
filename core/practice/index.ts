export { asked, cardsFor, isCue } from './practice';
export type { Card, CueKnowledge } from './practice';
