import { Extension } from '@tiptap/core';
import { Selection } from '@tiptap/extensions';
import type { Node } from '@tiptap/pm/model';
import { useEditor, useEditorState, type Editor } from '@tiptap/react';
import { useState } from 'react';
import type { DraftDocument, Placement } from '#core/draft';
import { gapsOf, type Gap } from '#core/fill';
import {
  blanksIn,
  currentBlank,
  entryBefore,
  placementAt,
  type BlankAt,
  finding,
  fromEditor,
  placementsOf,
  toEditor,
  passageExtensions,
  joiningOn,
  leftOutLines,
  moveBlock,
  numbering,
  statementAt,
  statementsIn,
  type Statement,
  stepToBlank,
} from '../../editor';
import type { EditorView } from '@tiptap/pm/view';
import { confirm, keyOnBlank, stepTo } from './blankKeys';
import { goToMargin, typeIntoBlank } from './whereKeysGo';
import { LiveBlank } from './blankView';
import { cueFiring, type CueHost } from '../cues/cueFiring';
import { keyCues, type KeyCueHost } from '../cues/keyCues';
import { proposedAnswers } from '../blanks/proposedAnswers';
import { rememberSelected } from '../blanks/selectedAnswer';
import type { LeafSlip } from '../capture/leafSlip';
import { termHere } from '../capture/termHere';
import { addressPasted } from '../../format';
import { offerKeys, offering, type OfferHost } from '../offers/offering';
import { typedAgain } from '../keeping/typedAgain';
import { ownKeys } from './ownKeys';
import { pasting } from './pasting';
import { CLEAR_OF_BAND } from './beneathBand';
import { textCommands, type CommandHost } from '../commands/textCommands';

type Host = Omit<CueHost, 'press'> &
  CommandHost &
  OfferHost &
  KeyCueHost & {
    open: (slip: LeafSlip) => void;
    /** Told of a sentence typed by hand, at its end. */
    sentence: (sentence: string) => void;
  };

/** Cues, offers and pasting; asked before the keys of lists and tables. */
const writing = (host: Host) =>
  Extension.create({
    name: 'writing',
    priority: 1000,
    addProseMirrorPlugins() {
      const { editor } = this;
      const press = (key: string) => void editor.commands.keyboardShortcut(key);
      return [
        textCommands(host),
        offerKeys(host),
        keyCues(host),
        cueFiring({ ...host, press }),
        joiningOn(),
        offering(host),
        typedAgain(host),
        pasting(() => crypto.randomUUID()),
        numbering(),
        leftOutLines(),
        finding(),
        rememberSelected(),
        proposedAnswers(),
      ];
    },
  });

function toBlank(editor: Editor, direction: 1 | -1): boolean {
  if (!editor.isEditable || editor.isActive('table')) return false;
  const tr = stepToBlank(editor.state, direction);
  if (tr) stepTo(editor.view, tr);
  return tr !== null;
}

function move(editor: Editor, direction: 1 | -1): boolean {
  const tr = editor.isEditable ? moveBlock(editor.state, direction) : null;
  if (tr) editor.view.dispatch(tr);
  return tr !== null;
}

/** Tab in the text goes to the next blank, and with none ahead leaves the leaf, as everywhere; paragraphs move. */
const leafKeys = (host: Host) =>
  Extension.create({
    name: 'leafKeys',
    priority: 900,
    addKeyboardShortcuts: () => ({
      'Alt-m': ({ editor }) => {
        if (editor.isEditable) host.open({ kind: 'term', text: termHere(editor) });
        return true;
      },
      'Alt-r': () => {
        host.open({ kind: 'reach' });
        return true;
      },
      'Alt-g': () => {
        host.open({ kind: 'find' });
        return true;
      },
      'Alt-b': () => goToMargin(),
      Tab: ({ editor }) => toBlank(editor, 1),
      'Shift-Tab': ({ editor }) => toBlank(editor, -1),
      'Mod-Enter': ({ editor }) => confirm(editor.view),
      'Alt-Shift-ArrowUp': ({ editor }) => move(editor, -1),
      'Alt-Shift-ArrowDown': ({ editor }) => move(editor, 1),
    }),
  });

/** A letter pressed while a blank is current that is typed into, and the keys go to the text: it belongs on the blank's line. */
function typedOverBlank(view: EditorView, event: KeyboardEvent): boolean {
  if (event.key.length !== 1 || event.ctrlKey || event.metaKey || event.altKey) return false;
  return typeIntoBlank(view, event.key);
}

/**
 * Before each of its commits React counts all letters before the caret of what is being edited (`getOffsets`), to put the selection
 * back afterwards: 17 ms a key in a text of hours. It does so for what says that it can be edited; the editor minds its selection itself.
 */
function selectionIsOwn(dom: HTMLElement): void {
  Object.defineProperty(dom, 'contentEditable', { get: () => 'inherit', configurable: true });
}

interface Options {
  document: DraftDocument;
  host: Host;
  onChange: () => void;
}

/** The editor of a draft. What it shows at first is `document`; after that it is the text's own home. */
export function useLeafEditor({ document, host, onChange }: Options): Editor {
  // Once: an editor that is made again begins with the text that was there at first, and what was written since is gone.
  const [extensions] = useState(() => [
    ...passageExtensions('draft'),
    addressPasted,
    LiveBlank,
    writing(host),
    ownKeys(),
    leafKeys(host),
    Selection,
  ]);
  return useEditor(
    {
      extensions,
      content: toEditor(document),
      // Its styles are in our own sheet: the page's policy allows no others.
      injectCSS: false,
      enableInputRules: ['bulletList', 'orderedList', 'blockquote', 'horizontalRule'],
      shouldRerenderOnTransaction: false,
      // A change of what a draft carries beside its text is one too, of which no update tells (`placements.ts`).
      onTransaction: ({ transaction }) => {
        if (transaction.docChanged && !transaction.getMeta('preventUpdate')) onChange();
      },
      onCreate: ({ editor: { view } }) => selectionIsOwn(view.dom),
      editorProps: {
        ...CLEAR_OF_BAND,
        attributes: {
          'aria-label': 'Draft',
          role: 'textbox',
          'aria-multiline': 'true',
          class: 'book prose-leaf with-blanks',
        },
        handleKeyDown: (view, event) => {
          const used = !event.isComposing && (typedOverBlank(view, event) || keyOnBlank(view, event, true));
          if (used) event.preventDefault();
          return used;
        },
        // From an input method, or a keyboard on glass, which tells of no keys.
        handleTextInput: (view, _from, _to, text) => typeIntoBlank(view, text),
        handlePaste: (view, event) =>
          typeIntoBlank(view, event.clipboardData?.getData('text/plain').trim() ?? ''),
      },
    },
    [extensions],
  );
}

/** Where the caret is and what is still open: what the margin speaks of. */
export interface LeafState {
  blank: BlankAt | null;
  placement: string | null;
  /** What that placement holds. */
  placed: Placement | null;
  /** The statement to confirm that the caret stands in. */
  statement: Statement | null;
  gaps: readonly Gap[];
  /** The entry placed last before the caret; '' for none. */
  before: string;
}

/** The text of the editor as the draft document it is. */
export const documentOf = (editor: Editor) => fromEditor(editor.state.doc);

/** Of each text that was looked at, so that moving in it costs nothing. */
const gapsKnown = new WeakMap<Node, readonly Gap[]>();

function gapsIn(doc: Node): readonly Gap[] {
  let gaps = gapsKnown.get(doc);
  if (!gaps) {
    const isOpen = blanksIn(doc).some(({ attrs }) => attrs.state === 'gap') || statementsIn(doc).length > 0;
    gaps = isOpen ? gapsOf(fromEditor(doc)) : [];
    gapsKnown.set(doc, gaps);
  }
  return gaps;
}

/** Follows the caret and the gaps; renders again only when one of them has changed. */
export function useLeafState(editor: Editor): LeafState {
  return useEditorState({
    editor,
    selector: ({ editor: { state } }) => {
      const placement = placementAt(state);
      const placed = (placement !== null && placementsOf(state.doc)[placement]) || null;
      return {
        blank: currentBlank(state),
        placement: placed && placement,
        placed,
        statement: statementAt(state),
        gaps: gapsIn(state.doc),
        before: entryBefore(state),
      };
    },
  });
}
