export { deleteFile, dropHeld, deleteEntries, deleteGlossary } from './deleting';
export { emptyWastebasket, purge } from './emptying';
export { oneUndoable, restoreFor } from './undoable';
export { wastebasketRoutes } from './wastebasketRoutes';
