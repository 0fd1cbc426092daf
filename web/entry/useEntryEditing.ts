import type { Editor } from '@tiptap/react';
import { useLayoutEffect, useMemo, useRef, useState, type RefObject } from 'react';
import { useLocation, useNavigate } from 'react-router';
import type { Collection } from '#contracts';
import { proposeCue } from '#core/cue';
import {
  newEntry,
  proposeTitle,
  type Condition,
  type EntryContent,
  type NamedCondition,
  at,
  fieldForBlank,
  mainPassage,
  type WordingPlace,
} from '#core/entry';
import type { DoubtPlace } from '#core/workbench';
import { useShell } from '../shell';
import { keysOfEntry, type BankIndex, takenCues } from '#core/bank';
import { calendarToday } from '#client/clock';
import { firstTest } from './wording/ConditionEditor';
import { selectInLine } from './wording/selectInLine';
import { pasteCopied } from './pasteCopied';
import type { KeptEntry } from '#client/waiting';
import { useEntryChange, type Target } from './useEntryChange';
import { makeOptional } from './wording/optionalPassages';
import { insertBlank, selectedWords, type NewField } from './wording/WordingBar';

const PROPOSED = 'Proposed. Its keepers have been told; you will hear when they answer.';

function savedInWords({ entry, waits }: KeptEntry, collection: Collection | undefined): string {
  const keys = keysOfEntry(entry, collection);
  const where = waits
    ? 'Saved on this computer, and sent once the server can be reached'
    : `Saved as revision ${entry.revision}`;
  return `${where}${keys ? `. Type ${keys} to place it` : ''}.`;
}

/** A free cue for an entry's title, or for its first words; '' where it has neither. */
function freeCue(
  index: BankIndex,
  content: EntryContent,
  collection: Collection | undefined,
  entry: string | undefined,
): string {
  const title = content.title || proposeTitle(mainPassage(content));
  if (!title) return '';
  const taken = [
    ...takenCues(index, collection?.leadIn ?? '', entry),
    ...content.cues.map(({ text }) => text),
  ];
  return proposeCue(title, taken, collection?.cuesBy, (word) => index.ordinary.has(word));
}

/**
 * What an entry holds, and changing it, for what calls back later than it was made: the editor must reach what the entry holds by
 * then. In the same step as it is drawn: a moment later, what was put meanwhile would be taken for older than what was drawn, and
 * be lost.
 */
function useLatest(content: EntryContent, setContent: (content: EntryContent) => void) {
  const latest = useRef(content);
  const setLatest = useRef(setContent);
  useLayoutEffect(() => {
    latest.current = content;
    setLatest.current = setContent;
  });
  const put = (change: Partial<EntryContent>) => {
    latest.current = { ...latest.current, ...change };
    setLatest.current(latest.current);
  };
  return { latest, put };
}

/** Which wording and part of an entry is written on, and going to where a doubt is: its words selected, or its field opened. */
function useWordingPlace(
  content: EntryContent,
  editor: RefObject<Editor | null>,
  openField: (field: string) => void,
) {
  const [picked, setPlace] = useState<WordingPlace>({ wording: '', part: '' });
  const toSelect = useRef<Extract<DoubtPlace, { line: number }> | null>(null);
  const takesKeys = useRef(false);
  const { wording, part } = at(content, picked);
  // Until another is picked it is the text itself that is at hand, not a part that goes to a box.
  const place = { wording: wording.id, part: picked.part === '' ? wording.parts.at(-1)!.id : part.id };
  const show = (to: DoubtPlace) => {
    if ('field' in to) {
      openField(to.field);
      requestAnimationFrame(() =>
        document.getElementById(`field-${to.field}`)?.scrollIntoView({ block: 'center' }),
      );
      return;
    }
    const next = content.wordings.find(({ id }) => id === to.wording);
    if (!next) return;
    const wanted = 'part' in to ? to.part : next.parts.at(-1)!.id;
    const isHere = to.wording === place.wording && wanted === place.part;
    setPlace({ wording: to.wording, part: wanted });
    if (!('line' in to)) return;
    // Another part has an editor of its own: its words are selected as soon as it is there.
    if (isHere && editor.current) selectInLine(editor.current, to);
    else toSelect.current = to;
  };
  const selectWhatWaits = (made: Editor) => {
    if (toSelect.current) selectInLine(made, toSelect.current);
    else if (takesKeys.current) made.commands.focus('end');
    toSelect.current = null;
    takesKeys.current = false;
  };
  /** Goes to a wording and gives it the keys: each has an editor of its own, which takes them once it is there. */
  const writeAt = (to: WordingPlace) => {
    takesKeys.current = true;
    setPlace(to);
  };
  return { place, setPlace, writeAt, show, selectWhatWaits };
}

/** Makes fields for blanks, and opens those that want more said; with the words that each of this sitting was made of. */
function useNewFields(
  latest: RefObject<EntryContent>,
  put: (change: Partial<EntryContent>) => void,
  openField: (field: string) => void,
) {
  const [madeFrom, setMadeFrom] = useState<ReadonlyMap<string, string>>(new Map());
  const newField: NewField = (words, ready) => {
    const { fields } = latest.current;
    const { field, isNew } = fieldForBlank(fields, words, ready);
    if (!isNew) return field.id;
    put({ fields: [...fields, field] });
    setMadeFrom((before) => new Map([...before, [field.id, words]]));
    if (ready?.part !== 'found' && ready?.part !== 'case') openField(field.id);
    return field.id;
  };
  return { newField, madeFrom };
}

/** All that the page of an entry does: what is changed, what is saved, blanks and cues being made. */
export function useEntryEditing(index: BankIndex, target: Target) {
  const { member } = useShell();
  const navigate = useNavigate();
  const entry = 'entry' in target ? target.entry : null;
  const collectionId = 'entry' in target ? target.entry.collection : target.collection;
  const collection = index.collections.get(collectionId);
  const fresh = useMemo(() => newEntry('', collection?.language ?? 'en-GB'), [collection?.language]);
  // A new entry gets a page of its own once it is saved: what was said comes along.
  const came = useLocation().state as { said?: string; fromClipboard?: boolean } | null;
  const [said, setSaid] = useState(came?.said ?? null);
  const isProposal = collection?.right === 'contribute';
  const changing = useEntryChange(member.id, target, fresh, isProposal, {
    saved: (kept) => {
      const state = { said: savedInWords(kept, collection) };
      setSaid(state.said);
      if (!entry) void navigate(`/bank/${kept.entry.id}`, { replace: true, state });
    },
    proposed: () => setSaid(PROPOSED),
  });
  const { content, setContent } = changing;
  const [openField, setOpenField] = useState<string | null>(null);
  const editor = useRef<Editor | null>(null);
  const { place, setPlace, writeAt, show, selectWhatWaits } = useWordingPlace(content, editor, setOpenField);
  const copyTaken = useRef(false);
  const { latest, put } = useLatest(content, setContent);
  const { newField, madeFrom } = useNewFields(latest, put, setOpenField);
  const addOptional = () => madeOptional(editor.current, latest.current, put);
  const takeCopied = async (into: Editor) => {
    copyTaken.current = true;
    setSaid(await pasteCopied(into));
    const proposed = proposeTitle(mainPassage(latest.current));
    if (latest.current.title === '') put({ title: proposed });
  };
  return {
    entry,
    collection,
    collectionId,
    editable: collection?.right === 'keep' || isProposal,
    isProposal,
    changing,
    said,
    put,
    latest: () => latest.current,
    place,
    setPlace,
    writeAt,
    openField,
    setOpenField,
    newField,
    /** The words that fields of this sitting were made of. */
    madeFrom,
    addOptional,
    changeCondition: (id: string, when: Condition) => {
      const { conditions = [] } = latest.current;
      put({ conditions: conditions.map((one) => (one.id === id ? { id, when } : one)) });
    },
    /** Shows where a doubt is: its words selected, or its field opened. */
    show,
    editorReady: (made: Editor) => {
      editor.current = made;
      selectWhatWaits(made);
      if (came?.fromClipboard && !copyTaken.current) void takeCopied(made);
    },
    /** Puts what was last copied into the wording. */
    takeCopied: () => editor.current && void takeCopied(editor.current),
    /** The selected words become a blank of a new field; without a selection a blank stands at the caret. */
    makeBlank: () => {
      if (editor.current) insertBlank(editor.current, newField(selectedWords(editor.current)));
    },
    /** A free cue for the entry's title, or for its first words. */
    propose: () => freeCue(index, content, collection, entry?.id),
  };
}

/**
 * Makes the selected words an optional passage: of a new condition, on a field that says something. What stands in the way
 * comes back in words.
 */
function madeOptional(
  editor: Editor | null,
  { fields, conditions = [] }: EntryContent,
  put: (change: Partial<EntryContent>) => void,
): string | null {
  // A field that can be picked or measured says more than whether it is answered.
  const field = fields.find((one) => firstTest(one, calendarToday()).test !== 'answered') ?? fields[0];
  if (!editor) return null;
  const { state, view } = editor;
  if (!field) return 'Make a field first: its answer decides whether the words appear.';
  if (state.selection.empty) return 'First select the words that appear only under a condition.';
  const id = freeConditionId(conditions);
  put({ conditions: [...conditions, { id, when: firstTest(field, calendarToday()) }] });
  view.dispatch(makeOptional(state, id));
  view.focus();
  return null;
}

function freeConditionId(conditions: readonly NamedCondition[]): string {
  let number = conditions.length + 1;
  while (conditions.some(({ id }) => id === `c${number}`)) number += 1;
  return `c${number}`;
}

export type EntryEditing = ReturnType<typeof useEntryEditing>;
