import type { Node as EditorNode } from '@tiptap/pm/model';
import { Plugin, type EditorState, type Transaction } from '@tiptap/pm/state';
import { writtenTime } from '#core/transcript';
import { transcriptOf } from './placements';
import { specialsIn, type SpecialAt } from './specials';

/** A time that stands in the text. */
export interface TimeAt {
  pos: number;
  /** In milliseconds. */
  at: number;
  /** Whether it is that of something that cannot be made out. */
  unclear: boolean;
}

const codesIn = (doc: EditorNode): SpecialAt[] =>
  specialsIn(doc).filter(({ node }) => node.type.name === 'timeCode');

/** Of each text that was looked at, so that moving in it costs nothing. */
const known = new WeakMap<EditorNode, readonly TimeAt[]>();

const readTimes = (doc: EditorNode): TimeAt[] =>
  codesIn(doc).flatMap(({ pos, node }) =>
    node.attrs.at === null
      ? []
      : [{ pos, at: node.attrs.at as number, unclear: node.attrs.unclear as boolean }],
  );

/** The times put into the text, in its order. */
export function timesIn(doc: EditorNode): readonly TimeAt[] {
  const times = known.get(doc) ?? readTimes(doc);
  known.set(doc, times);
  return times;
}

/** A transaction that puts a time at the caret, in place of what is selected. */
export function putTime(state: EditorState, at: number): Transaction {
  const text = writtenTime(at, transcriptOf(state.doc).times);
  const node = state.schema.nodes.timeCode!.create({ at, text });
  return state.tr.replaceSelectionWith(node, true).scrollIntoView();
}

/** Whether a change brings a time code with it. */
const bringsCode = ({ steps }: Transaction): boolean =>
  steps.some((step) => {
    let isFound = false;
    const { slice } = step as { slice?: { content: EditorNode['content'] } };
    slice?.content.descendants((node) => {
      isFound ||= node.type.name === 'timeCode';
      return !isFound;
    });
    return isFound;
  });

/** Sets times that came without one: to now, or, where there is no recording, takes them out with the space before them. */
function timesSet(state: EditorState, now: number | null): Transaction | null {
  const { tr, doc } = state;
  const { times } = transcriptOf(doc);
  for (const { pos, node } of codesIn(doc).reverse()) {
    if (node.attrs.at !== null) continue;
    if (now !== null)
      tr.setNodeMarkup(pos, null, { ...node.attrs, at: now, text: writtenTime(now, times) }, node.marks);
    else {
      const before = doc.resolve(pos).nodeBefore;
      tr.delete(before?.isText && before.text!.endsWith(' ') ? pos - 1 : pos, pos + 1);
    }
  }
  return tr.docChanged ? tr : null;
}

/** Gives a time code that is placed the time at which it is, as a part of the same step of history. */
export const settingTimes = (now: () => number | null): Plugin =>
  new Plugin({
    appendTransaction: (transactions, _old, state) =>
      transactions.some(bringsCode) ? timesSet(state, now()) : null,
  });
