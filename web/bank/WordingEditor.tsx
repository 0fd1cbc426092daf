import { EditorContent, useEditor, useEditorState, type Editor } from '@tiptap/react';
import { useEffect, useMemo } from 'react';
import { Bold, Italic, List, ListOrdered } from 'lucide-react';
import type { Field } from '#core/entry';
import type { Passage } from '#core/passage';
import { passageExtensions } from '../editor/extensions';
import { Button, Key, Menu } from '../ui';
import { BlankForm } from './BlankForm';
import { FieldNames, wordingBlank } from './wordingBlank';

interface Props {
  passage: Passage;
  fields: readonly Field[];
  editable: boolean;
  onChange: (passage: Passage) => void;
  /** Makes a field for the selected words ('' when none are), and gives back its id. */
  newField: (words: string) => string;
  editorReady: (editor: Editor) => void;
}

/** Puts a blank for a field in place of the selection. */
export function insertBlank(editor: Editor, field: string): void {
  editor.chain().focus().insertContent({ type: 'blank', attrs: { field } }).run();
}

/** The words selected in a wording, on one line. */
export function selectedWords(editor: Editor): string {
  const { from, to } = editor.state.selection;
  return editor.state.doc.textBetween(from, to, ' ').replace(/\s+/g, ' ').trim();
}

function Bar({ editor, fields, newField }: { editor: Editor } & Pick<Props, 'fields' | 'newField'>) {
  const active = useEditorState({
    editor,
    selector: ({ editor: current }) => ({
      bold: current.isActive('bold'),
      italic: current.isActive('italic'),
      bullet: current.isActive('bulletList'),
      ordered: current.isActive('orderedList'),
    }),
  });
  const tool = (label: string, on: boolean, Icon: typeof Bold, run: () => void) => (
    <button
      type="button"
      aria-label={label}
      aria-pressed={on}
      title={label}
      onMouseDown={(event) => event.preventDefault()}
      onClick={run}
      className={`rounded-[3px] p-1 hover:text-elder ${on ? 'bg-flower text-elder' : 'text-soft'}`}
    >
      <Icon size={16} aria-hidden />
    </button>
  );
  return (
    <div role="toolbar" aria-label="Wording" className="flex items-center gap-1">
      {tool('Bold', active.bold, Bold, () => editor.chain().focus().toggleBold().run())}
      {tool('Italic', active.italic, Italic, () => editor.chain().focus().toggleItalic().run())}
      {tool('List', active.bullet, List, () => editor.chain().focus().toggleBulletList().run())}
      {tool('Numbered list', active.ordered, ListOrdered, () =>
        editor.chain().focus().toggleOrderedList().run(),
      )}
      <Menu
        align="start"
        trigger={
          <Button className="ml-2 text-[14px]" aria-keyshortcuts="F4">
            Blank <Key>F4</Key>
          </Button>
        }
        items={[
          ...fields.map(({ id, name }) => ({ label: name, onSelect: () => insertBlank(editor, id) })),
          { label: 'A new field', onSelect: () => insertBlank(editor, newField(selectedWords(editor))) },
        ]}
      />
      <BlankForm editor={editor} fields={fields} />
    </div>
  );
}

/** The rich editor of a wording, with its blanks; what is pasted is reduced to what a passage may hold. */
export function WordingEditor({ passage, fields, editable, onChange, newField, editorReady }: Props) {
  const names = useMemo(() => new FieldNames(), []);
  const extensions = useMemo(() => [...passageExtensions, wordingBlank(names)], [names]);
  const editor = useEditor(
    {
      extensions,
      content: passage,
      editable,
      injectCSS: false,
      enableInputRules: ['bulletList', 'orderedList', 'blockquote', 'horizontalRule'],
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
  useEffect(() => names.set(new Map(fields.map(({ id, name }) => [id, name]))), [names, fields]);
  useEffect(() => editorReady(editor), [editor, editorReady]);
  useEffect(() => editor.setEditable(editable, false), [editor, editable]);
  useEffect(() => {
    // A revision brought back, or a colleague's change: the text is replaced, and undo brings back the old.
    const wanted = editor.schema.nodeFromJSON(passage);
    if (!editor.state.doc.content.eq(wanted.content)) {
      editor.commands.setContent(passage, { emitUpdate: false });
    }
  }, [editor, passage]);
  return (
    <div>
      {editable && <Bar editor={editor} fields={fields} newField={newField} />}
      <EditorContent editor={editor} className="mt-2" />
    </div>
  );
}
