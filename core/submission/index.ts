export { PLACE_SIGN, SUBMISSION_LIMITS, SubmissionSchema, wordsOfBlock } from './submission';
export type { CameAlong, PlaceKind, Span, SpanMark, Submission, SubmissionBlock } from './submission';
export { sentenceAround, sentencesIn, type Stretch } from './sentenceAround';
export { isWithin, paragraphAt, paragraphNumbers, wordsInSubmission, wordsOn } from './paragraphs';
export { readDocx, type ReadDocx } from './docx/readDocx';
export { NotDocx, type DocxParts } from './docx/docxParts';
export { withComments, type DocxComment } from './docx/withComments';
