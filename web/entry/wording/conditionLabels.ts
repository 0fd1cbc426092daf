import { TextSelection } from '@tiptap/pm/state';
import { Plugin, PluginKey, type EditorState } from '@tiptap/pm/state';
import { Decoration, DecorationSet, type EditorView } from '@tiptap/pm/view';
import { conditionsAt, conditionsOf } from './optionalPassages';

/** What a label says of a condition. */
export type LabelOf = (condition: string) => string;

const key = new PluginKey<LabelOf>('conditionLabels');

function label(view: EditorView, words: string, isHere: boolean, pos: number): HTMLElement {
  const dom = document.createElement('span');
  dom.className = isHere ? 'when-label is-here' : 'when-label';
  dom.textContent = words;
  dom.contentEditable = 'false';
  dom.addEventListener('mousedown', (event) => {
    event.preventDefault();
    // One step in, so that the caret stands in the passage and not before it.
    const inside = Math.min(pos + 1, view.state.doc.content.size);
    view.dispatch(view.state.tr.setSelection(TextSelection.near(view.state.doc.resolve(inside))));
    view.focus();
  });
  return dom;
}

/** A label before every optional passage; where it stands inside another, before the inner one too. */
function labelsOf(state: EditorState, labelOf: LabelOf): DecorationSet {
  const here = new Set(conditionsAt(state));
  const found: Decoration[] = [];
  state.doc.descendants((block, start) => {
    if (!block.isTextblock) return true;
    let before: string[] = [];
    block.forEach((node, offset) => {
      const conditions = conditionsOf(node.marks);
      const pos = start + 1 + offset;
      for (const condition of conditions.filter((one) => !before.includes(one))) {
        const words = labelOf(condition);
        const isHere = here.has(condition);
        found.push(
          Decoration.widget(pos, (view) => label(view, words, isHere, pos), {
            side: -1,
            key: `${condition} ${words} ${isHere}`,
            marks: [],
          }),
        );
      }
      before = conditions;
    });
    return false;
  });
  return DecorationSet.create(state.doc, found);
}

/** Tells the condition of each optional passage in small letters before it. */
export const conditionLabels = (): Plugin<LabelOf> =>
  new Plugin<LabelOf>({
    key,
    state: {
      init: () => (condition) => condition,
      apply: (tr, value) => (tr.getMeta(key) as LabelOf | undefined) ?? value,
    },
    props: { decorations: (state) => labelsOf(state, key.getState(state)!) },
  });

/** Gives the labels other words, as when a field is renamed. */
export function tellConditions(view: EditorView, labelOf: LabelOf): void {
  view.dispatch(view.state.tr.setMeta(key, labelOf).setMeta('addToHistory', false));
}
