import { closeHistory } from '@tiptap/pm/history';
import { Fragment } from '@tiptap/pm/model';
import type { EditorState, Transaction } from '@tiptap/pm/state';
import type { Block } from '#core/passage';
import { insertionsOf, type Transcript } from '#core/transcript';
import { fromEditor, setTranscript } from './placements';

/**
 * A transaction that puts what somebody else has written down where by its times it belongs, with the cast in which its speakers are;
 * null where all of it is there already.
 */
export function putTogether(
  state: EditorState,
  theirs: readonly Block[],
  transcript: Transcript,
): Transaction | null {
  const { doc, schema, tr } = state;
  const insertions = insertionsOf(fromEditor(doc).content, theirs);
  if (insertions.length === 0) return null;
  const starts: number[] = [];
  doc.forEach((_node, offset) => void starts.push(offset));
  starts.push(doc.content.size);
  for (const { before, blocks } of insertions.toReversed())
    tr.insert(starts[before]!, Fragment.fromJSON(schema, blocks));
  return closeHistory(setTranscript(tr, transcript));
}
