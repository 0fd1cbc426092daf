export {
  type Keeping,
  DraftKeeper,
  newestKnown,
  dropUnsentText,
  isBeingSent,
  unsentCopy,
} from './draftKeeper';
export { alsoSent, hasArrived } from './draftDigest';
export { type LocalCopy, copiesOf, dropCopy, keepCopy, readCopy } from './localCopy';
export { onSaved, tellSaved } from './savedElsewhere';
export { PressedKeys } from './pressedKeys';
export { SentencesTyped } from './sentencesTyped';
