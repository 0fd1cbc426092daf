import { useMemo, useState } from 'react';
import { fieldUses, type NamedCondition, at, withPassage } from '#core/entry';
import { detailsOf, kindOf } from '#core/work';
import { Figure, useLiveKeys } from '../shell';
import { Button, Key, SelectField, TagsField, TextField } from '../ui';
import type { BankIndex } from '#core/bank';
import { CuesEditor, WrittenClashes } from '../cues';
import { CommentUseEditor } from './CommentUseEditor';
import { EntryFiles } from './EntryFiles';
import { EntryMargin } from './EntryMargin';
import { FieldsEditor } from './fields/FieldsEditor';
import type { Target } from './useEntryChange';
import { useEntryEditing, type EntryEditing } from './useEntryEditing';
import { NotationEditor } from './wording/NotationEditor';
import { WordingEditor } from './wording/WordingEditor';
import { WordingsBar } from './wording/WordingsBar';

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
      label="Collection"
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

function Standing({ editing: { changing, editable, isProposal } }: { editing: EntryEditing }) {
  const whose = editable ? 'Saved' : 'Only its keepers change this entry';
  const words = isProposal ? 'Its keepers change it; you can propose changes' : whose;
  return (
    <span role="status" className={changing.isChanged ? 'font-semibold text-rust' : ''}>
      {changing.isChanged ? 'Not saved yet; on this computer' : words}
    </span>
  );
}

function Head(props: Omit<Props, 'target'> & { editing: EntryEditing }) {
  const { editable, put, changing } = props.editing;
  const { title, purpose, tags, note } = changing.content;
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
      {editable && props.editing.collection?.titles && (
        <p className="text-[13px] text-soft">Titles here: {props.editing.collection.titles}</p>
      )}
      <TextField
        label="When to use it"
        readOnly={!editable}
        maxLength={2000}
        value={purpose}
        onChange={(event) => put({ purpose: event.target.value })}
      />
      <div className="grid grid-cols-[1fr_2fr] gap-5 max-[899px]:grid-cols-1">
        <TagsField tags={tags} readOnly={!editable} put={(now) => put({ tags: now })} />
        <TextField
          label="Note for colleagues, never part of the text"
          readOnly={!editable}
          maxLength={5000}
          value={note}
          onChange={(event) => put({ note: event.target.value })}
        />
      </div>
    </header>
  );
}

function Foot({ editing: { entry, changing, isProposal } }: { editing: EntryEditing }) {
  // A proposal without a why is one that its keepers must guess at.
  const lacksWhy = isProposal && changing.reason.trim() === '';
  return (
    <footer className={`${section} sticky bottom-0 flex items-end gap-5 bg-page`}>
      <div className="grow">
        <TextField
          label={
            isProposal
              ? 'Reason, for its keepers'
              : entry
                ? 'Reason for the change'
                : 'Reason, if there is one'
          }
          id="why"
          maxLength={300}
          value={changing.reason}
          onChange={(event) => changing.setReason(event.target.value)}
        />
      </div>
      {changing.isChanged && <Button onClick={changing.letGo}>Discard changes</Button>}
      <Button
        look="main"
        type="submit"
        disabled={!changing.isChanged || changing.saving || lacksWhy}
        aria-keyshortcuts="F9 Alt+X"
      >
        {isProposal ? 'Propose' : 'Save'} <Key>F9</Key>
      </Button>
    </footer>
  );
}

/** What else can be done with a wording: words from the clipboard, and the whole entry as text. */
const BesideWording = ({
  editing: { editable, takeCopied },
  showText,
}: {
  editing: EntryEditing;
  showText: () => void;
}) => (
  <p className="flex justify-end gap-4 text-[13px]">
    {editable && (
      <Button look="text" onClick={takeCopied}>
        Paste what was copied
      </Button>
    )}
    <Button look="text" onClick={showText}>
      Show the entry as text
    </Button>
  </p>
);

/** Its wordings with their blanks and conditions; or the whole entry as text, for those who like typing. */
function Wordings({
  index,
  editing,
  beside,
}: {
  index: BankIndex;
  editing: EntryEditing;
  beside: HTMLElement | null;
}) {
  const { changing, editable, put, place, setPlace, entry } = editing;
  const { content } = changing;
  const [asText, setAsText] = useState(false);
  if (asText) {
    return (
      <section aria-label="The entry as text" className={section}>
        <NotationEditor
          content={content}
          editable={editable}
          put={changing.setContent}
          close={() => setAsText(false)}
        />
      </section>
    );
  }
  return (
    <section aria-label="Wording and its blanks" className={section}>
      <WordingsBar
        content={content}
        place={place}
        editable={editable}
        forComments={isForComments(editing)}
        go={setPlace}
        write={editing.writeAt}
        put={(wordings) => put({ wordings })}
      />
      <WordingEditor
        key={`${place.wording} ${place.part}`}
        passage={at(content, place).part.passage}
        language={at(content, place).wording.language}
        fields={content.fields}
        conditions={content.conditions ?? NONE}
        {...{ index }}
        within={entry?.id ?? null}
        editable={editable}
        onChange={(passage) => put(withPassage(editing.latest(), place, passage))}
        newField={editing.newField}
        details={detailsOf(editing.collection?.kindsOfWork ?? [])}
        changeCondition={editing.changeCondition}
        makeOptional={editing.addOptional}
        editorReady={editing.editorReady}
        beside={beside}
      />
      <BesideWording editing={editing} showText={() => setAsText(true)} />
    </section>
  );
}

const NONE: readonly NamedCondition[] = [];

/** Whether an entry may be a comment on a submission: it is one, or its collection is for work that has comments. */
const isForComments = ({ changing, collection }: EntryEditing): boolean =>
  changing.content.comment !== undefined ||
  (collection?.kindsOfWork ?? []).some((kind) => kindOf(kind)?.shares === 'comments');

/** By what the entry is brought; a variation by the cues of what it varies. */
function Cues({ index, editing }: { index: BankIndex; editing: EntryEditing }) {
  const { entry, changing, editable, put, collection } = editing;
  const { content } = changing;
  const written = useMemo(
    () => ({ entry: entry?.id ?? '', title: content.title, cues: content.cues, collection }),
    [entry?.id, content.title, content.cues, collection],
  );
  return (
    <section aria-labelledby="cues-title" className={section}>
      <h2 id="cues-title" className="eyebrow">
        Cues
      </h2>
      {entry?.varies ? (
        <p className="text-[14px] text-soft">It uses the same cues as the shared entry.</p>
      ) : (
        <CuesEditor
          cues={content.cues}
          collection={collection}
          editable={editable}
          propose={editing.propose}
          change={(cues) => put({ cues })}
        />
      )}
      {editable && !entry?.varies && (
        <WrittenClashes index={index} written={written} change={(cues) => put({ cues })} />
      )}
    </section>
  );
}

/** One entry open for reading and changing: its wording with its blanks, its fields, its cues. */
export function EntryLeaf({ index, target, setCollection }: Props) {
  const editing = useEntryEditing(index, target);
  const { changing, editable, put, openField, setOpenField, said } = editing;
  const { content } = changing;
  const save = () => {
    if (!editable || !changing.isChanged) return;
    if (editing.isProposal && changing.reason.trim() === '') document.getElementById('why')?.focus();
    else changing.save();
  };
  useLiveKeys(
    editable
      ? [
          { key: 'F4', does: 'Make the selected words a blank', run: editing.makeBlank },
          { key: 'F9', does: 'Save the entry', run: save },
        ]
      : [],
  );
  const [beside, setBeside] = useState<HTMLElement | null>(null);
  const takeCue = (text: string) => put({ cues: [{ ...content.cues[0], text }, ...content.cues.slice(1)] });
  return (
    <Figure
      marginLabel="Beside the entry"
      margin={<EntryMargin {...{ index, editing, said, takeCue }} besideWords={setBeside} />}
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
        <Wordings index={index} editing={editing} beside={beside} />
        <section aria-labelledby="fields-title" className={section}>
          <h2 id="fields-title" className="eyebrow">
            Fields
          </h2>
          <FieldsEditor
            fields={content.fields}
            madeFrom={editing.madeFrom}
            uses={fieldUses(content)}
            open={openField}
            editable={editable}
            setOpen={setOpenField}
            change={(fields) => put({ fields })}
            add={() => editing.newField('')}
          />
        </section>
        <Cues index={index} editing={editing} />
        {isForComments(editing) && <CommentUseEditor index={index} editing={editing} />}
        <EntryFiles editing={editing} />
        {editable && <Foot editing={editing} />}
      </form>
    </Figure>
  );
}
