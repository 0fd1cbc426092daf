import type { Editor } from '@tiptap/react';
import { useCallback, useEffect, useMemo, useRef } from 'react';
import { shownByPlacement, type Way } from '#core/savings';
import { currentBlank, placementsOf } from '../../editor';
import { countUse } from '../../offers';
import { PressedKeys } from '#client/drafts';
import { documentOf } from '../surface/useLeafEditor';

/** The placement that a key is pressed in: on one of its blanks, or with the caret among its words, not at their end. */
function placementUnder(editor: Editor): string | null {
  const { state } = editor;
  const blank = currentBlank(state);
  if (blank) return blank.attrs.placement;
  const { $from } = state.selection;
  const of = (node: typeof $from.nodeAfter) =>
    node?.marks.find(({ type }) => type.name === 'placed')?.attrs.placement as string | undefined;
  const [before, after] = [of($from.nodeBefore), of($from.nodeAfter)];
  return before !== undefined && before === after ? before : null;
}

/**
 * Counts the keys pressed for each placement, and, when the draft is finished, what each saved: characters the reader
 * sees that came from the bank, less those keys. Each placement is counted once, however often the draft is reopened.
 */
export function useKeyCounts(editor: Editor, draft: string, kind: string, finderOpen: boolean) {
  const counts = useMemo(() => new PressedKeys(draft), [draft]);
  const finderOpenedAt = useRef(0);
  useEffect(() => {
    // F2 itself was pressed as well.
    if (finderOpen) finderOpenedAt.current = counts.total - 1;
  }, [counts, finderOpen]);
  useEffect(() => {
    const hear = (event: KeyboardEvent) => counts.hear(event, placementUnder(editor));
    const keep = () => counts.keep();
    window.addEventListener('keydown', hear, true);
    window.addEventListener('pagehide', keep);
    return () => {
      window.removeEventListener('keydown', hear, true);
      window.removeEventListener('pagehide', keep);
      keep();
    };
  }, [counts, editor]);
  return {
    /** A placement was brought in some way by so many keys; it is offered sooner from now on. */
    brought: useCallback(
      (placement: string, entry: string, keys: number, way: Way) => {
        counts.add(placement, keys);
        countUse(kind, {
          ...{ source: 'entry', list: entry, term: '', times: 1, shown: 0, pressed: 0 },
          brought: { way, keys },
        });
      },
      [counts, kind],
    ),
    /** How many keys it took to find something in the finder. */
    keysInFinder: useCallback(() => Math.max(1, counts.total - finderOpenedAt.current), [counts]),
    /** The draft was finished: what its placements saved is counted. */
    finished: useCallback(() => {
      const placements = placementsOf(editor.state.doc);
      for (const [placement, shown] of shownByPlacement(documentOf(editor))) {
        const pressed = counts.take(placement);
        const entry = placements[placement]?.entry;
        if (pressed !== null && entry)
          countUse(kind, { source: 'entry', list: entry, term: '', times: 0, shown, pressed });
      }
      counts.keep();
    }, [counts, editor, kind]),
  };
}
