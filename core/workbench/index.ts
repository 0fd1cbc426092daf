export { doubtsOf } from './doubts';
export type { DoubtPlace } from './doubt';
export { tryBranches } from './oddReadings';
export type { OddReading, Trial } from './oddReadings';
export { oddityInWords, odditiesOf } from './oddities';
export { branchesOf, seeded } from './branches';
export { overlappingOptions } from './overlappingOptions';
