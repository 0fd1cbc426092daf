import { closeHistory } from '@tiptap/pm/history';
import type { Editor } from '@tiptap/react';
import { useEffect, useRef, type RefObject } from 'react';
import type { TrayLine } from '#contracts';
import type { DraftKeeper } from '#client/drafts';
import { emptyDraft } from '#core/draft';
import { OFFER_KEYS } from '#core/glossary';
import { nameFaults } from '#core/naming';
import { isEmptyPassage } from '#core/passage';
import { currentBlank, fromEditor, replaceDraft, stepToFirstGap } from '../../editor';
import { documentOf, giveKeys, hearKeys, stepTo, type useLeafParts } from '../../writing';
import type { Found } from './foundEntries';
import { nameOfWords, wordsOfName } from './lineName';
import type { LineProps } from './lineProps';
import { putLines } from './useTray';

/** What is done with a name by keys: taken as it is, left for another, begun like the one before. */
export interface LineActs {
  /** It is done, as it is written, or as another name; false where the blank in hand goes on to the next. */
  finish: (as?: string) => boolean;
  beginLikeBefore: () => boolean;
  takeFound: (at: number) => boolean;
  /** What somebody else saved stands in the place of what is written here; undo brings that back. */
  takeTheirs: (theirs: TrayLine) => void;
  step: (by: 1 | -1) => void;
}

function onKey(event: KeyboardEvent, editor: Editor, acts: LineActs): boolean {
  if (event.ctrlKey || event.metaKey || event.shiftKey) return false;
  if (event.altKey) return acts.takeFound(OFFER_KEYS.indexOf(event.code));
  switch (event.key) {
    case 'Enter':
      return acts.finish();
    case 'Tab':
      return isEmptyPassage(fromEditor(editor.state.doc)) && acts.beginLikeBefore();
    case 'ArrowDown':
    case 'ArrowUp':
      acts.step(event.key === 'ArrowDown' ? 1 : -1);
      return true;
    default:
      return false;
  }
}

interface Needs {
  props: LineProps;
  parts: Pick<ReturnType<typeof useLeafParts>, 'editor' | 'placing' | 'counts'>;
  keeper: DraftKeeper;
  found: readonly Found[];
  /** The whole name that goes along when the line is saved next. */
  nameRef: RefObject<string | null>;
}

/** What can be done with the name of a file, by its own keys too. */
export function useLineActs({ props, parts, keeper, found, nameRef }: Needs): LineActs {
  const { one, line, setup, place, before, done, step, say } = props;
  const { editor, placing, counts } = parts;
  const bring = (entry: string, keys: number) => {
    const placement = placing.placeIn(editor, entry);
    if (placement) counts.brought(placement, entry, keys, 'offer');
  };
  const keepAs = (whole: string) => {
    if (line.newName === whole) return;
    const document = documentOf(editor);
    nameRef.current = whole;
    counts.finished();
    keeper.changed();
    putLines(one.id, [{ ...line, document, words: wordsOfName(document), newName: whole }]);
  };
  const finish = (as?: string): boolean => {
    const document = documentOf(editor);
    if (isEmptyPassage(document)) return (step(1), true);
    const gap = stepToFirstGap(editor.state);
    // A blank that is filled in goes on to the next; from among the words the first open one is gone to.
    if (gap && currentBlank(editor.state)) return false;
    if (gap) return (stepTo(editor.view, gap), true);
    const whole = as ?? nameOfWords(wordsOfName(document), line, setup);
    if (nameFaults(whole, place).length > 0) {
      say('This name cannot stay as it is: see beside it. Alt + Enter takes the one that is proposed.');
      return true;
    }
    keepAs(whole);
    done();
    return true;
  };
  const takeTheirs = (theirs: TrayLine) => {
    const mine = documentOf(editor);
    // A step of its own for undo, however soon after the last key.
    editor.view.dispatch(closeHistory(replaceDraft(editor.state, theirs.document ?? emptyDraft())));
    nameRef.current = theirs.newName;
    keeper.takenOver({ version: theirs.version, savedAt: '' }, mine);
    putLines(one.id, [theirs]);
    giveKeys(editor.view);
    say('The other name is here now. Undo brings yours back.');
  };
  const acts: LineActs = {
    takeTheirs,
    finish,
    step,
    beginLikeBefore: () => {
      if (before) bring(before, 1);
      return before !== null;
    },
    takeFound: (at) => {
      const taken = currentBlank(editor.state) ? undefined : found[at];
      if (taken?.kind === 'entry') bring(taken.entry, 2);
      else if (taken) editor.commands.insertContent({ type: 'text', text: taken.words });
      return taken !== undefined;
    },
  };
  const latest = useRef(acts);
  useEffect(() => {
    latest.current = acts;
  });
  useEffect(() => hearKeys(editor.view, (event) => onKey(event, editor, latest.current)), [editor]);
  return acts;
}
