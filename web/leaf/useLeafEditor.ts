import { Extension } from '@tiptap/core';
import { Selection } from '@tiptap/extensions';
import { useEditor, useEditorState, type Editor } from '@tiptap/react';
import { useMemo } from 'react';
import type { DraftDocument } from '#core/draft';
import { gapsOf, type Gap } from '#core/fill';
import { blanksIn, currentBlank, placementAt, type BlankAt } from '../editor/blanks';
import { fromEditor, placementsOf, toEditor } from '../editor/placements';
import { BlankNode, passageExtensions } from '../editor/extensions';
import { stepToBlank } from '../editor/stepping';
import { keyOnBlank, stepTo } from './blankKeys';
import { BlankView } from './blankView';
import { cueFiring, type CueHost } from './cueFiring';
import { pasting } from './pasting';

/** The blank on the leaf, alive: shown as a ruled line, answered in place. */
const LiveBlank = BlankNode.extend({
  addNodeView: () => {
    return ({ node, view }) => new BlankView(node, view);
  },
});

/** Cues and pasting; asked before the keys of lists and tables. */
const writing = (host: Omit<CueHost, 'press'>) =>
  Extension.create({
    name: 'writing',
    priority: 1000,
    addProseMirrorPlugins() {
      const { editor } = this;
      const press = (key: string) => void editor.commands.keyboardShortcut(key);
      return [cueFiring({ ...host, press }), pasting(() => crypto.randomUUID())];
    },
  });

function toBlank(editor: Editor, direction: 1 | -1): boolean {
  if (!editor.isEditable || editor.isActive('table')) return false;
  const tr = stepToBlank(editor.state, direction);
  if (tr) stepTo(editor.view, tr);
  return tr !== null;
}

/** Tab in the text: to the next blank. With none ahead it leaves the leaf, as everywhere. */
const tabToBlank = Extension.create({
  name: 'tabToBlank',
  priority: 900,
  addKeyboardShortcuts: () => ({
    Tab: ({ editor }) => toBlank(editor, 1),
    'Shift-Tab': ({ editor }) => toBlank(editor, -1),
  }),
});

interface Options {
  document: DraftDocument;
  host: Omit<CueHost, 'press'>;
  onChange: () => void;
}

/** The editor of a draft. What it shows at first is `document`; after that it is the text's own home. */
export function useLeafEditor({ document, host, onChange }: Options): Editor {
  const extensions = useMemo(
    () => [...passageExtensions, LiveBlank, writing(host), tabToBlank, Selection],
    [host],
  );
  return useEditor(
    {
      extensions,
      content: toEditor(document),
      // Its styles are in our own sheet: the page's policy allows no others.
      injectCSS: false,
      enableInputRules: ['bulletList', 'orderedList', 'blockquote', 'horizontalRule'],
      shouldRerenderOnTransaction: false,
      onUpdate: onChange,
      editorProps: {
        attributes: {
          'aria-label': 'Draft',
          role: 'textbox',
          'aria-multiline': 'true',
          class: 'book prose-leaf with-blanks',
        },
        handleKeyDown: (view, event) => {
          const used = !event.isComposing && keyOnBlank(view, event, true);
          if (used) event.preventDefault();
          return used;
        },
      },
    },
    [extensions],
  );
}

/** Where the caret is and what is still open: what the margin speaks of. */
export interface LeafState {
  blank: BlankAt | null;
  placement: string | null;
  hasSelection: boolean;
  gaps: Gap[];
}

/** The text of the editor as the draft document it is. */
export const documentOf = (editor: Editor) => fromEditor(editor.state.doc);

/** Follows the caret and the gaps; renders again only when one of them has changed. */
export function useLeafState(editor: Editor): LeafState {
  return useEditorState({
    editor,
    selector: ({ editor: { state } }) => {
      const placement = placementAt(state);
      const hasGaps = blanksIn(state.doc).some(({ attrs }) => attrs.state === 'gap');
      return {
        blank: currentBlank(state),
        placement: placement && placementsOf(state.doc)[placement] ? placement : null,
        hasSelection: !state.selection.empty && !currentBlank(state),
        gaps: hasGaps ? gapsOf(fromEditor(state.doc)) : [],
      };
    },
  });
}
