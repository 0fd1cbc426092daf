import type { Node as EditorNode } from '@tiptap/pm/model';
import { Plugin, PluginKey } from '@tiptap/pm/state';
import { Decoration, DecorationSet, type EditorView } from '@tiptap/pm/view';
import { turnsIn } from './turns';

interface Heard {
  from: number;
  to: number;
  /** The turn around it, by its position. */
  turn: number;
}

const key = new PluginKey<Heard | null>('heardNow');

/** What is heard at a time: the last turn that has begun, and of its words those whose time is nearest. */
function heardAt(doc: EditorNode, at: number): Heard | null {
  const turns = turnsIn(doc);
  const index = turns.findLastIndex(({ attrs }) => attrs.at !== null && attrs.at <= at);
  const turn = turns[index];
  if (!turn) return null;
  const end = turns[index + 1]?.pos ?? doc.content.size;
  let stretch = { from: turn.pos, to: turn.pos, at: -1 };
  doc.nodesBetween(turn.pos, end, (node, pos) => {
    const mark = node.marks.find(({ type }) => type.name === 'heard');
    const begins = mark ? (mark.attrs.at as number) : null;
    if (begins === null || begins > at || begins < stretch.at) return;
    // Words of one time may be several nodes, by their other marks.
    stretch = { from: begins === stretch.at ? stretch.from : pos, to: pos + node.nodeSize, at: begins };
  });
  return { from: stretch.from, to: stretch.to, turn: turn.pos };
}

const isSame = (a: Heard | null, b: Heard | null) =>
  a === b || (a !== null && b !== null && a.from === b.from && a.to === b.to && a.turn === b.turn);

/** Shows what of the text is heard at a time, in milliseconds; null for nothing. */
export function showHeard(view: EditorView, at: number | null): void {
  const heard = at === null ? null : heardAt(view.state.doc, at);
  if (isSame(heard, key.getState(view.state) ?? null)) return;
  view.dispatch(view.state.tr.setMeta(key, { heard }).setMeta('addToHistory', false));
}

/** Marks the turn, and the words within it, that are heard now. */
export const heardNow = (): Plugin<Heard | null> =>
  new Plugin<Heard | null>({
    key,
    state: {
      init: () => null,
      apply: (tr, heard) => {
        const told = tr.getMeta(key) as { heard: Heard | null } | undefined;
        if (told) return told.heard;
        if (!heard || !tr.docChanged) return heard;
        const { mapping } = tr;
        return { from: mapping.map(heard.from), to: mapping.map(heard.to), turn: mapping.map(heard.turn) };
      },
    },
    props: {
      decorations: (state) => {
        const heard = key.getState(state);
        const turn = heard && state.doc.nodeAt(heard.turn);
        if (!turn || turn.type.name !== 'turn') return null;
        return DecorationSet.create(state.doc, [
          Decoration.node(heard.turn, heard.turn + turn.nodeSize, { class: 'is-heard' }),
          ...(heard.to > heard.from ? [Decoration.inline(heard.from, heard.to, { class: 'is-heard' })] : []),
        ]);
      },
    },
  });
