import type { EditorState, Transaction } from '@tiptap/pm/state';
import type { Criterion, CriterionLevel } from '#core/work';
import { commentOf, levelsOf, setLevels } from '../../editor';

/** Where a paragraph of the summing-up says just these words; null where none does. */
function paragraphOf({ doc }: EditorState, words: string): { from: number; to: number } | null {
  let found: { from: number; to: number } | null = null;
  doc.forEach((node, pos) => {
    if (found || node.type.name !== 'paragraph' || commentOf(node)) return;
    if (words !== '' && node.textContent === words) found = { from: pos, to: pos + node.nodeSize };
  });
  return found;
}

/**
 * A transaction that gives a criterion a level, or takes it away (null): the words of the level stand in the summing-up, where those of
 * the one before stood, else at its end. Words that were changed by hand stay.
 */
export function giveLevel(
  state: EditorState,
  criterion: Criterion,
  level: CriterionLevel | null,
): Transaction {
  const { [criterion.id]: had, ...others } = levelsOf(state.doc);
  const tr = setLevels(state.tr, level ? { ...others, [criterion.id]: level.id } : others);
  const before = criterion.levels.find(({ id }) => id === had);
  const there = before ? paragraphOf(state, before.words.trim()) : null;
  const words = level?.words.trim() ?? '';
  const { paragraph } = state.schema.nodes;
  const line = () => paragraph!.create(null, state.schema.text(words));
  if (there && words !== '') tr.replaceWith(there.from, there.to, line());
  else if (there && state.doc.childCount > 1) tr.delete(there.from, there.to);
  else if (there) tr.replaceWith(there.from, there.to, paragraph!.create());
  else if (words !== '') {
    const { lastChild, content } = state.doc;
    const isEmpty = lastChild?.type.name === 'paragraph' && lastChild.content.size === 0;
    tr.replaceWith(isEmpty ? content.size - lastChild.nodeSize : content.size, content.size, line());
  }
  return tr;
}
