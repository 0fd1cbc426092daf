export { SharedEnds } from './sharedEnds';
export type { EndAt, EndKind, SharedEnd, Whole } from './sharedEnds';
export { pieceOf, withPiece } from './withPiece';
