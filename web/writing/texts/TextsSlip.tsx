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
import { Button, Key, Sortable, SortableRow, TextField } from '../../ui';

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

/** The name of a text, changed where it stands: on Enter, or on leaving. */
function NameOfText({ label, name, placeholder, others, give }: NameProps) {
  const [typed, setTyped] = useState(name);
  const wanted = typed.trim();
  const isTaken = others.includes(wanted);
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

const sameName = (a: string, b: string) => a.toLocaleLowerCase() === b.toLocaleLowerCase();

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

/** The texts of the leaf: called by names, put in order, added and removed; each is copied by itself once the draft is finished. */
export function TextsSlip({ editor, close }: Props) {
  const { boxes, rest } = useEditorState({
    editor,
    selector: ({ editor: { state } }) => ({
      boxes: boxesIn(state.doc),
      rest: textsOf(fromEditor(state.doc)).find(({ name }) => name === null) ?? null,
    }),
  });
  const names = boxes.map(({ name }) => name);
  // A step of its own for undo, however soon after the last key.
  const act = (tr: Transaction) => editor.view.dispatch(closeHistory(tr));
  const remove = (box: BoxAt) => {
    act(removeText(editor.state, box));
    close(`“${box.name}” was removed from the leaf. Ctrl+Z brings it back.`);
  };
  return (
    <section
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
            give={(name) => act(nameRest(editor.state, name))}
          />
        </div>
      )}
      <Sortable ids={names} move={(from, to) => act(moveText(editor.state, from, to))}>
        {boxes.map((box) => (
          <SortableRow key={box.name} id={box.name} label={`Move ${box.name}`}>
            <div className="flex items-start gap-2">
              <div className="grow">
                <NameOfText
                  label={`Name of ${box.name}`}
                  name={box.name}
                  others={names.filter((name) => name !== box.name)}
                  give={(name) => act(renameText(editor.state, box, name))}
                />
              </div>
              <button
                type="button"
                className="rounded-[3px] p-1 text-soft hover:text-elder"
                aria-label={`Remove ${box.name}`}
                onClick={() => remove(box)}
              >
                <X size={15} aria-hidden />
              </button>
            </div>
          </SortableRow>
        ))}
      </Sortable>
      <AddText
        names={names}
        add={(name) => {
          act(addText(editor.state, name));
          close();
        }}
      />
      <p className="mt-2 text-[12.5px] text-soft">
        <Key>Enter</Key> adds it and goes there, <Key>Esc</Key> closes
      </p>
    </section>
  );
}
