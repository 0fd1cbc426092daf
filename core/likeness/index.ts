export { comparedWords } from './comparedWords';
export { likeGroups } from './likeGroups';
export type { Compared } from './likeGroups';
export { LikePairs } from './likePairs';
export { wordSets } from './wordSets';
