export { PassageSchema, LIMITS, isSafeLink } from './passage';
export type {
  Passage,
  Block,
  Inline,
  TextInline,
  BlankInline,
  BreakInline,
  Mark,
  BlankAttrs,
} from './passage';
export { BLANK_FORMS } from './passage';
export type { BlankForm, BlankState } from './passage';
export { plainPassage, emptyPassage, textRun, isEmptyPassage } from './make';
export { mapLines, linesOf, isLine } from './lines';
export type { Line, LineBlock } from './lines';
export { textOfInlines, plainText } from './plainText';
export { joinAtCaret } from './joinAtCaret';
export { followCase } from './followCase';
export { tidyInlines } from './tidyInlines';
export { trimEdges } from './trimEdges';
export { excerpt } from './excerpt';
