import { Extension } from '@tiptap/core';
import { Selection } from '@tiptap/extensions';
import { EditorContent, useEditor, type Editor } from '@tiptap/react';
import { useEffect, useMemo, useState } from 'react';
import type { BankIndex } from '#core/bank';
import { conditionInWords, type Condition, type Field, type NamedCondition } from '#core/entry';
import type { Passage } from '#core/passage';
import { passageExtensions } from '../../editor';
import { addressPasted } from '../../format';
import { useDictionary, useMisspeltMarks, useSpellChecker } from '../../spelling';
import { conditionLabels, tellConditions } from './conditionLabels';
import { goOnBehind } from './optionalPassages';
import { shownSpaces } from './shownSpaces';
import { WordingBar, type NewField } from './WordingBar';
import { Names, wordingNodes } from './wordingNodes';
import { WordingStrip, type StripAsked } from './WordingStrip';

interface Props {
  passage: Passage;
  /** Of the wording, as a BCP 47 tag. */
  language: string;
  fields: readonly Field[];
  conditions: readonly NamedCondition[];
  /** Where entries are that may be put in. */
  index: BankIndex;
  /** The entry that the wording is of; null for a new one. */
  within: string | null;
  editable: boolean;
  onChange: (passage: Passage) => void;
  newField: NewField;
  /** What the cases of this collection know, to be looked up. */
  details: readonly { path: string; label: string }[];
  changeCondition: (id: string, when: Condition) => void;
  /** Makes the selected words an optional passage; what stands in the way comes back in words. */
  makeOptional: () => string | null;
  editorReady: (editor: Editor) => void;
  /** Where in the margin the conditions and forms at the caret are settled. */
  beside: HTMLElement | null;
}

/** What a wording's editor shows besides its words: conditions, and spaces that cannot be seen. */
const signs = Extension.create({
  name: 'signs',
  addProseMirrorPlugins: () => [conditionLabels(), shownSpaces()],
  addKeyboardShortcuts: () => ({
    // At the end of a paragraph that ends with an optional passage: out of it, before out of the paragraph.
    ArrowRight: ({ editor: { state, view } }) => {
      const { $from, empty } = state.selection;
      const tr = empty && $from.parentOffset === $from.parent.content.size ? goOnBehind(state) : null;
      if (tr) view.dispatch(tr);
      return tr !== null;
    },
  }),
});

/** Has the editor show the wording anew where that is another: a revision brought back, or a colleague's change. Undo brings back the old. */
function useWordingShown(editor: Editor, passage: Passage): void {
  useEffect(() => {
    const wanted = editor.schema.nodeFromJSON(passage);
    if (!editor.state.doc.content.eq(wanted.content)) {
      editor.commands.setContent(passage, { emitUpdate: false });
    }
  }, [editor, passage]);
}

/** Has blanks and entries within the wording go by their names. */
function useNamesTold(names: Names, { fields, index }: Pick<Props, 'fields' | 'index'>): void {
  useEffect(() => {
    const entries = new Map([...index.entries.values()].map((one) => [one.id, one.content.title]));
    names.set({ fields: new Map(fields.map(({ id, name }) => [id, name])), entries });
  }, [names, fields, index]);
}

/** Has the editor say of conditional words when they are shown. */
function useConditionsTold(
  editor: Editor,
  { conditions, fields }: Pick<Props, 'conditions' | 'fields'>,
): void {
  useEffect(() => {
    const words = new Map(conditions.map(({ id, when }) => [id, conditionInWords(when, fields)]));
    tellConditions(editor.view, (id) => `when ${words.get(id) ?? 'its condition is found again'}`);
  }, [editor, conditions, fields]);
}

/** The rich editor of a wording, with its blanks; what is pasted is reduced to what a passage may hold. */
export function WordingEditor(props: Props) {
  const { passage, fields, conditions, index, within, editable, onChange, newField, editorReady } = props;
  const names = useMemo(() => new Names(), []);
  const [asked, ask] = useState<StripAsked>(null);
  const [told, tell] = useState<string | null>(null);
  const extensions = useMemo(
    () => [...passageExtensions('wording'), ...wordingNodes(names), signs, addressPasted, Selection],
    [names],
  );
  const editor = useEditor(
    {
      extensions,
      content: passage,
      editable,
      injectCSS: false,
      enableInputRules: ['bulletList', 'orderedList', 'blockquote', 'horizontalRule'],
      onSelectionUpdate: () => tell(null),
      onUpdate: ({ editor: { state } }) => {
        const { content } = state.doc.toJSON() as Passage;
        onChange({ type: 'doc', content });
      },
      editorProps: {
        attributes: {
          'aria-label': 'Wording',
          role: 'textbox',
          'aria-multiline': 'true',
          class: 'book prose-leaf with-blanks in-entry',
        },
      },
    },
    [extensions],
  );
  useNamesTold(names, props);
  useConditionsTold(editor, { conditions, fields });
  const checker = useSpellChecker(useDictionary(editable ? props.language : ''));
  useMisspeltMarks(editor, checker, props.language);
  useEffect(() => editorReady(editor), [editor, editorReady]);
  useEffect(() => editor.setEditable(editable, false), [editor, editable]);
  useWordingShown(editor, passage);
  return (
    <div>
      {editable && (
        <>
          <WordingBar
            {...{ editor, fields, newField, ask, details: props.details }}
            makeOptional={() => tell(props.makeOptional())}
          />
          {told && (
            <p role="status" className="text-[14px] text-rust">
              {told}
            </p>
          )}
          <WordingStrip
            {...{ editor, fields, conditions, index, within, asked }}
            changeCondition={props.changeCondition}
            done={() => ask(null)}
            beside={props.beside}
          />
        </>
      )}
      <EditorContent editor={editor} className="mt-2" />
    </div>
  );
}
