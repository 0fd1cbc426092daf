import { linesOf } from '#core/passage';
import type { EntryContent } from '#core/entry';
import { Figure } from '../shell/Figure';
import { useLiveKeys } from '../shell/keys';
import { Button, Key, SelectField, TextField } from '../ui';
import type { BankIndex } from './bankIndex';
import { CuesEditor } from './CuesEditor';
import { EntryMargin } from './EntryMargin';
import { mainPassage, withPassage } from './entryFields';
import { FieldsEditor } from './FieldsEditor';
import type { Target } from './useEntryChange';
import { useEntryEditing, type EntryEditing } from './useEntryEditing';
import { WordingEditor } from './WordingEditor';

/** In how many blanks each field stands. */
function usesOf(content: EntryContent): ReadonlyMap<string, number> {
  const uses = new Map<string, number>();
  for (const inline of linesOf(mainPassage(content)).flat()) {
    if (inline.type === 'blank') uses.set(inline.attrs.field, (uses.get(inline.attrs.field) ?? 0) + 1);
  }
  return uses;
}

const section = 'border-t border-hair px-9 py-4 max-[899px]:px-4';

interface Props {
  index: BankIndex;
  target: Target;
  /** For a new entry: where it goes can still be changed. */
  setCollection: ((id: string) => void) | null;
}

function Place({ index, editing, setCollection }: Omit<Props, 'target'> & { editing: EntryEditing }) {
  if (!setCollection) return <span>{editing.collection?.name}</span>;
  return (
    <SelectField
      label="Kept in"
      value={editing.collectionId}
      onChange={(event) => setCollection(event.target.value)}
    >
      {index.bank.collections
        .filter(({ right }) => right === 'keep')
        .map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
    </SelectField>
  );
}

function Standing({ editing: { changing, editable } }: { editing: EntryEditing }) {
  const words = editable ? 'Saved' : 'Only its keepers change this entry';
  return (
    <span role="status" className={changing.isChanged ? 'font-semibold text-rust' : ''}>
      {changing.isChanged ? 'Not saved yet; kept on this computer' : words}
    </span>
  );
}

function Head(props: Omit<Props, 'target'> & { editing: EntryEditing }) {
  const { editable, put, changing } = props.editing;
  const { title, purpose } = changing.content;
  return (
    <header className="grid gap-3 px-9 pt-6 pb-4 max-[899px]:px-4">
      <div className="flex items-baseline justify-between gap-4 text-[13px] text-soft">
        <Place {...props} />
        <Standing editing={props.editing} />
      </div>
      <h1 className="sr-only">{title || 'A new entry'}</h1>
      <textarea
        aria-label="Title"
        rows={1}
        readOnly={!editable}
        maxLength={200}
        placeholder="Title"
        className="input resize-none field-sizing-content font-book text-[26px] leading-tight"
        value={title}
        onChange={(event) => put({ title: event.target.value.replace(/\n/g, ' ') })}
      />
      <TextField
        label="When to use it"
        readOnly={!editable}
        maxLength={2000}
        value={purpose}
        onChange={(event) => put({ purpose: event.target.value })}
      />
    </header>
  );
}

function Foot({ editing: { entry, changing } }: { editing: EntryEditing }) {
  return (
    <footer className={`${section} sticky bottom-0 flex items-end gap-5 bg-page`}>
      <div className="grow">
        <TextField
          label={entry ? 'Why you change it' : 'Why you keep it'}
          maxLength={300}
          value={changing.reason}
          onChange={(event) => changing.setReason(event.target.value)}
        />
      </div>
      {changing.isChanged && <Button onClick={changing.letGo}>Drop the change</Button>}
      <Button
        look="main"
        type="submit"
        disabled={!changing.isChanged || changing.saving}
        aria-keyshortcuts="F9"
      >
        Save <Key>F9</Key>
      </Button>
    </footer>
  );
}

/** One entry open for reading and changing: its wording with its blanks, its fields, its cues. */
export function EntryLeaf({ index, target, setCollection }: Props) {
  const editing = useEntryEditing(index, target);
  const { changing, editable, put, collection, openField, setOpenField, said, entry } = editing;
  const { content } = changing;
  const save = () => {
    if (editable && changing.isChanged) changing.save();
  };
  useLiveKeys(
    editable
      ? [
          { key: 'F4', does: 'Make the selected words a blank', run: editing.makeBlank },
          { key: 'F9', does: 'Save the entry', run: save },
        ]
      : [],
  );
  const takeCue = (text: string) => put({ cues: [{ ...content.cues[0], text }, ...content.cues.slice(1)] });
  return (
    <Figure
      marginLabel="Beside the entry"
      margin={<EntryMargin {...{ entry, collection, changing, said, takeCue }} />}
    >
      <form
        aria-label="Entry"
        onSubmit={(event) => {
          event.preventDefault();
          save();
        }}
        onKeyDown={(event) => {
          // Enter saves from the line that says why, and from nowhere else: a field's name is not a whole change.
          const target = event.target as HTMLElement;
          if (event.key === 'Enter' && target.tagName === 'INPUT' && !target.closest('footer'))
            event.preventDefault();
        }}
      >
        <Head index={index} editing={editing} setCollection={setCollection} />
        <section aria-label="Wording and its blanks" className={section}>
          <WordingEditor
            passage={mainPassage(content)}
            fields={content.fields}
            editable={editable}
            onChange={(passage) => put(withPassage(editing.latest(), passage))}
            newField={editing.newField}
            editorReady={editing.editorReady}
          />
        </section>
        <section aria-labelledby="fields-title" className={section}>
          <h2 id="fields-title" className="eyebrow">
            Fields
          </h2>
          <FieldsEditor
            fields={content.fields}
            uses={usesOf(content)}
            open={openField}
            editable={editable}
            setOpen={setOpenField}
            change={(fields) => put({ fields })}
          />
        </section>
        <section aria-labelledby="cues-title" className={section}>
          <h2 id="cues-title" className="eyebrow">
            Cues
          </h2>
          <CuesEditor
            cues={content.cues}
            collection={collection}
            editable={editable}
            propose={editing.propose}
            change={(cues) => put({ cues })}
          />
        </section>
        {editable && <Foot editing={editing} />}
      </form>
    </Figure>
  );
}
