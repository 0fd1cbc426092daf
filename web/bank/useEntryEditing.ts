import type { Editor } from '@tiptap/react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { proposeCue } from '#core/cue';
import { newEntry, proposeTitle, type EntryContent } from '#core/entry';
import { useShell } from '../shell/ShellContext';
import { typedCue, type BankIndex } from './bankIndex';
import { fieldFromWords, mainPassage } from './entryFields';
import { takenCues } from './takenCues';
import { useEntryChange, type Target } from './useEntryChange';
import { insertBlank, selectedWords } from './WordingEditor';

/** All that the page of an entry does: what is changed, what is saved, blanks and cues being made. */
export function useEntryEditing(index: BankIndex, target: Target) {
  const { member } = useShell();
  const navigate = useNavigate();
  const entry = 'entry' in target ? target.entry : null;
  const collectionId = 'entry' in target ? target.entry.collection : target.collection;
  const collection = index.collections.get(collectionId);
  const fresh = useMemo(() => newEntry('', collection?.language ?? 'en-GB'), [collection?.language]);
  // A new entry gets a page of its own once it is saved: what was said comes along.
  const told = (useLocation().state as { said?: string } | null)?.said ?? null;
  const [said, setSaid] = useState<string | null>(told);
  const changing = useEntryChange(member.id, target, fresh, (kept) => {
    const cue = typedCue(kept, collection);
    const words = `Saved as revision ${kept.revision}${cue ? `. ${cue} brings it` : ''}.`;
    setSaid(words);
    if (!entry) void navigate(`/bank/${kept.id}`, { replace: true, state: { said: words } });
  });
  const { content, setContent } = changing;
  const [openField, setOpenField] = useState<string | null>(null);
  const editor = useRef<Editor | null>(null);
  // The editor calls back later than it was made: it must reach what the entry holds by then.
  const latest = useRef({ content, setContent });
  useEffect(() => {
    latest.current = { content, setContent };
  });
  const put = (change: Partial<EntryContent>) => {
    const next = { ...latest.current.content, ...change };
    latest.current.content = next;
    latest.current.setContent(next);
  };
  const newField = (words: string) => {
    const { fields } = latest.current.content;
    const field = fieldFromWords(words, fields);
    put({ fields: [...fields, field] });
    setOpenField(field.id);
    return field.id;
  };
  return {
    entry,
    collection,
    collectionId,
    editable: collection?.right === 'keep',
    changing,
    said,
    put,
    latest: () => latest.current.content,
    openField,
    setOpenField,
    newField,
    editorReady: (made: Editor) => {
      editor.current = made;
    },
    /** The selected words become a blank of a new field; without a selection a blank stands at the caret. */
    makeBlank: () => {
      if (editor.current) insertBlank(editor.current, newField(selectedWords(editor.current)));
    },
    /** A free cue for the entry's title, or for its first words. */
    propose: () => {
      const title = content.title || proposeTitle(mainPassage(content));
      const taken = takenCues(index, collection?.leadIn ?? '', entry?.id);
      return title ? proposeCue(title, [...taken, ...content.cues.map(({ text }) => text)]) : '';
    },
  };
}

export type EntryEditing = ReturnType<typeof useEntryEditing>;
