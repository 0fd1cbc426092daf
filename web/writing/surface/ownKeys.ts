import { Extension } from '@tiptap/core';
import { Plugin } from '@tiptap/pm/state';
import type { EditorView } from '@tiptap/pm/view';

/** Hears a key that nothing of the bank has used; true where it is used. */
type OwnKeys = (event: KeyboardEvent) => boolean;

const hearing = new WeakMap<EditorView, OwnKeys>();

/** From here on a kind of work hears keys of a text before they mean what they mean in every text. Gives what ends that. */
export function hearKeys(view: EditorView, hear: OwnKeys): () => void {
  hearing.set(view, hear);
  return () => {
    if (hearing.get(view) === hear) hearing.delete(view);
  };
}

/** Whether the kind of work uses a key. */
export const isOwnKey = (view: EditorView, event: KeyboardEvent): boolean =>
  hearing.get(view)?.(event) ?? false;

/** After cues, offers and commands, before the text's own keys. */
export const ownKeys = () =>
  Extension.create({
    name: 'ownKeys',
    priority: 950,
    addProseMirrorPlugins: () => [
      new Plugin({ props: { handleKeyDown: (view, event) => !event.isComposing && isOwnKey(view, event) } }),
    ],
  });
