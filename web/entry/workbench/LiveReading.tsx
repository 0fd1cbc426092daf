import { Extension } from '@tiptap/core';
import { isHistoryTransaction } from '@tiptap/pm/history';
import { Plugin } from '@tiptap/pm/state';
import { EditorContent, useEditor, useEditorState } from '@tiptap/react';
import { useEffect, useMemo, useRef } from 'react';
import type { Answers, DraftDocument } from '#core/draft';
import { place, type PlaceRequest } from '#core/fill';
import type { CaseRecord } from '#core/record';
import {
  isAnswering,
  currentBlank,
  passageExtensions,
  leftOutLines,
  isNumbering,
  numbering,
  placementsOf,
  replaceDraft,
  toEditor,
  stepToBlank,
  stepToField,
} from '../../editor';
import { BlankPanel, keyOnBlank, stepTo, LiveBlank } from '../../writing';

const ID = 'reading';

/** Only answers change a reading: its words are those of the wording, and are changed there. */
const answersOnly = Extension.create({
  name: 'answersOnly',
  priority: 900,
  addProseMirrorPlugins: () => [
    leftOutLines(),
    numbering(),
    new Plugin({
      filterTransaction: (tr) =>
        !tr.docChanged ||
        isAnswering(tr) ||
        isHistoryTransaction(tr) ||
        isNumbering(tr) ||
        tr.getMeta('addToHistory') === false,
    }),
  ],
  addKeyboardShortcuts: () => {
    const to = (editor: Parameters<typeof stepTo>[0], direction: 1 | -1) => {
      const tr = stepToBlank(editor.state, direction);
      if (tr) stepTo(editor, tr);
      return tr !== null;
    };
    return {
      Tab: ({ editor }) => to(editor.view, 1),
      'Shift-Tab': ({ editor }) => to(editor.view, -1),
    };
  },
});

/** An entry placed for a case, as the draft it would be. */
function readingOf(request: Omit<PlaceRequest, 'cue' | 'id'>): DraftDocument {
  const { passage, placement, boxes } = place({ ...request, cue: null, id: ID });
  const content = [
    ...boxes.map(({ name, passage: inner }) => ({
      type: 'box' as const,
      attrs: { name },
      content: inner.content,
    })),
    ...passage.content,
  ];
  return { type: 'doc', content, attrs: { placements: { [ID]: placement } } };
}

interface Props {
  request: Omit<PlaceRequest, 'cue' | 'id' | 'answers'>;
  record: CaseRecord;
  /** Answers to begin with, as those that bring an odd reading; another object begins anew with them. */
  answers: Answers;
}

/** How an entry reads, alive: its blanks are answered here as on a leaf, so that every branch can be tried. */
export function LiveReading({ request, record, answers }: Props) {
  const given = useRef(answers);
  const extensions = useMemo(() => [...passageExtensions('draft'), LiveBlank, answersOnly], []);
  const editor = useEditor(
    {
      extensions,
      content: toEditor(readingOf({ ...request, answers })),
      injectCSS: false,
      shouldRerenderOnTransaction: false,
      editorProps: {
        attributes: {
          'aria-label': 'How it reads',
          role: 'textbox',
          'aria-multiline': 'true',
          'aria-readonly': 'true',
          class: 'book prose-leaf with-blanks in-reading',
        },
        handleKeyDown: (view, event) => {
          const used = !event.isComposing && keyOnBlank(view, event, true);
          if (used) event.preventDefault();
          return used;
        },
      },
    },
    [extensions],
  );
  useEffect(() => {
    // What was answered here stays when the wording changes; answers given from elsewhere replace it.
    const here = placementsOf(editor.state.doc)[ID]?.answers ?? {};
    const own = given.current === answers ? here : answers;
    given.current = answers;
    const kept = Object.fromEntries(Object.entries(own).filter(([, { kind }]) => kind !== 'detail'));
    const reading = readingOf({ ...request, answers: kept });
    const current = currentBlank(editor.state);
    const isAnswered = editor.view.dom.contains(document.activeElement);
    editor.view.dispatch(replaceDraft(editor.state, reading).setMeta('addToHistory', false));
    // Who was answering a blank, as when the case's record came only now, goes on with it.
    const again = current && isAnswered && stepToField(editor.state, ID, current.attrs.field);
    if (again) stepTo(editor.view, again);
  }, [editor, request, answers]);
  const blank = useEditorState({ editor, selector: ({ editor: { state } }) => currentBlank(state) });
  return (
    <>
      <EditorContent editor={editor} className="mt-3 text-[16px]" />
      {blank && <BlankPanel editor={editor} blank={blank} record={record} />}
    </>
  );
}
