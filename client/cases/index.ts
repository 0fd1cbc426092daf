export { withSavedDraft } from './withSavedDraft';
