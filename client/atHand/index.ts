export {
  ANSWERS_AT_HAND,
  countKept,
  dropAnswer,
  forgetAnswers,
  keepAnswer,
  keepDraft,
  keptAnswer,
  keptCases,
  keptDraft,
  ownComputer,
  type KeptCounts,
} from './answers';
export { chosenFiles } from './chosenFiles';
export { keepAnew } from './keepAnew';
export { keepTrayHere, trayHere } from './trays';
export { casesOnComputers } from './onComputers';
export { hasNoRoom, onRoom } from './room';
export { beginWriting, isWritten } from './writing';
export { closeStore, noStore, openStore, type WaitingAct } from './store';
