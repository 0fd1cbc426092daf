import { useEditorState, type Editor } from '@tiptap/react';
import type { Node as EditorNode } from '@tiptap/pm/model';
import { NodeSelection } from '@tiptap/pm/state';
import { useId, useState } from 'react';
import { createPortal } from 'react-dom';
import type { BankIndex } from '#core/bank';
import { conditionInWords, type Condition, type Field, type NamedCondition } from '#core/entry';
import { numberInForm } from '#core/numbering';
import { NUMBER_FORMS } from '#core/passage';
import { calendarToday } from '#client/clock';
import { numbersIn, referTo } from '../../editor';
import { LinkSlip, SymbolSlip } from '../../format';
import { Button, NeededInput } from '../../ui';
import { EntryPick } from '../EntryPick';
import { BlankFormSelect } from './BlankFormSelect';
import { ConditionEditor } from './ConditionEditor';
import { useLevelWithWords } from './useLevelWithWords';
import { conditionsAt, goOnBehind, makeAlways } from './optionalPassages';

/** Something the line beneath the bar asks for before it is put in. */
export type StripAsked = 'include' | 'link' | 'reference' | 'symbol' | null;

interface Props {
  editor: Editor;
  fields: readonly Field[];
  conditions: readonly NamedCondition[];
  changeCondition: (id: string, when: Condition) => void;
  index: BankIndex;
  /** The entry that the wording is of: it is not put into itself. Null for a new one. */
  within: string | null;
  asked: StripAsked;
  done: () => void;
  /** Where in the margin it is said what the caret's words need; null: above the words, where there is no margin beside them. */
  beside: HTMLElement | null;
}

const selectedNode = (editor: Editor, name: string): { node: EditorNode; pos: number } | null => {
  const { selection } = editor.state;
  return selection instanceof NodeSelection && selection.node.type.name === name
    ? { node: selection.node, pos: selection.from }
    : null;
};

/** Which list a number counts in, and how it is written. */
function NumberSettings({ editor }: { editor: Editor }) {
  const list = useId();
  const found = useEditorState({
    editor,
    selector: ({ editor: current }) => selectedNode(current, 'number'),
  });
  if (!found) return null;
  const set = (key: string, value: string) =>
    editor.view.dispatch(editor.state.tr.setNodeAttribute(found.pos, key, value));
  const lists = new Set(numbersIn(editor.state.doc).map((one) => one.list));
  return (
    <div className="flex flex-wrap items-center gap-3 text-[14px] text-soft">
      <label className="flex items-center gap-2">
        Counts in the list
        <NeededInput
          className="input w-40 text-ink"
          list={list}
          maxLength={60}
          value={String(found.node.attrs.list)}
          change={(name) => set('list', name)}
        />
        <datalist id={list}>
          {['Findings', 'Actions', 'Questions', ...lists].map((name) => (
            <option key={name} value={name} />
          ))}
        </datalist>
      </label>
      <label className="flex items-center gap-2">
        written
        <select
          className="input w-auto bg-page text-ink"
          value={String(found.node.attrs.form)}
          onChange={({ target }) => set('form', target.value)}
        >
          {NUMBER_FORMS.map((form) => (
            <option key={form} value={form}>
              {[1, 2, 3].map((one) => numberInForm(one, form)).join(', ')}
            </option>
          ))}
        </select>
      </label>
    </div>
  );
}

/** The condition of the optional passage the caret is in, made by picking. */
function PassageCondition({
  editor,
  fields,
  conditions,
  changeCondition,
}: Pick<Props, 'editor' | 'fields' | 'conditions' | 'changeCondition'>) {
  const here = useEditorState({
    editor,
    selector: ({ editor: { state } }) => conditionsAt(state).join('\n'),
  });
  const ids = here === '' ? [] : here.split('\n');
  const inner = ids.at(-1);
  if (inner === undefined) return null;
  const known = conditions.find(({ id }) => id === inner);
  const outer = ids
    .slice(0, -1)
    .flatMap((id) => conditions.filter((one) => one.id === id))
    .map(({ when }) => conditionInWords(when, fields));
  const behind = () => {
    const tr = goOnBehind(editor.state);
    if (tr) editor.view.dispatch(tr);
    editor.view.focus();
  };
  const always = () => {
    const tr = makeAlways(editor.state, inner);
    if (tr) editor.view.dispatch(tr);
    editor.commands.focus();
  };
  return (
    <section
      aria-label="When these words appear"
      className="border-l-2 border-leaf py-1 pl-3 text-[14px] text-soft"
    >
      <div className="flex flex-wrap items-baseline gap-x-3">
        <span className="eyebrow">Show these words only when</span>
        {outer.length > 0 && <span>(within: when {outer.join(', and when ')})</span>}
        <span className="ml-auto flex gap-3">
          <Button look="text" title="Right arrow at its end" onClick={behind}>
            Continue after them
          </Button>
          <Button look="text" onClick={always}>
            Always show them
          </Button>
        </span>
      </div>
      {known ? (
        <ConditionEditor
          condition={known.when}
          fields={fields}
          today={calendarToday()}
          change={(when) => changeCondition(inner, when)}
        />
      ) : (
        <p>This condition was deleted. Always show the words, or undo.</p>
      )}
    </section>
  );
}

/** An entry to put in, looked up by words of it. */
function IncludeAsked({ editor, index, within, done }: Pick<Props, 'editor' | 'index' | 'within' | 'done'>) {
  const put = (entry: string) => {
    editor.chain().focus().insertContent({ type: 'include', attrs: { entry } }).run();
    done();
  };
  const leave = () => {
    done();
    editor.commands.focus();
  };
  return (
    <div
      role="group"
      aria-label="Insert an entry"
      className="flex items-center gap-3 text-[14px] text-soft"
      onKeyDown={({ key }) => key === 'Escape' && leave()}
    >
      <span className="shrink-0">Entry to insert</span>
      <EntryPick autoFocus label="Entry to insert" {...{ index }} value={null} except={within} pick={put} />
      <Button look="text" onClick={leave}>
        Cancel
      </Button>
    </div>
  );
}

function ReferenceAsked({ editor, done }: Pick<Props, 'editor' | 'done'>) {
  const numbers = numbersIn(editor.state.doc);
  const [picked, setPicked] = useState(numbers[0]?.id ?? '');
  const put = () => {
    const found = numbers.find(({ id }) => id === picked);
    if (found) editor.view.dispatch(referTo(editor.state, found));
    editor.commands.focus();
    done();
  };
  return (
    <Asking label="The number referred to" put={put} ready={numbers.length > 0} done={done} editor={editor}>
      {numbers.length === 0 ? (
        <span>There is no number in this wording yet.</span>
      ) : (
        <select
          autoFocus
          aria-label="The number referred to"
          className="input text-ink"
          value={picked}
          onChange={({ target }) => setPicked(target.value)}
        >
          {numbers.map(({ id, list, line }) => (
            <option key={id} value={id}>
              {`${list}: ${line.trim().slice(0, 60)}`}
            </option>
          ))}
        </select>
      )}
    </Asking>
  );
}

interface AskingProps {
  label: string;
  ready: boolean;
  put: () => void;
  done: () => void;
  editor: Editor;
  children: React.ReactNode;
}

/** A line that asks for one thing: Enter puts it in, Escape leaves it. */
function Asking({ label, ready, put, done, editor, children }: AskingProps) {
  const key = (event: React.KeyboardEvent) => {
    if (event.key === 'Escape') {
      done();
      editor.commands.focus();
    } else if (event.key === 'Enter') {
      event.preventDefault();
      event.stopPropagation();
      if (ready) put();
    }
  };
  return (
    <div
      role="group"
      aria-label={label}
      className="flex items-center gap-3 text-[14px] text-soft"
      onKeyDown={key}
    >
      <span className="shrink-0">{label}</span>
      {children}
      <Button disabled={!ready} onClick={put}>
        Insert
      </Button>
    </div>
  );
}

/** What is about to be put in, beneath the bar; and in the margin, so that no line moves under the hand, what the caret's words need. */
export function WordingStrip(props: Props) {
  const { editor, fields, asked, index, within, done, beside } = props;
  const needed = useEditorState({
    editor,
    selector: ({ editor: { state } }) => conditionsAt(state).join(' '),
  });
  useLevelWithWords(editor, beside, needed);
  const settled = (
    <>
      <PassageCondition {...props} />
      <BlankFormSelect editor={editor} fields={fields} />
      <NumberSettings editor={editor} />
    </>
  );
  const goOn = () => {
    done();
    editor.commands.focus();
  };
  return (
    <div className="grid gap-2 empty:hidden">
      {asked === 'include' && <IncludeAsked {...{ editor, index, within, done }} />}
      {asked === 'link' && <LinkSlip editor={editor} close={goOn} />}
      {asked === 'symbol' && <SymbolSlip editor={editor} close={goOn} />}
      {asked === 'reference' && <ReferenceAsked editor={editor} done={done} />}
      {beside ? createPortal(settled, beside) : settled}
    </div>
  );
}
