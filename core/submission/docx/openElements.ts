import type { PlaceKind, Span, SpanMark, SubmissionBlock } from '../submission';
import type { RunAt } from './textPieces';

/** A paragraph being read. */
export interface OpenParagraph {
  index: number;
  spans: Span[];
  at: number;
  style: string | undefined;
  num: string | null;
  level: number | null;
  rtl: boolean;
  outline: number | null;
  cell: SubmissionBlock['cell'];
}

/** A run being read, with how its words look. */
export interface OpenRun {
  at: RunAt;
  marks: Set<SpanMark>;
  propertiesStart: number;
}

/** Something that is no words, being read. */
export interface OpenPlace {
  kind: PlaceKind;
  element: string;
  depth: number;
  start: number;
  name: string;
  words: string;
  inText: boolean;
}
