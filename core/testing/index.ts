export { anyEntry } from './anyEntry';
export { anyAnswers } from './anyAnswers';
export { finished } from './finished';
export { HELD_OUT } from './heldOutSentences';
export { MESSAGE_SENTENCES } from './messageSentences';
export { KNOWN, ORDINARY, SENTENCES, UNSEEN } from './personalSentences';
export { TRIED } from './triedSentences';
export { about, coded, lines, patient, readMade, seen, words } from './madeResources';
export { THREE_RECORDS } from './threeRecords';
