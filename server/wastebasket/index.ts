export { deleteFile, dropHeld, deleteEntries, deleteGlossary } from './deleting';
export { emptyWastebasket, purge, settingsOf } from './emptying';
export { oneUndoable, restoreFor } from './undoable';
export { wastebasketRoutes } from './wastebasketRoutes';
