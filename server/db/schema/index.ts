export {
  members,
  sessions,
  browserCodes,
  letters,
  trail,
  groups,
  groupMembers,
  teamSettings,
  preferences,
} from './people';
export { collections, collectionRevisions, grants, reachStamp } from './collections';
export { entryWords, vocabulary } from './finding';
export { entries, departures, entryMoves, revisions, cues } from './entries';
export { notes, presences, noteAnswers, proposals, allowedDetails } from './talk';
export { importEntries, imports } from './imports';
export { deletions, serverClock } from './wastebasket';
export { jobs } from './jobs';
export { caseFiles, draftFiles, entryFiles, fileContents, filePieces, waitingFiles } from './files';
export { cases, casesGiven, drafts, draftStates, followings, ignoredPhrases } from './cases';
export { assigned, assignments, assignmentsGiven, submissions } from './feedback';
export { enquiries, enquiryNotes, messages } from './enquiries';
export { batches, batchRows } from './batches';
export { trays, trayLines } from './trays';
export { sendings } from './sendings';
export { glossaries, termLists, terms, uses, waysBrought } from './glossaries';
export { houseWords, reviews, practised } from './order';
