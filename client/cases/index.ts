export { withSavedDraft } from './withSavedDraft';
export { newLeaf } from './newLeaf';
export { lastNote } from './lastNote';
