import type { Editor } from '@tiptap/react';
import { useEffect, useRef } from 'react';
import type { Draft } from '#contracts';
import { call } from '#client/api';
import { onSaved, type DraftKeeper } from '#client/drafts';
import { followDraft } from '../../editor';

/**
 * Has a leaf follow what is saved of its draft in other windows, for as long as nothing that is written here waits to be saved.
 * `settle` is told where it was finished or reopened there.
 */
export function useFollowSaved(
  editor: Editor,
  keeper: DraftKeeper,
  state: Draft['state'],
  settle: (there: Draft) => void,
): void {
  const now = useRef({ state, settle });
  useEffect(() => {
    now.current = { state, settle };
  });
  useEffect(
    () =>
      onSaved(keeper.draftId, (version) => {
        const ask = () => call('draft', { params: { draft: keeper.draftId } });
        const show = ({ document }: Draft) => editor.view.dispatch(followDraft(editor.state, document));
        const follow = async () => {
          const there = await keeper.follow(version, ask, show);
          if (there && there.state !== now.current.state) now.current.settle(there);
        };
        // A letter that is being put together is something written here. What cannot be asked for now is told by the next save.
        if (!editor.view.composing) void follow().catch(() => undefined);
      }),
    [editor, keeper],
  );
}
