import { useEditorState, type Editor } from '@tiptap/react';
import type { Case } from '#contracts';
import { calendarToday } from '#client/clock';
import { isSame } from '#core/difference';
import { headInText, usualHead, type Head, type HeadLine } from '#core/letter';
import { envelopeOf, setEnvelope } from '../../../editor';
import { documentOf } from '../../../writing';

/** The head of a letter as it is written on its leaf. */
export interface WrittenHead {
  head: Head;
  /** Which lines the text itself says, in boxes. */
  inText: ReadonlySet<HeadLine>;
  write: (line: HeadLine, words: string) => void;
}

/** To whom the letter on a leaf goes and what it is called: as its text says, else as it was typed, else as is usual. */
export function useHead(editor: Editor, one: Case, isAnswer: boolean): WrittenHead {
  const { envelope, said } = useEditorState({
    editor,
    selector: ({ editor: { state } }) => ({
      envelope: envelopeOf(state.doc),
      said: headInText(documentOf(editor)),
    }),
    equalityFn: (a, b) => b !== null && a.envelope === b.envelope && isSame(a.said, b.said),
  });
  return {
    head: { ...usualHead(one.record, calendarToday(), isAnswer), ...envelope, ...said },
    inText: new Set(Object.keys(said) as HeadLine[]),
    write: (line, words) => {
      const { state, view } = editor;
      view.dispatch(setEnvelope(state.tr, { ...envelopeOf(state.doc), [line]: words }));
    },
  };
}
