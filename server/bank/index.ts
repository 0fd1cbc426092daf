export { announceChanges } from './announceEntry';
export { depart, holdCollections, nextChange } from './bankChanges';
export { bankRoutes } from './bankRoutes';
export { changing, changingReach, holdTree, mustBeAt, mustKeepIt } from './changingCollections';
export { filesInSight } from './entryFiles';
export { writeWords, writeMissingWords } from './entryWords';
export { mustSeeHistory } from './history';
export { leavingNoneUnkept } from './keeping';
export { keepSettings, makeCollection } from './makeCollection';
export { makeEntry } from './makeEntry';
export { changeEntries, heldByKeeper, type ChangeOfOne, moveEntries } from './manyEntries';
export { noteRoutes } from './noteRoutes';
export { ownCollection } from './ownCollection';
export { mustFindRoom, placeCollection } from './placeCollection';
export { proposalRoutes } from './proposalRoutes';
export { propose, tellOfProposal, withdraw } from './proposing';
export { reachPictures } from './reachPictures';
export { entriesById, readEntries, readSoFar, findInEntries } from './readEntries';
export {
  rightOn,
  mustRead,
  rightsFor,
  visibleEntries,
  wayUp,
  keptEntry,
  visibleEntry,
  rightsAmong,
} from './rights';
export { insertEntry, toEntry, typedCues, updateEntry } from './saveEntry';
export { sharedRights } from './sharedRights';
export { letKeep, setGrants, sharingOf } from './sharing';
export { includedIds } from './soundIncludes';
export { mustVaryAlone } from './soundVariations';
export { handOn, takeOver } from './takeover';
export { unmerge } from './unmerge';
export { visibleCollections } from './visibleCollections';
export { indexAll, saveStates } from './writtenTogether';
