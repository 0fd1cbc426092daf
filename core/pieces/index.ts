export { SharedEnds } from './sharedEnds';
export type { SharedEnd, Whole } from './sharedEnds';
export { pieceOf, withPiece } from './withPiece';
