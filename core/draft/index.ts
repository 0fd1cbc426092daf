export { DraftDocumentSchema, emptyDraft } from './draft';
export type { DraftDocument, Answer, Answers, Placement, Placements } from './draft';
export { languageOf } from './languageOf';
export { placementOf } from './placementOf';
export { EarlierUseSchema, earlierUses, lastAnswers } from './earlier';
export type { EarlierUse } from './earlier';
