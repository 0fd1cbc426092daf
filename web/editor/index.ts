export { isAnswering, answer, answerAll } from './answering';
export {
  currentBlank,
  attrsOf,
  fieldOf,
  type BlankAt,
  placementRange,
  blanksIn,
  placementAt,
} from './blanks';
export { statementsIn, stepToStatement, type Statement, confirmHere, statementAt } from './confirming';
export {
  passageExtensions,
  BlankNode,
  CaretMarkNode,
  IncludeNode,
  NumberNode,
  ReferenceNode,
  TimeCodeNode,
} from './extensions';
export { entryBefore } from './entryBefore';
export {
  changeWords,
  finding,
  findingIn,
  goToFound,
  findWords,
  lookFor,
  stayAtFound,
  type FoundWords,
  type Search,
} from './finding';
export { joiningOn } from './goingOn';
export { leftOutLines } from './leftOut';
export { isCode, lineBefore } from './lineBefore';
export { moveBlock } from './moving';
export { numbersIn, referTo, isNumbering, numbering, type Numbered } from './numbering';
export {
  envelopeOf,
  levelsOf,
  placementsOf,
  followDraft,
  isFollowing,
  replaceDraft,
  toEditor,
  fromEditor,
  setEnvelope,
  setLevels,
  setPlacements,
  transcriptOf,
} from './placements';
export {
  addTurns,
  beginTurn,
  castTurn,
  joinTurn,
  mergeSpeakers,
  turnAt,
  turnOfLine,
  turnsIn,
  writeTimes,
} from './turns';
export { putTime, timesIn } from './timeCodes';
export { heardNow, showHeard } from './heardNow';
export { followRecording } from './recordingClock';
export { placeEntry, goOnAfter } from './placing';
export { keptAgainst, type Before, nowAt, changedByHand, renewPlacement } from './renewing';
export { selectedPassage } from './selectedPassage';
export {
  stepByTab,
  stepToBlank,
  stepToField,
  stepToFirstGap,
  stepToGap,
  askedBlanks,
  stepOn,
  stepToReference,
  stepOut,
} from './stepping';
export { syncSelection } from './syncSelection';
export { insertTable } from './tables';
export {
  addComment,
  commentOf,
  commentAt,
  commentById,
  commentEntries,
  commentsIn,
  copyComment,
  layComment,
  removeComment,
} from './comments';
export { countComment, countedComments, COUNTED_COMMENTS, type CommentCount } from './countedComments';
export { saidTwice, sayInWhole, SAID_TWICE } from './saidTwice';
export {
  addMarking,
  alikeMarkings,
  changeMarkings,
  copyMarking,
  lineBeside,
  markingAt,
  markingById,
  markingsIn,
  removeMarkings,
  stepToMarking,
} from './markings';
export { adopt, placementIdsIn } from './adopting';
export { addText, boxesIn, moveText, nameRest, removeText, renameText, type BoxAt } from './texts';
export {
  disfluentPlaces,
  markDisfluencies,
  markedDisfluencies,
  toggleDisfluency,
  unmarkDisfluencies,
} from './disfluencies';
export type { FoundPlace } from './placesInLines';
export { eachWord, misspeltPlaces, respell, type MisspeltPlace } from './spelling';
export { spokenPlaces, writeSpokenMarks } from './spokenMarks';
export type { SpokenPlace } from './spokenMarks';
export { turnsInto } from './turnsCopied';
export { putTogether } from './turnsTogether';
