import type { Editor } from '@tiptap/core';
import {
  addColumnAfter,
  addColumnBefore,
  addRowAfter,
  addRowBefore,
  deleteColumn,
  deleteRow,
  deleteTable,
  isInTable,
  toggleHeaderRow,
} from '@tiptap/pm/tables';
import { closeHistory } from '@tiptap/pm/history';
import type { Command } from '@tiptap/pm/state';
import { insertTable } from '../editor';
import { ownStep } from './ownStep';

/** One way to form words, lines or a table. */
export interface Format {
  label: string;
  /** The keys that do it too, or what is typed at the start of a line. */
  keys?: string;
  of: 'words' | 'lines' | 'table';
  /** For what is on or off where the caret is. */
  isOn?: (editor: Editor) => boolean;
  /** Whether it can be done at the caret: what cannot is not shown. */
  isHere: (editor: Editor) => boolean;
  run: (editor: Editor) => void;
}

const always = () => true;

function words(label: string, keys: string, mark: string): Format {
  return {
    ...{ label, keys, of: 'words', isHere: always },
    isOn: (editor) => editor.isActive(mark),
    run: (editor) => void ownStep(editor).toggleMark(mark).run(),
  };
}

function heading(label: string, level: 1 | 2 | 3): Format {
  return {
    ...{ label, keys: `Ctrl + Alt + ${level}`, of: 'lines', isHere: always },
    isOn: (editor) => editor.isActive('heading', { level }),
    run: (editor) => void ownStep(editor).toggleHeading({ level }).run(),
  };
}

/** What is done to the rows and columns of the table that the caret is in. */
function ofTable(label: string, command: Command): Format {
  return {
    ...{ label, of: 'table' },
    isHere: ({ state }) => isInTable(state) && command(state),
    run: (editor) => {
      command(editor.state, (tr) => editor.view.dispatch(closeHistory(tr)));
      editor.view.focus();
    },
  };
}

/** All ways to form a text, in the order in which they are listed. */
export const FORMATS: readonly Format[] = [
  words('Bold', 'Ctrl + B', 'bold'),
  words('Italic', 'Ctrl + I', 'italic'),
  words('Underline', 'Ctrl + U', 'underline'),
  words('Strike through', 'Ctrl + Shift + S', 'strike'),
  heading('Heading', 1),
  heading('Smaller heading', 2),
  heading('Smallest heading', 3),
  {
    ...{ label: 'List', keys: '- and Space', of: 'lines', isHere: always },
    isOn: (editor) => editor.isActive('bulletList'),
    run: (editor) => void ownStep(editor).toggleBulletList().run(),
  },
  {
    ...{ label: 'Numbered list', keys: '1. and Space', of: 'lines', isHere: always },
    isOn: (editor) => editor.isActive('orderedList'),
    run: (editor) => void ownStep(editor).toggleOrderedList().run(),
  },
  {
    ...{ label: 'Quotation', keys: '> and Space', of: 'lines', isHere: always },
    isOn: (editor) => editor.isActive('blockquote'),
    run: (editor) => void ownStep(editor).toggleBlockquote().run(),
  },
  {
    ...{ label: 'Line across', keys: '--- at a line’s start', of: 'lines', isHere: always },
    run: (editor) => void ownStep(editor).setHorizontalRule().run(),
  },
  {
    ...{ label: 'Line break', keys: 'Shift + Enter', of: 'lines', isHere: always },
    run: (editor) => void ownStep(editor).setHardBreak().run(),
  },
  {
    ...{ label: 'Tab', of: 'lines', isHere: always },
    run: (editor) => void ownStep(editor).insertContent('\t').run(),
  },
  {
    ...{ label: 'Table', of: 'lines', isHere: ({ state }) => !isInTable(state) },
    run: (editor) => {
      editor.view.dispatch(closeHistory(insertTable(editor.state)));
      editor.view.focus();
    },
  },
  ofTable('Row below', addRowAfter),
  ofTable('Row above', addRowBefore),
  ofTable('Column after', addColumnAfter),
  ofTable('Column before', addColumnBefore),
  ofTable('Heads in the first row', toggleHeaderRow),
  ofTable('Delete the row', deleteRow),
  ofTable('Delete the column', deleteColumn),
  ofTable('Delete the table', deleteTable),
];

/** The ways that can be taken at the caret. */
export const formatsHere = (editor: Editor): Format[] => FORMATS.filter(({ isHere }) => isHere(editor));
