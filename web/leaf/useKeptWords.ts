import type { Editor } from '@tiptap/react';
import { selectedPassage, syncSelection } from '../editor';
import { EMPTY_SLIP, useKeptSlip } from '../writing';

/** Words that are being saved as an entry: what is selected is taken once, so that typing on does not change what is on the slip. */
export function useKeptWords(draft: string, editor: Editor, say: (words: string | null) => void) {
  const [selected, setSelected] = useKeptSlip(draft, editor);
  const keepWords = () => {
    syncSelection(editor.view);
    const words = selectedPassage(editor.state);
    if (words) setSelected({ words, pos: editor.state.selection.from, fields: EMPTY_SLIP });
    say(words ? null : 'Select the words to keep first, then press F4.');
  };
  return { selected, setSelected, keepWords };
}
