export { KeyIdSchema } from './keyId';
export { PassageSchema, LIMITS } from './passage';
export type { Passage } from './passage';
export { isSafeLink } from './safeLink';
export { lookOf, MARKS, markRow, seenMarks } from './marks';
export type { Mark, MarkInBracket, MarkName } from './marks';
export { INLINES, wordsOfInline } from './inlines';
export type { BlankAttrs, BlankInline, FoldedInline, Inline, NumberInline } from './inlines';
export type { ReferenceInline, TextInline, Took } from './inlines';
export { BLOCKS, elementOf } from './blocks';
export type { Block } from './blocks';
export type { TurnAttrs } from './turn';
export { DROPPED, BLANK_FORMS, NUMBER_FORMS } from './forms';
export type { DroppedSpace, BlankForm, NumberForm } from './forms';
export { blankLabel } from './blankLabel';
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
