export { withSavedDraft } from './withSavedDraft';
export { newLeaf } from './newLeaf';
