export { dropAllWaiting, dropWaiting, noteRefused, onWaiting, tellWaiting, waitingActs } from './acts';
export { keepEntry, type KeptEntry } from './entryHere';
export { beginLeafHere, makeCaseOrWait } from './leafHere';
export { closeLeaf, openLeaf, openLeaves, whileNoneIsSent } from './leafLocks';
export { sendFirst, sendWaiting } from './sending';
