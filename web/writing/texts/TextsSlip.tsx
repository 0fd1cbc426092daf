import { closeHistory } from '@tiptap/pm/history';
import type { Transaction } from '@tiptap/pm/state';
import { useEditorState, type Editor } from '@tiptap/react';
import { X } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { textsOf } from '#core/draft';
import { excerpt } from '#core/passage';
import {
  addText,
  boxesIn,
  fromEditor,
  moveText,
  nameRest,
  removeText,
  renameText,
  type BoxAt,
} from '../../editor';
import { Button, Key, Sortable, SortableRow, TextField, useFocusNext } from '../../ui';

/** What a name of a text may be; longer ones are cut where they are typed. */
const LONGEST_NAME = 60;

interface Props {
  editor: Editor;
  close: (said?: string) => void;
}

interface NameProps {
  label: string;
  name: string;
  placeholder?: string;
  /** The names of the other texts. */
  others: readonly string[];
  give: (name: string) => void;
}

const sameName = (a: string, b: string) => a.toLocaleLowerCase() === b.toLocaleLowerCase();

/** The name of a text, changed where it stands: on Enter, or on leaving. */
function NameOfText({ label, name, placeholder, others, give }: NameProps) {
  const [typed, setTyped] = useState(name);
  const wanted = typed.trim();
  const isTaken = others.some((one) => sameName(one, wanted));
  const settle = () => {
    if (wanted === '' || isTaken) setTyped(name);
    else if (wanted !== name) give(wanted);
  };
  return (
    <>
      <input
        aria-label={label}
        className="input"
        value={typed}
        maxLength={LONGEST_NAME}
        placeholder={placeholder}
        aria-invalid={isTaken || undefined}
        onChange={({ target }) => setTyped(target.value)}
        onBlur={settle}
        onKeyDown={(event) => {
          if (event.key === 'Enter') settle();
        }}
      />
      {isTaken && (
        <p role="alert" className="text-[13px] text-rust">
          Another text here is called “{wanted}”.
        </p>
      )}
    </>
  );
}

function AddText({ names, add }: { names: readonly string[]; add: (name: string) => void }) {
  const [name, setName] = useState('');
  const wanted = name.trim();
  const taken = names.some((one) => sameName(one, wanted));
  const line = useRef<HTMLFormElement>(null);
  useEffect(() => line.current?.querySelector('input')?.focus(), []);
  return (
    <form
      ref={line}
      className="mt-3 flex items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (wanted !== '' && !taken) add(wanted);
      }}
    >
      <div className="grow">
        <TextField
          label="Add a text"
          placeholder="Its name, such as Summary"
          value={name}
          maxLength={LONGEST_NAME}
          error={taken ? `Another text here is called “${wanted}”.` : undefined}
          onChange={({ target }) => setName(target.value)}
        />
      </div>
      <Button type="submit" disabled={wanted === '' || taken}>
        Add
      </Button>
    </form>
  );
}

interface RowProps {
  /** Known by its name and by how many of it came before: pasted or copied, two may be called the same. */
  id: string;
  box: BoxAt;
  others: readonly string[];
  rename: (name: string) => void;
  remove: () => void;
}

function TextRow({ id, box: { name }, others, rename, remove }: RowProps) {
  return (
    <SortableRow id={id} label={`Move ${name}`}>
      <div className="flex items-start gap-2">
        <div className="grow">
          <NameOfText key={name} label={`Name of ${name}`} name={name} others={others} give={rename} />
        </div>
        <button
          type="button"
          className="rounded-[3px] p-1 text-soft hover:text-elder"
          aria-label={`Remove ${name}`}
          onClick={remove}
        >
          <X size={15} aria-hidden />
        </button>
      </div>
    </SortableRow>
  );
}

/** The texts that stand on a leaf now: those with a name, and the one without, if there is one. */
const useTexts = (editor: Editor) =>
  useEditorState({
    editor,
    selector: ({ editor: { state } }) => ({
      boxes: boxesIn(state.doc),
      rest: textsOf(fromEditor(state.doc)).find(({ name }) => name === null) ?? null,
    }),
  });

/** The texts of the leaf: called by names, put in order, added and removed; each is copied by itself once the draft is finished. */
export function TextsSlip({ editor, close }: Props) {
  const { boxes, rest } = useTexts(editor);
  const names = boxes.map(({ name }) => name);
  const ids = names.map((name, at) => `${name} ${names.slice(0, at).filter((one) => one === name).length}`);
  const slip = useRef<HTMLElement>(null);
  const focusNext = useFocusNext();
  // A step of its own for undo, however soon after the last key.
  const act = (tr: Transaction) => editor.view.dispatch(closeHistory(tr));
  const rename = (name: string, tr: Transaction) => {
    const lines = () => [...(slip.current?.querySelectorAll('input') ?? [])];
    // Whoever has the keys on the line keeps them, though it is drawn anew.
    if (slip.current?.contains(document.activeElement))
      focusNext(() => lines().find((line) => line.getAttribute('aria-label') === `Name of ${name}`));
    act(tr);
  };
  const remove = (box: BoxAt) => {
    act(removeText(editor.state, box));
    close(`“${box.name}” was removed from the leaf. Ctrl+Z brings it back.`);
  };
  const add = (name: string) => {
    act(addText(editor.state, name));
    close();
  };
  return (
    <section
      ref={slip}
      aria-label="Texts of this leaf"
      className="slip"
      onKeyDown={(event) => event.key === 'Escape' && close()}
    >
      <p className="eyebrow">Texts of this leaf</p>
      {rest && (
        <div className="pl-5">
          <NameOfText
            label="Name of the first text"
            name=""
            placeholder={excerpt(rest.passage, 40) || 'No name'}
            others={names}
            give={(name) => rename(name, nameRest(editor.state, name))}
          />
        </div>
      )}
      <Sortable ids={ids} move={(from, to) => act(moveText(editor.state, from, to))}>
        {boxes.map((box, at) => (
          <TextRow
            key={at}
            id={ids[at]!}
            box={box}
            others={names.filter((name) => name !== box.name)}
            rename={(name) => rename(name, renameText(editor.state, box, name))}
            remove={() => remove(box)}
          />
        ))}
      </Sortable>
      <AddText names={names} add={add} />
      <p className="mt-2 text-[12.5px] text-soft">
        <Key>Enter</Key> adds it and goes there, <Key>Esc</Key> closes
      </p>
    </section>
  );
}
