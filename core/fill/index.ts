export { place, wordingOf } from './place';
export type { PlaceRequest, Placed } from './place';
export { refillLine, refillPassage } from './refill';
export { wordsOf } from './wordsOf';
export { answersFromRecord } from './answersFromRecord';
export { gapsOf } from './gaps';
export type { Gap } from './gaps';
export { finishedPassage } from './finishedPassage';
export { fillWording } from './fillWording';
