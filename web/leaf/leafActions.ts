import type { Transaction } from '@tiptap/pm/state';
import type { Editor } from '@tiptap/react';
import { stepToGap } from '../editor';
import { FORMATS } from '../format';
import { RECORD_KEY } from '../record';
import type { Action } from '../shell';
import type { useAnotherLeaf } from './LeavesOfCase';
import { answerWithSelected, type LeafSlip, goToMargin, SELECTION_KEY, SPELLING_KEY } from '../writing';

/** What the acts of a leaf need. */
interface OnLeaf {
  /** What can be done with the material of the case. */
  more: readonly Action[];
  /** False for a finished draft. */
  open: boolean;
  editor: Editor;
  openSlip: (slip: LeafSlip) => void;
  keepWords: () => void;
  goToGap: (tr: Transaction | null) => void;
  finish: () => void;
  reopen: () => void;
  drop: () => void;
  say: (words: string) => void;
  another: ReturnType<typeof useAnotherLeaf>;
  /** The questions beside the text. */
  questions: { isListed: boolean; toggle: () => void };
  /** The dotted line beneath what came from the bank. */
  marks: { areShown: boolean; toggle: () => void };
  /** The record at its head; null where it has none. */
  record: { isOpen: boolean; toggle: () => void } | null;
}

/** Ways to form the text, by their names in the look-up. */
const formatting = ({ editor, say }: OnLeaf) =>
  FORMATS.map((format) => ({
    label:
      format.of === 'table'
        ? `Table: ${format.label.toLowerCase()}`
        : `Format: ${format.label.toLowerCase()}`,
    run: () => {
      if (format.isHere(editor)) format.run(editor);
      else say(format.of === 'table' ? 'Put the cursor in a table first.' : 'That is not possible here.');
    },
  }));

/** All that can be done on a leaf, for the look-up and by keys. */
export function leafActions(leaf: OnLeaf): Action[] {
  const { editor, openSlip, another, record, say } = leaf;
  const always: Action[] = [
    ...leaf.more,
    ...(record
      ? [
          {
            label: record.isOpen ? 'Fold the record' : 'Open the record',
            key: RECORD_KEY,
            run: record.toggle,
          },
        ]
      : []),
    { label: 'Another leaf of this case', run: another.empty },
    { label: 'Another leaf, as a copy of this one', run: another.copy },
  ];
  if (!leaf.open) return [{ label: 'Reopen the draft', key: 'F9', run: leaf.reopen }, ...always];
  return [
    { label: 'Save the selected words', key: 'F4', run: leaf.keepWords },
    { label: 'Go to the next gap', key: 'F8', run: () => leaf.goToGap(stepToGap(editor.state)) },
    {
      label: 'Answer with the selected words',
      key: SELECTION_KEY,
      run: () => {
        if (!answerWithSelected(editor.view)) say('Select words, then go to a blank that is typed into.');
      },
    },
    {
      label: leaf.questions.isListed ? 'Hide the questions' : 'List the questions',
      key: 'Alt + Y',
      run: leaf.questions.toggle,
    },
    ...formatting(leaf),
    { label: 'Find and change words of this draft', run: () => openSlip({ kind: 'find' }) },
    { label: 'Check the spelling', key: SPELLING_KEY, run: () => openSlip({ kind: 'spelling' }) },
    { label: 'Insert a symbol', run: () => openSlip({ kind: 'symbol' }) },
    { label: 'Make the selected words a link', run: () => openSlip({ kind: 'link' }) },
    { label: 'Refer to a number', run: () => openSlip({ kind: 'reference' }) },
    { label: 'Texts of this leaf: add, name, order', run: () => openSlip({ kind: 'texts' }) },
    { label: 'Change what is in reach', run: () => openSlip({ kind: 'reach' }) },
    {
      label: leaf.marks.areShown
        ? 'Hide the marks under wording from the bank'
        : 'Mark wording from the bank',
      run: leaf.marks.toggle,
    },
    { label: 'Earlier texts of this draft', run: () => openSlip({ kind: 'earlier' }) },
    { label: 'Go to the margin', run: () => goToMargin() },
    { label: 'Finish the draft', key: 'F9', run: leaf.finish },
    ...always,
    { label: 'Delete this draft', run: leaf.drop },
  ];
}
