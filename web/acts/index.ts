export { DeleteAsk } from './DeleteAsk';
export { DoneElsewhere } from './DoneElsewhere';
export { DoneNotice } from './DoneNotice';
export { MoveTo } from './MoveTo';
export { useBeginEntry } from './useBeginEntry';
export { useMany } from './useMany';
