export { place, preparedEntry } from './place';
export type { PlacedWording } from './place';
export type { PlaceRequest } from './placeRequest';
export { refillLine, refillPassage } from './refill';
export { wordsOf } from './wordsOf';
export { BY_HAND, readAnswer, typedForm } from './readAnswer';
export type { Pickable } from './picking';
export { pickablesOf, pickedIn, matchingPickables, MOST_BY_KEY, picking, otherwise, OTHER } from './picking';
export type { AnswerProblem, Clock } from './readAnswer';
export { answersFromRecord } from './answersFromRecord';
export { followedAnswers, isByHand } from './followedAnswers';
export { copiedDraft } from './copiedDraft';
export { Knowledge, knowledgeOf } from './knowledge';
export { wordingToRead } from './wordingToRead';
export type { FindEntry } from './includes';
export {
  contentsWithin,
  holdsOthers,
  includedIn,
  includedSize,
  MOST_INCLUDED,
  renamedIncludes,
  ringOf,
} from './includes';
export { workedFrom } from './questions';
export { gapsOf } from './gaps';
export type { Gap } from './gaps';
export { finishedPassage } from './finishedPassage';
export { fillWording } from './fillWording';
export { answersFromGroups } from './answersFromGroups';
