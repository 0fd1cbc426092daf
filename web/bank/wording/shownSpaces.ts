import { Plugin, PluginKey, type EditorState } from '@tiptap/pm/state';
import { Decoration, DecorationSet, type EditorView } from '@tiptap/pm/view';

const key = new PluginKey<boolean>('shownSpaces');

/** Signs for what cannot be seen: tabs, spaces that do not break, spaces doubled or at an end. */
const UNSEEN = /\t|\u00a0|\u202f| {2,}|^ +| +$/g;
const SIGNS: Record<string, string> = { '\t': '→', '\u00a0': '⍽', '\u202f': '⍽', ' ': '·' };

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
    block.forEach((node, offset, index) => {
      const pos = start + 1 + offset;
      if (node.type.name === 'hardBreak')
        found.push(Decoration.widget(pos, () => breakSign('↵'), { side: -1, key: 'break' }));
      for (const match of (node.text ?? '').matchAll(UNSEEN)) {
        // A single space at a run's edge is seen between words; at the paragraph's edge it is not.
        const atEdge =
          (match.index === 0 && index === 0) ||
          (match.index + match[0].length === node.text!.length && index === block.childCount - 1);
        if (match[0] === ' ' && !atEdge) continue;
        for (let at = 0; at < match[0].length; at += 1) {
          const from = pos + match.index + at;
          const sign = SIGNS[match[0][at]!] ?? '·';
          found.push(Decoration.inline(from, from + 1, { class: 'shown-space', 'data-sign': sign }));
        }
      }
    });
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
