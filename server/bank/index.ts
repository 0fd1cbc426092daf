export { announceChanges } from './announceEntry';
export { depart, holdCollections, nextChange, nextChanges } from './bankChanges';
export { bankRoutes } from './bankRoutes';
export { changing, changingReach, holdTree, mustBeAt, mustKeepIt } from './changingCollections';
export { filesInSight, holdEntryFiles } from './entryFiles';
export { writeWords, writeMissingWords, writeWordsLeft } from './entryWords';
export { mustSeeHistory } from './history';
export { leavingNoneUnkept } from './keeping';
export { insertHidden, keepSettings, makeCollection, settleCollections } from './makeCollection';
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
  mustKeep,
  mustKeepAll,
  mustRead,
  rightsFor,
  visibleEntries,
  wayUp,
  keptEntry,
  visibleEntry,
  rightsAmong,
} from './rights';
export { insertEntry, mustBeSound, tellingClashes, toEntry, typedCues, updateEntry } from './saveEntry';
export { sharedRights } from './sharedRights';
export { letKeep, setGrants, sharingOf } from './sharing';
export { includedIds, mustIncludeSoundly } from './soundIncludes';
export { mustVaryAlone } from './soundVariations';
export { handOn } from './handOn';
export { unmerge } from './unmerge';
export { visibleCollections } from './visibleCollections';
export { indexAll, insertCues, keepRevisions, saveStates, showEntries } from './writtenTogether';
