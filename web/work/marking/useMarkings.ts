import { useEditorState, type Editor } from '@tiptap/react';
import { useEffect, useRef, useState } from 'react';
import type { PagePoint } from '#core/passage';
import type { PageSize } from '../../documents';
import { alikeMarkings, markingAt, markingsIn, stepToFirstGap } from '../../editor';
import type { LeafWithMaterial } from '../../leaf';
import { hearKeys } from '../../writing';
import { MarkingActs } from './markingActs';
import type { MarkingLook, Pointing, View } from './markingHost';
import { useZoom } from './useZoom';

/** Where the cross is at first, in points. */
const START: PagePoint = { x: 72, y: 72 };
/** What stands for the size of a page until it is known. */
const A4: PageSize = { width: 595, height: 842 };
const LOOK: MarkingLook = { size: 'medium', colour: 'ink', framed: false };

/** Hears the keys that lead from the words at their place back to the page, and when one begins to write in a marking. */
function useWordsHeard(editor: Editor, isPage: boolean, back: () => void, written: () => void): void {
  const latest = useRef({ isPage, back, written });
  useEffect(() => {
    latest.current = { isPage, back, written };
  });
  useEffect(() => {
    const { view } = editor;
    const stop = hearKeys(view, (event) => {
      // In the list they do what they do in any text.
      if (!latest.current.isPage) return false;
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
  const size = useRef(A4);
  const [page, setPage] = useState(0);
  const [cross, setCross] = useState(START);
  const [isReading, setReading] = useState(true);
  const [picked, pick] = useState<string | null>(null);
  const [pointing, point] = useState<Pointing>('marking');
  const [view, setView] = useState<View>('page');
  const [isForAll, setForAll] = useState(false);
  const zoom = useZoom(paneRef);
  const { markings, at } = useEditorState({
    editor,
    selector: ({ editor: { state } }) => ({
      markings: markingsIn(state.doc),
      at: markingAt(state)?.marking.id ?? null,
    }),
  });
  const current = isReading ? picked : at;
  // Counted while one looks, and not with each letter that is written.
  const alike = isReading && current !== null ? alikeMarkings(editor.state.doc, current).length : 0;
  const acts = new MarkingActs({
    ...{ editor, open, say, look, page, cross, current, pointing, isForAll, size, pane: paneRef },
    ...{ setPage, setCross, setReading, pick, point, setView },
  });
  useWordsHeard(
    editor,
    view === 'page',
    () => acts.back(),
    () => setReading(false),
  );
  return {
    ...{ paneRef, page, cross, isReading, markings, current, pointing, point, acts },
    ...{ open, view, zoom, size, isForAll, setForAll, alike },
  };
}

export type Markings = ReturnType<typeof useMarkings>;
