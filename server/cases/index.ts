export { filesOfCase, givenCase, ownDraft, summaryOf, tellOfCase } from './caseAccess';
export { insertCase, caseRoutes } from './caseRoutes';
export { othersDrafts } from './othersDrafts';
export { newDraftRow } from './beginDraft';
export { draftRoutes } from './draftRoutes';
export { givenDrafts } from './givenDrafts';
