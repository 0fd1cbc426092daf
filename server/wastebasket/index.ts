export { dropHeld, deleteEntries, deleteGlossary } from './deleting';
export { emptyWastebasket } from './emptying';
export { restoreFor } from './undoable';
export { wastebasketRoutes } from './wastebasketRoutes';
