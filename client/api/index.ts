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
export { longCall, type LongRoute, type ResultOf } from './longCall';
export { readJson } from './readJson';
