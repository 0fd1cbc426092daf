import type { Transaction } from '@tiptap/pm/state';
import type { Editor } from '@tiptap/react';
import { stepToGap } from '../editor';
import { RECORD_KEY, type useRecordOpen } from '../record';
import type { useAnotherLeaf } from './LeavesOfCase';
import { type LeafSlip, goToMargin } from '../writing';

/** What the acts of a leaf need. */
interface OnLeaf {
  /** False for a finished draft. */
  open: boolean;
  editor: Editor;
  openSlip: (slip: LeafSlip) => void;
  keepWords: () => void;
  goToGap: (tr: Transaction | null) => void;
  finish: () => void;
  reopen: () => void;
  drop: () => void;
  another: ReturnType<typeof useAnotherLeaf>;
  /** The questions beside the text. */
  questions: { isListed: boolean; toggle: () => void };
  /** The record at its head; null where it has none. */
  record: ReturnType<typeof useRecordOpen> | null;
}

/** All that can be done on a leaf, for the look-up and by keys. */
export function leafActions(leaf: OnLeaf) {
  const { editor, openSlip, another, record } = leaf;
  const always = [
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
      label: leaf.questions.isListed ? 'Hide the questions' : 'List the questions',
      key: 'Alt + Y',
      run: leaf.questions.toggle,
    },
    { label: 'Refer to a number', run: () => openSlip({ kind: 'reference' }) },
    { label: 'Texts of this leaf: add, name, order', run: () => openSlip({ kind: 'texts' }) },
    { label: 'Change what is in reach', run: () => openSlip({ kind: 'reach' }) },
    { label: 'Earlier texts of this draft', run: () => openSlip({ kind: 'earlier' }) },
    { label: 'Go to the margin', run: () => goToMargin() },
    { label: 'Finish the draft', key: 'F9', run: leaf.finish },
    ...always,
    { label: 'Delete this draft', run: leaf.drop },
  ];
}
