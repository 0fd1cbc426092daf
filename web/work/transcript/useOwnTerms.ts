import { useEditorState } from '@tiptap/react';
import { useEffect } from 'react';
import { isSame } from '#core/difference';
import { termsToOffer } from '#core/transcript';
import { offerService } from '#client/offers';
import { transcriptOf } from '../../editor';
import type { LeafWithMaterial } from '../../leaf';

/** Offers the names and terms of a recording while it is written down, and no longer. */
export function useOwnTerms({ editor, one }: LeafWithMaterial): void {
  const { details } = one.record;
  const terms = useEditorState({
    editor,
    selector: ({ editor: { state } }) => termsToOffer(transcriptOf(state.doc), details),
    equalityFn: isSame,
  });
  useEffect(() => void offerService().setOwn(terms), [terms]);
  useEffect(() => () => void offerService().setOwn([]), []);
}
