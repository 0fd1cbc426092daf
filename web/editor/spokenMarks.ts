import { closeHistory } from '@tiptap/pm/history';
import type { Node as EditorNode } from '@tiptap/pm/model';
import type { EditorState, Transaction } from '@tiptap/pm/state';
import { canSplit } from '@tiptap/pm/transform';
import { spokenMarksIn, type SpokenMark } from '#core/transcript';
import { placesInLines, type FoundPlace } from './placesInLines';

/** A mark that is said in a draft, and what it is written as. */
export type SpokenPlace = SpokenMark & FoundPlace;

/** The marks that are said in a draft ("full stop"), in their order. */
export const spokenPlaces = (doc: EditorNode, language: string): SpokenPlace[] =>
  placesInLines(doc, (line) => spokenMarksIn(line, language));

/** Writes marks that were said, as a step of its own for undo; a new line goes on in the same turn. */
export function writeSpokenMarks(state: EditorState, places: readonly SpokenPlace[]): Transaction {
  const { tr, schema } = state;
  for (const { from, to, put, breaks } of places.toReversed()) {
    if (put === '') tr.delete(from, to);
    else tr.insertText(put, from, to);
    // In a cell or a heading as well as in a turn: what follows is a paragraph.
    const types = [{ type: schema.nodes.paragraph! }];
    if (breaks && canSplit(tr.doc, from, 1, types)) tr.split(from, 1, types);
  }
  return closeHistory(tr);
}
