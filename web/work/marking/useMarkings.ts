import { useEditorState, type Editor } from '@tiptap/react';
import { useEffect, useRef, useState } from 'react';
import type { PagePoint } from '#core/passage';
import { markingAt, markingsIn, stepToFirstGap } from '../../editor';
import type { LeafWithMaterial } from '../../leaf';
import { hearKeys } from '../../writing';
import { MarkingActs, type MarkingLook, type Pointing } from './markingActs';

/** Where the cross is at first, in points. */
const START: PagePoint = { x: 72, y: 72 };
const LOOK: MarkingLook = { size: 'medium', colour: 'ink', framed: false };

/** Hears the keys that lead back to the page, and when one begins to write in a marking. */
function useWordsHeard(editor: Editor, back: () => void, written: () => void): void {
  const latest = useRef({ back, written });
  useEffect(() => {
    latest.current = { back, written };
  });
  useEffect(() => {
    const { view } = editor;
    const stop = hearKeys(view, (event) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.shiftKey) return false;
      // A blank that is open goes on to the next one; else the marking is done.
      if (event.key === 'Enter' && stepToFirstGap(editor.state)) return false;
      if (event.key !== 'Enter' && event.key !== 'Escape') return false;
      latest.current.back();
      return true;
    });
    const heard = () => latest.current.written();
    view.dom.addEventListener('focusin', heard);
    return () => {
      stop();
      view.dom.removeEventListener('focusin', heard);
    };
  }, [editor]);
}

/** The markings of a leaf: which is at hand, where the next one goes, and all that can be done with them. */
export function useMarkings({ editor, open, say }: LeafWithMaterial) {
  const paneRef = useRef<HTMLDivElement | null>(null);
  const look = useRef(LOOK);
  const [page, setPage] = useState(0);
  const [cross, setCross] = useState(START);
  const [isReading, setReading] = useState(true);
  const [picked, pick] = useState<string | null>(null);
  const [pointing, point] = useState<Pointing>('marking');
  const { markings, at } = useEditorState({
    editor,
    selector: ({ editor: { state } }) => ({
      markings: markingsIn(state.doc),
      at: markingAt(state)?.marking.id ?? null,
    }),
  });
  const current = isReading ? picked : at;
  const acts = new MarkingActs({
    ...{ editor, open, say, look, page, cross, current, pointing, pane: paneRef },
    ...{ setPage, setCross, setReading, pick, point },
  });
  useWordsHeard(
    editor,
    () => acts.back(),
    () => setReading(false),
  );
  return { paneRef, page, setPage, cross, isReading, markings, current, pointing, point, acts };
}

export type Markings = ReturnType<typeof useMarkings>;
