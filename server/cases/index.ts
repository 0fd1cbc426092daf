export {
  filesOfCase,
  givenCase,
  ownDraft,
  summaryOf,
  tellEachGiven,
  tellOfCase,
  toDraft,
} from './caseAccess';
export { insertCase, caseRoutes } from './caseRoutes';
export { keepState } from './draftStates';
export { othersDrafts } from './othersDrafts';
export { enquiryFollows } from './enquiryFollows';
export { finishDraft, mustBeWhole } from './changeDraft';
export { newDraftRow } from './beginDraft';
export { draftRoutes } from './draftRoutes';
export { givenDrafts } from './givenDrafts';
