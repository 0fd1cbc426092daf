import type { Editor } from '@tiptap/react';
import { useLayoutEffect, useRef } from 'react';
import { Link } from 'react-router';
import type { Entry } from '#contracts';
import { type Condition, type EntryContent, fieldForBlank, mainPassage, withPassage } from '#core/entry';
import { detailsOf } from '#core/work';
import type { Passage } from '#core/passage';
import { inWords, isProblem } from '#client/api';
import { useLiveKeys, useShell } from '../shell';
import { Button, Key, Notice, TagsField, TextField } from '../ui';
import type { BankIndex } from '#core/bank';
import { useEntryChange, insertBlank, type NewField, selectedWords, WordingEditor } from '../entry';

interface Props {
  entry: Entry;
  index: BankIndex;
  close: () => void;
}

interface HeadsProps {
  content: EntryContent;
  leadIn: string;
  put: (change: Partial<EntryContent>) => void;
}

/** Its cue, title and tags. */
function Heads({ content, leadIn, put }: HeadsProps) {
  return (
    <div className="grid grid-cols-[7rem_minmax(0,1fr)_10rem] gap-x-5 gap-y-2 max-[899px]:grid-cols-1">
      <TextField
        label="Cue"
        lead={leadIn}
        className="cue"
        spellCheck={false}
        maxLength={40}
        value={content.cues[0]?.text ?? ''}
        onChange={({ target: { value } }) =>
          put({
            cues:
              value.trim() === ''
                ? content.cues.slice(1)
                : [{ ...content.cues[0], text: value.trim() }, ...content.cues.slice(1)],
          })
        }
      />
      <TextField
        label="Title"
        autoFocus
        maxLength={200}
        value={content.title}
        onChange={({ target }) => put({ title: target.value })}
      />
      <TagsField tags={content.tags} put={(tags) => put({ tags })} />
    </div>
  );
}

/** What is changed in the row, and what can be done with it. */
function useRowChange({ entry, index, close }: Props) {
  const { member } = useShell();
  const collection = index.collections.get(entry.collection);
  const isProposal = collection?.right === 'contribute';
  const changing = useEntryChange(member.id, { entry }, entry.content, isProposal, {
    saved: close,
    proposed: close,
  });
  const { content, setContent, theirs, isChanged } = changing;
  const place = { wording: content.wordings[0]!.id, part: content.wordings[0]!.parts.at(-1)!.id };
  const latest = useRef(content);
  // In the same step as it is drawn: what is put meanwhile must not be taken for older than that.
  useLayoutEffect(() => {
    latest.current = content;
  });
  const put = (change: Partial<EntryContent>) => {
    latest.current = { ...latest.current, ...change };
    setContent(latest.current);
  };
  const newField: NewField = (words, ready) => {
    const { fields } = latest.current;
    const { field, isNew } = fieldForBlank(fields, words, ready);
    if (!isNew) return field.id;
    put({ fields: [...latest.current.fields, field] });
    return field.id;
  };
  const editor = useRef<Editor | null>(null);
  const makeBlank = () => {
    if (editor.current) insertBlank(editor.current, newField(selectedWords(editor.current)));
  };
  useLiveKeys([{ key: 'F4', does: 'Make the selected words a blank', run: makeBlank }]);
  const mayPropose = !isProposal || changing.reason.trim() !== '';
  const save = () => {
    if (!isChanged) close();
    else if (mayPropose && !theirs && !changing.saving) changing.save();
  };
  return {
    collection,
    isProposal,
    changing,
    put,
    newField,
    mayPropose,
    save,
    putPassage: (passage: Passage) => put(withPassage(latest.current, place, passage)),
    changeCondition: (id: string, when: Condition) =>
      put({
        conditions: (latest.current.conditions ?? []).map((one) => (one.id === id ? { id, when } : one)),
      }),
    editorReady: (made: Editor) => {
      editor.current = made;
    },
  };
}

/** Why a change cannot be saved, or not yet. */
function NotSaved({ entry, changing }: { entry: Entry; changing: ReturnType<typeof useEntryChange> }) {
  const { error, theirs } = changing;
  return (
    <>
      {theirs && (
        <Notice tone="warning" title="Somebody saved this entry meanwhile.">
          Your change is safe.{' '}
          <Link to={`/bank/${entry.id}`} className="text-elder underline">
            See both on its page
          </Link>
          , and take words from either.
        </Notice>
      )}
      {error && !isProblem(error, 'moved-on') && (
        <Notice tone="warning" title={inWords(error)}>
          Nothing was saved. What you wrote is still here.
        </Notice>
      )}
    </>
  );
}

/** An entry of the sheet open for changing where it stands: title, cue, wording. What is not saved waits on its page too. */
export function RowEditor({ entry, index, close }: Props) {
  const row = useRowChange({ entry, index, close });
  const { collection, isProposal, changing, put, mayPropose, save } = row;
  const { content, theirs } = changing;
  return (
    <form
      aria-label={`Change ${entry.content.title}`}
      className="grid gap-3 border-l-2 border-leaf px-9 py-4 max-[899px]:px-4"
      onSubmit={(event) => {
        event.preventDefault();
        save();
      }}
      onKeyDown={(event) => {
        // What was changed is not closed away by a key.
        if (event.key === 'Escape' && !changing.isChanged) close();
        if (event.key === 'Enter' && event.ctrlKey) {
          event.preventDefault();
          save();
        }
      }}
    >
      <Heads content={content} leadIn={collection?.leadIn ?? ''} put={put} />
      <WordingEditor
        passage={mainPassage(content)}
        language={content.wordings[0]!.language}
        fields={content.fields}
        conditions={content.conditions ?? []}
        {...{ index }}
        within={entry.id}
        editable
        onChange={row.putPassage}
        newField={row.newField}
        details={detailsOf(row.collection?.kindsOfWork ?? [])}
        changeCondition={row.changeCondition}
        beside={null}
        makeOptional={() => 'Optional passages are made on the entry’s page.'}
        editorReady={row.editorReady}
      />
      {isProposal && (
        <TextField
          label="Reason for the change"
          maxLength={300}
          value={changing.reason}
          onChange={({ target }) => changing.setReason(target.value)}
        />
      )}
      <NotSaved {...{ entry, changing }} />
      <p className="flex flex-wrap items-center gap-3">
        <Button look="main" type="submit" disabled={changing.saving || !mayPropose || theirs !== null}>
          {isProposal ? 'Propose' : 'Save'}
        </Button>
        <Button
          onClick={() => {
            changing.letGo();
            close();
          }}
        >
          Cancel
        </Button>
        <Link to={`/bank/${entry.id}`} className="text-[14px] text-elder underline">
          All of it
        </Link>
        <span className="text-[13px] text-soft">
          <Key>Ctrl</Key> <Key>Enter</Key> saves
        </span>
      </p>
    </form>
  );
}
