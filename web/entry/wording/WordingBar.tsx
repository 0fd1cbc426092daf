import { useEditorState, type Editor } from '@tiptap/react';
import { BadgeCheck, Bold, Italic, Link2, List, ListOrdered, Pilcrow, Split } from 'lucide-react';
import { readyFields, type Field, type ReadyField } from '#core/entry';
import { syncSelection } from '../../editor';
import { FormatMenu } from '../../format';
import { Button, Key, Menu } from '../../ui';
import { areSpacesShown, showSpaces } from './shownSpaces';

/** Makes a field and gives back its id: one that is wanted often, or one for the words selected ('' for none). */
export type NewField = (words: string, ready?: ReadyField) => string;

interface Props {
  editor: Editor;
  fields: readonly Field[];
  newField: NewField;
  /** What the cases of this collection know, to be looked up. */
  details: readonly { path: string; label: string }[];
  /** Makes the selected words an optional passage. */
  makeOptional: () => void;
  /** Opens the line beneath for something to be put in. */
  ask: (what: 'include' | 'link' | 'reference' | 'symbol') => void;
}

/** Puts a blank for a field in place of the selection. */
export function insertBlank(editor: Editor, field: string): void {
  editor.chain().focus().insertContent({ type: 'blank', attrs: { field } }).run();
}

/** The words selected in a wording, on one line; also those selected by the key before this one. */
export function selectedWords(editor: Editor): string {
  syncSelection(editor.view);
  const { from, to } = editor.state.selection;
  return editor.state.doc.textBetween(from, to, ' ').replace(/\s+/g, ' ').trim();
}

/** An id that no number of the wording has yet. */
function freeNumberId(editor: Editor): string {
  const ids = new Set<string>();
  editor.state.doc.descendants((node) => void ids.add(String(node.attrs.id ?? '')));
  let number = 1;
  while (ids.has(`n${number}`)) number += 1;
  return `n${number}`;
}

function insertNumber(editor: Editor): void {
  const attrs = { list: 'Findings', form: '1', id: freeNumberId(editor) };
  editor.chain().focus().insertContent({ type: 'number', attrs }).run();
  // Left selected, so that its list and form can be told at once.
  editor.commands.setNodeSelection(editor.state.selection.from - 1);
}

interface ToolProps {
  label: string;
  on: boolean;
  Icon: typeof Bold;
  run: () => void;
}

function Tool({ label, on, Icon, run }: ToolProps) {
  return (
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
}

interface InsertProps {
  editor: Editor;
  ask: (what: 'include' | 'reference') => void;
}

/** What can be put into a wording besides words and blanks. */
const InsertMenu = ({ editor, ask }: InsertProps) => (
  <Menu
    align="start"
    keysGoOn={() => editor.view.focus()}
    trigger={<Button className="text-[14px]">Insert</Button>}
    items={[
      { label: 'Another entry', onSelect: () => ask('include') },
      { label: 'A number of a list', onSelect: () => insertNumber(editor) },
      { label: 'A reference to a number', onSelect: () => ask('reference') },
      {
        label: 'Cursor position afterwards',
        onSelect: () => editor.chain().focus().insertContent({ type: 'caretMark' }).run(),
      },
      {
        label: 'Time in the recording',
        onSelect: () => editor.chain().focus().insertContent({ type: 'timeCode' }).run(),
      },
      {
        label: 'Time of an unclear place',
        onSelect: () =>
          editor
            .chain()
            .focus()
            .insertContent({ type: 'timeCode', attrs: { unclear: true } })
            .run(),
      },
    ]}
  />
);

/** Puts in a blank: of a field that is there, a new one, or one that is ready to be taken. */
const BlankMenu = ({ editor, fields, newField, details }: Omit<Props, 'ask' | 'makeOptional'>) => (
  <Menu
    align="start"
    keysGoOn={() => editor.view.focus()}
    trigger={
      <Button className="ml-2 text-[14px]" aria-keyshortcuts="F4 Alt+W">
        Blank <Key>F4</Key>
      </Button>
    }
    items={[
      ...fields.map(({ id, name }) => ({
        ...{ label: name, part: 'fields' },
        onSelect: () => insertBlank(editor, id),
      })),
      {
        ...{ label: 'A new field', part: 'fields' },
        onSelect: () => insertBlank(editor, newField(selectedWords(editor))),
      },
      ...readyFields(details)
        .filter(({ label }) => fields.every(({ name }) => name !== label))
        .map((ready) => ({
          ...{ label: ready.label, part: ready.part },
          onSelect: () => insertBlank(editor, newField(selectedWords(editor), ready)),
        })),
    ]}
  />
);

/** What can be done to the words of a wording. */
export function WordingBar({ editor, fields, newField, details, makeOptional, ask }: Props) {
  const active = useEditorState({
    editor,
    selector: ({ editor: current }) => ({
      bold: current.isActive('bold'),
      italic: current.isActive('italic'),
      bullet: current.isActive('bulletList'),
      ordered: current.isActive('orderedList'),
      link: current.isActive('link'),
      confirm: current.isActive('confirm'),
      spaces: areSpacesShown(current.state),
    }),
  });
  const chain = () => editor.chain().focus();
  return (
    <div role="toolbar" aria-label="Wording" className="flex flex-wrap items-center gap-1">
      <Tool label="Bold" on={active.bold} Icon={Bold} run={() => chain().toggleBold().run()} />
      <Tool label="Italic" on={active.italic} Icon={Italic} run={() => chain().toggleItalic().run()} />
      <Tool label="List" on={active.bullet} Icon={List} run={() => chain().toggleBulletList().run()} />
      <Tool
        label="Numbered list"
        on={active.ordered}
        Icon={ListOrdered}
        run={() => chain().toggleOrderedList().run()}
      />
      <Tool label="Link" on={active.link} Icon={Link2} run={() => ask('link')} />
      <FormatMenu editor={editor} ask={ask} />
      <BlankMenu {...{ editor, fields, newField, details }} />
      <Button
        className="text-[14px]"
        onMouseDown={(event) => event.preventDefault()}
        onClick={makeOptional}
        title="Show the selected words only when a condition holds"
      >
        <Split size={14} aria-hidden /> Condition
      </Button>
      <Button
        className="text-[14px]"
        aria-pressed={active.confirm}
        onMouseDown={(event) => event.preventDefault()}
        onClick={() => chain().toggleMark('confirm').run()}
        title="The selected words must be confirmed for each case"
      >
        <BadgeCheck size={14} aria-hidden /> Must be confirmed
      </Button>
      <InsertMenu editor={editor} ask={ask} />
      <Tool
        label="Show spaces, tabs and breaks"
        on={active.spaces}
        Icon={Pilcrow}
        run={() => showSpaces(editor.view, !active.spaces)}
      />
    </div>
  );
}
