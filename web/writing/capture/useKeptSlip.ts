import type { Editor } from '@tiptap/react';
import { useEffect, useState, type Dispatch, type SetStateAction } from 'react';
import { dropSlip, keepSlip, readSlip, type KeptSlip } from './keptSlip';

/** The slip of captured words of a draft: as it was left half-filled, until it is closed. */
export function useKeptSlip(
  draft: string,
  editor: Editor,
): [KeptSlip | null, Dispatch<SetStateAction<KeptSlip | null>>] {
  const [slip, setSlip] = useState<KeptSlip | null>(() => {
    const left = readSlip(draft);
    // The text may be shorter than it was.
    return left && { ...left, pos: Math.min(left.pos, editor.state.doc.content.size) };
  });
  useEffect(() => {
    if (slip) keepSlip(draft, slip);
    else dropSlip(draft);
  }, [draft, slip]);
  return [slip, setSlip];
}
