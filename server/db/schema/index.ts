export { members, sessions, letters, trail, groups, groupMembers, teamSettings, preferences } from './people';
export { collections, collectionRevisions, grants, reachStamp } from './collections';
export { entryWords, vocabulary } from './finding';
export { entries, departures, entryMoves, revisions, cues } from './entries';
export { notes, presences, noteAnswers, proposals, allowedDetails } from './talk';
export { deletions, serverClock } from './wastebasket';
export { cases, casesGiven, drafts, draftStates, ignoredPhrases } from './cases';
export { glossaries, termLists, terms, uses } from './glossaries';
export { houseWords, reviews, practised } from './order';
