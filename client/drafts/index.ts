export { type Keeping, DraftKeeper } from './draftKeeper';
export { type LocalCopy, dropCopy, readCopy } from './localCopy';
export { PressedKeys } from './pressedKeys';
export { SentencesTyped } from './sentencesTyped';
