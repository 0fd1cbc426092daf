import { Extension, type Editor } from '@tiptap/core';
import { closeHistory } from '@tiptap/pm/history';
import { Plugin, TextSelection } from '@tiptap/pm/state';
import { isSafeLink } from '#core/passage';
import { ownStep } from './ownStep';

const BARE = /^[\w.-]+\.[a-z]{2,}(\/\S*)?$/i;

/** Where a typed address leads: with https:// before a bare one; null where it is no address that a link may have. */
export function addressTyped(typed: string): string | null {
  const address = typed.trim();
  const href = BARE.test(address) ? `https://${address}` : address;
  return isSafeLink(href) ? href : null;
}

/** The address of the link at the caret; '' where there is none. */
export const linkHere = (editor: Editor): string => String(editor.getAttributes('link').href ?? '');

/**
 * Makes the selected words a link, or the link at the caret lead elsewhere; '' takes the link away and leaves its words. With nothing
 * selected and no link there, the address itself is put at the caret. The keys go to the text.
 */
export function linkTo(editor: Editor, href: string): void {
  const chain = ownStep(editor).extendMarkRange('link');
  if (href === '') chain.unsetLink().run();
  else if (editor.state.selection.empty && linkHere(editor) === '')
    chain.insertContent({ type: 'text', text: href, marks: [{ type: 'link', attrs: { href } }] }).run();
  else chain.setLink({ href }).run();
}

/** An address and nothing else, pasted over selected words, makes them a link to it. */
export const addressPasted = Extension.create({
  name: 'addressPasted',
  priority: 1100,
  addProseMirrorPlugins() {
    const { link } = this.editor.schema.marks;
    return [
      new Plugin({
        props: {
          handlePaste: ({ state, dispatch }, event) => {
            const { selection } = state;
            const text = event.clipboardData?.getData('text/plain').trim() ?? '';
            const isAddress = /^(https?:\/\/|mailto:)\S+$/i.test(text) && isSafeLink(text);
            if (!isAddress || !(selection instanceof TextSelection) || selection.empty) return false;
            // Over a whole address it takes its place; over several lines it is text as any other.
            const words = state.doc.textBetween(selection.from, selection.to, '\n');
            if (words.includes('\n') || addressTyped(words) !== null) return false;
            dispatch(
              closeHistory(state.tr).addMark(selection.from, selection.to, link!.create({ href: text })),
            );
            return true;
          },
        },
      }),
    ];
  },
});
