export { ApiProblem, Unreachable, isProblem, call, inWords, UnreadableFile, ForPeople } from './call';
export { longCall, type LongRoute, type ResultOf } from './longCall';
export { readJson } from './readJson';
