export { DraftDocumentSchema, emptyDraft, MOST_PLACED_FILES } from './draft';
export { entriesInOrder } from './entriesInOrder';
export { filesAlong } from './filesAlong';
export type { DraftDocument, Answer, Answers, Placement, Placements } from './draft';
export { languageOf } from './languageOf';
export { placementOf } from './placementOf';
export { textsOf } from './textsOf';
export { EarlierUseSchema, earlierUses, lastAnswers } from './earlier';
export type { EarlierUse } from './earlier';
