import type { PlaceKind, SpanMark } from '../submission';

/** Elements that stand for something that is no words; what is within them is not read as text. */
export const PLACES: Record<string, PlaceKind> = {
  drawing: 'picture',
  pict: 'picture',
  object: 'object',
  AlternateContent: 'picture',
  oMath: 'formula',
  oMathPara: 'formula',
};

/** Signs that an element stands for. */
export const SIGNS: Record<string, string> = {
  tab: '\t',
  br: '\n',
  cr: '\n',
  noBreakHyphen: '\u2011',
  softHyphen: '\u00ad',
};

export const MARKS: Record<string, SpanMark> = {
  b: 'bold',
  i: 'italic',
  u: 'underline',
  strike: 'strike',
  dstrike: 'strike',
};

/** The elements around runs that say something of them. */
export const AROUND: Record<string, SpanMark> = {
  ins: 'inserted',
  moveTo: 'inserted',
  del: 'deleted',
  moveFrom: 'deleted',
  hyperlink: 'link',
};

/** What is not read: the second form of a thing, and how something looked before a change that was tracked. */
export const IGNORED = new Set([
  'Fallback',
  'pPrChange',
  'rPrChange',
  'sectPrChange',
  'tblPrChange',
  'trPrChange',
  'tcPrChange',
]);
