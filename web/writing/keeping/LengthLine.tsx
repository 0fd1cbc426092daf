import { useEditorState, type Editor } from '@tiptap/react';
import { useDeferredValue, useMemo } from 'react';
import { finishedPassage } from '#core/fill';
import { lengthOf, type TextLimit } from '#core/passage';
import { fromEditor } from '../../editor';

interface Props {
  editor: Editor;
  limit: TextLimit;
}

/** How long the text is, as it will go out, against how long it may be. Counted when there is time: typing comes first. */
export function LengthLine({ editor, limit }: Props) {
  const doc = useDeferredValue(useEditorState({ editor, selector: ({ editor: { state } }) => state.doc }));
  const length = useMemo(() => lengthOf(finishedPassage(fromEditor(doc)), limit.of), [doc, limit.of]);
  const over = length - limit.most;
  const figure = (value: number) => value.toLocaleString();
  return (
    <p className={`text-[13px] tabular-nums ${over > 0 ? 'font-semibold text-rust' : 'text-soft'}`}>
      {figure(length)} of {figure(limit.most)} {limit.of}
      {over > 0 && `: ${figure(over)} over`}
    </p>
  );
}
