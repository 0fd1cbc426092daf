export {
  ApiProblem,
  Unreachable,
  isProblem,
  call,
  callsGoTo,
  inWords,
  UnreadableFile,
  ForPeople,
} from './call';
export { callBytes } from './callBytes';
export { answersAreKept, type KeptAnswers } from './keptAnswers';
export { isReached, onReach } from './reach';
export { watchReach } from './watchReach';
export { moreSeldom } from './moreSeldom';
export { longCall, type LongRoute, type ResultOf } from './longCall';
export { readJson } from './readJson';
