import type { Node } from '@tiptap/pm/model';
import { Plugin, PluginKey, type EditorState } from '@tiptap/pm/state';
import { Decoration, DecorationSet, type EditorView } from '@tiptap/pm/view';

const key = new PluginKey<boolean>('shownSpaces');

/** What cannot be seen: tabs, spaces that do not break, spaces doubled or at an end of a line. */
const UNSEEN = /\t|\u00a0|\u202f| {2,}|^ +| +$/gm;
const SIGNS: Record<string, string> = { '\t': '→', '\u00a0': '⍽', '\u202f': '⍽', ' ': '·' };

/** A sign that stands for a character nobody can see, at its place in its block. */
interface Sign {
  at: number;
  sign: string;
}

/** The unseen characters of a block of text, in order. Line breaks part its lines; blanks and other nodes count as words. */
export function unseenIn(block: Node): Sign[] {
  const words = block.textBetween(0, block.content.size, undefined, ({ type }) =>
    type.name === 'hardBreak' ? '\n' : '\uFFFC',
  );
  return [...words.matchAll(UNSEEN)].flatMap(({ 0: run, index }) =>
    Array.from(run, (character, at) => ({ at: index + at, sign: SIGNS[character]! })),
  );
}

function breakSign(sign: string): HTMLElement {
  const dom = document.createElement('span');
  dom.className = 'shown-break';
  dom.dataset.sign = sign;
  return dom;
}

function signsOf(state: EditorState): DecorationSet {
  const found: Decoration[] = [];
  state.doc.descendants((block, start) => {
    if (!block.isTextblock) return true;
    block.forEach((node, offset) => {
      if (node.type.name !== 'hardBreak') return;
      const pos = start + 1 + offset;
      found.push(Decoration.widget(pos, () => breakSign('↵'), { side: -1, key: 'break' }));
    });
    for (const { at, sign } of unseenIn(block)) {
      const pos = start + 1 + at;
      found.push(Decoration.inline(pos, pos + 1, { class: 'shown-space', 'data-sign': sign }));
    }
    found.push(Decoration.widget(start + block.nodeSize - 1, () => breakSign('¶'), { side: 1, key: 'end' }));
    return false;
  });
  return DecorationSet.create(state.doc, found);
}

/** Shows tabs, breaks, paragraph ends, doubled and trailing spaces, while that is wanted. */
export const shownSpaces = (): Plugin<boolean> =>
  new Plugin<boolean>({
    key,
    state: {
      init: () => false,
      apply: (tr, value) => (tr.getMeta(key) as boolean | undefined) ?? value,
    },
    props: { decorations: (state) => (key.getState(state) ? signsOf(state) : null) },
  });

/** Whether they are shown now. */
export const areSpacesShown = (state: EditorState): boolean => key.getState(state) ?? false;

/** Shows them, or stops. */
export function showSpaces(view: EditorView, shown: boolean): void {
  view.dispatch(view.state.tr.setMeta(key, shown).setMeta('addToHistory', false));
}
