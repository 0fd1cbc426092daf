export { KeyIdSchema } from './keyId';
export { PassageSchema, LIMITS, isSafeLink } from './passage';
export type { Passage, Block, Inline, TextInline, BlankInline, Mark, BlankAttrs, Took } from './passage';
export type { TurnAttrs } from './turn';
export { readerMarks } from './readerMarks';
export { DROPPED, BLANK_FORMS, NUMBER_FORMS } from './passage';
export type {
  DroppedSpace,
  BlankForm,
  NumberForm,
  NumberInline,
  ReferenceInline,
  FoldedInline,
} from './passage';
export { blankLabel } from './blankLabel';
export { wordsOfInline } from './plainText';
export { plainPassage, emptyPassage, textRun, isEmptyPassage } from './make';
export { mapLines, linesOf, lineText, isLine } from './lines';
export type { Line, LineBlock } from './lines';
export { CommentOnSchema, MOST_COMMENTED } from './commentOn';
export type { CommentOn } from './commentOn';
export {
  compareMarkings,
  MARKING_COLOURS,
  MARKING_SIZES,
  MarkingOnSchema,
  markingPoints,
  markingUnit,
} from './markingOn';
export type { MarkingOn, PagePoint } from './markingOn';
export { comparePoints, compareRanges, TextRangeSchema } from './textRange';
export type { TextPoint, TextRange } from './textRange';
export { countWords, lengthOf, TextLimitSchema, type TextLimit } from './textLength';
export { textOfInlines, plainText } from './plainText';
export { isInWord, joinAtCaret, joinOf, JOINS, JOINS_IN_WORDS } from './joinAtCaret';
export type { Join } from './joinAtCaret';
export { followCase } from './followCase';
export { canonical } from './canonical';
export { tidyInlines } from './tidyInlines';
export { trimEdges } from './trimEdges';
export { excerpt } from './excerpt';
