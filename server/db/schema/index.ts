export { members, sessions, letters, trail, groups, groupMembers, teamSettings, preferences } from './people';
export { collections, collectionRevisions, grants, reachStamp } from './collections';
export { entryWords, vocabulary } from './finding';
export { entries, departures, revisions, cues } from './entries';
export { notes, presences, noteAnswers, proposals, allowedDetails } from './talk';
export { deletions } from './wastebasket';
export { cases, casesGiven, drafts, ignoredPhrases } from './cases';
export { glossaries, terms, uses } from './glossaries';
export { houseWords, reviews, practised } from './order';
