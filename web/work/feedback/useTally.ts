import type { Node as EditorNode } from '@tiptap/pm/model';
import type { Editor } from '@tiptap/react';
import { useEffect, useState } from 'react';
import { tallyOf, type Criterion, type Tally } from '#core/work';
import { commentsIn, fromEditor, levelsOf, placementsOf } from '../../editor';

/** What of a draft a tally is worked out from, to be compared by its parts: words alone change nothing of it. */
function groundOf(doc: EditorNode): unknown[] {
  const counted = commentsIn(doc).map(({ comment: { id, counts, again }, node }) => [
    ...[id, counts?.criterion, counts?.as, again?.of],
    // Whether something is placed in it: an answer typed into its blanks is no other ground.
    node.childCount,
  ]);
  const placed = Object.entries(placementsOf(doc)).map(([id, { title }]) => [id, title]);
  return [JSON.stringify(counted), JSON.stringify(placed), levelsOf(doc)];
}

/** What the comments that are written come to, always as they are now. */
export function useTally(editor: Editor, criteria: readonly Criterion[]): Tally {
  const [tally, setTally] = useState(() => tallyOf(fromEditor(editor.state.doc), criteria));
  useEffect(() => {
    let ground: unknown[] = [];
    const look = () => {
      const now = groundOf(editor.state.doc);
      if (now.every((part, at) => part === ground[at])) return;
      ground = now;
      setTally(tallyOf(fromEditor(editor.state.doc), criteria));
    };
    const heard = ({ transaction }: { transaction: { docChanged: boolean } }) => {
      if (transaction.docChanged) look();
    };
    look();
    editor.on('transaction', heard);
    return () => void editor.off('transaction', heard);
  }, [editor, criteria]);
  return tally;
}
