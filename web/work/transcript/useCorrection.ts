import type { Transaction } from '@tiptap/pm/state';
import type { Editor } from '@tiptap/react';
import { useEffect, useState } from 'react';
import { correctionOf, isOfAll, type Correction } from '#core/transcript';
import { offerService } from '#client/offers';
import { findWords } from '../../editor';

/** A correction whose old words stand elsewhere in the text, so many times. */
export interface LikeElsewhere extends Correction {
  count: number;
}

/** The line the caret is in, and where it begins. */
function lineAt({ state: { selection } }: Editor) {
  const { $from } = selection;
  return { start: $from.start(), words: $from.parent.textContent };
}

const toFind = (words: string) => ({ words, wholeWords: true, sameCase: true });

/** What was put right is as it was elsewhere: so often, where it is likely to be wrong there too; else null. */
async function likeElsewhere(editor: Editor, correction: Correction): Promise<LikeElsewhere | null> {
  if (editor.isDestroyed) return null;
  const count = findWords(editor.state.doc, toFind(correction.from)).filter(
    ({ isAnswered }) => !isAnswered,
  ).length;
  if (count === 0) return null;
  const [isWord = false] = await offerService().areWords([correction.from.toLowerCase()]);
  return isOfAll(correction, () => isWord) ? { ...correction, count } : null;
}

/** Notices that a term was put right, once the caret goes elsewhere, where the same stands in other places. */
export function useCorrection(editor: Editor, open: boolean) {
  const [like, setLike] = useState<LikeElsewhere | null>(null);
  useEffect(() => {
    if (!open) return undefined;
    let line = lineAt(editor);
    const look = ({ transaction }: { transaction: Transaction }) => {
      const { mapping, docChanged, selectionSet } = transaction;
      if (!docChanged && !selectionSet) return;
      const start = mapping.map(line.start, -1);
      const now = lineAt(editor);
      // While one types on in the line, what it was stays what it is held against.
      if (docChanged && now.start === start) {
        line.start = start;
        return;
      }
      const { doc } = editor.state;
      const parent = start <= doc.content.size ? doc.resolve(start).parent : null;
      const found = parent?.isTextblock ? correctionOf(line.words, parent.textContent) : null;
      line = now;
      if (found) void likeElsewhere(editor, found).then((told) => told && setLike(told));
    };
    editor.on('transaction', look);
    return () => void editor.off('transaction', look);
  }, [editor, open]);
  return { like, forget: () => setLike(null) };
}
