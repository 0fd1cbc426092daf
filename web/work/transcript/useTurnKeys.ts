import { Plugin, PluginKey, type EditorState } from '@tiptap/pm/state';
import { useEditorState, type Editor } from '@tiptap/react';
import { useEffect, useRef, useState } from 'react';
import type { Speaker } from '#core/transcript';
import { heardNow, transcriptOf, turnAt, turnOfLine, turnsIn, turnsInto } from '../../editor';
import { nextAt, type TurnActs } from './turnActs';

const KEYS = new PluginKey('turnKeys');

/** The speaker whose key, initials or name was typed; undefined for none. */
const speakerBy = (cast: readonly Speaker[], typed: string): Speaker | undefined => {
  const same = (text: string) => text !== '' && text.toLowerCase() === typed.toLowerCase();
  return (
    cast.find(({ key }) => same(key)) ??
    cast.find(({ initials }) => same(initials)) ??
    cast.find(({ name }) => same(name))
  );
};

/** Who is meant by all that stands on the caret's line; undefined where that is no speaker of the cast. */
function speakerOnLine({ doc, selection }: EditorState): Speaker | undefined {
  const { $from, empty } = selection;
  const { parent } = $from;
  const isEnd = $from.parentOffset === parent.content.size;
  if (!empty || !isEnd || $from.depth !== 1 || parent.type.name !== 'paragraph') return undefined;
  return speakerBy(transcriptOf(doc).cast, parent.textContent.trim());
}

/**
 * Keys that begin a turn while one writes: after the key that asks for a speaker, that speaker's own key; and on a line of its own, a
 * speaker's key or initials and Tab.
 */
export function useTurnKeys(editor: Editor, acts: TurnActs) {
  const [isChoosing, setChoosing] = useState(false);
  // Read by the very next key, which may come before anything is drawn.
  const choosing = useRef(false);
  const choose = (on: boolean) => {
    choosing.current = on;
    setChoosing(on);
  };
  useEffect(() => {
    const end = () => {
      choosing.current = false;
      setChoosing(false);
    };
    const keys = new Plugin({
      key: KEYS,
      props: {
        handleKeyDown: (view, event) => {
          if (!view.editable || event.isComposing) return false;
          const isBare = !event.ctrlKey && !event.metaKey && !event.altKey;
          if (choosing.current) {
            if (['Shift', 'Alt', 'Control', 'Meta'].includes(event.key)) return false;
            const found = isBare ? speakerBy(transcriptOf(view.state.doc).cast, event.key) : undefined;
            end();
            if (found) acts.begin(found.id);
            return found !== undefined || event.key === 'Escape';
          }
          if (event.key !== 'Tab' || !isBare || event.shiftKey) return false;
          const found = speakerOnLine(view.state);
          if (!found) return false;
          view.dispatch(turnOfLine(view.state, found.id, editor.storage.recordingClock.now()));
          return true;
        },
      },
    });
    editor.registerPlugin(keys, (plugin, plugins) => [plugin, ...plugins]);
    editor.registerPlugin(heardNow());
    editor.registerPlugin(turnsInto.plugin(), (plugin, plugins) => [plugin, ...plugins]);
    return () => {
      if (editor.isDestroyed) return;
      editor.unregisterPlugin(KEYS);
      editor.unregisterPlugin('heardNow');
      editor.unregisterPlugin(turnsInto.key);
    };
  }, [editor, acts]);
  return { isChoosing, choose: () => choose(true) };
}

/** The cast as it is shown beside the text: who may be next, and whose turn the caret is in. */
export function useCastState(editor: Editor) {
  return useEditorState({
    editor,
    selector: ({ editor: { state } }) => ({
      transcript: transcriptOf(state.doc),
      next: nextAt(editor),
      here: turnAt(state)?.attrs.speaker ?? null,
      hasTurns: turnsIn(state.doc).length > 0,
    }),
  });
}
