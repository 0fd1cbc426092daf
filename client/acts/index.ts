export { changeTerm, placeKey, takenPlaces, type TermEntry } from './changeTerm';
export { makePiece, type End } from './makePiece';
export { cuesTaken, mergeAlike } from './mergeAlike';
export { MANY_ACTS, sendSteps, takingBack } from './manyActs';
export {
  followDone,
  lastDone,
  quietly,
  releaseDone,
  setDone,
  type DoneToMany,
  type LastDone,
} from './lastDone';
