export { DraftDocumentSchema, AnswerSchema, PlacementSchema, emptyDraft } from './draft';
export type { DraftDocument, Answer, Answers, Placement, Placements } from './draft';
