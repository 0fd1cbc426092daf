import { Fragment, type Node as EditorNode } from '@tiptap/pm/model';
import { TextSelection, type EditorState, type Transaction } from '@tiptap/pm/state';
import { closeHistory } from '@tiptap/pm/history';
import type { Block, TurnAttrs } from '#core/passage';
import { writtenTime, type Transcript } from '#core/transcript';
import { setTranscript, transcriptOf } from './placements';

/** A turn as it stands in a document. */
export interface TurnAt {
  pos: number;
  node: EditorNode;
  attrs: TurnAttrs;
}

/** Of each text that was looked at, so that moving in it costs nothing. */
const known = new WeakMap<EditorNode, readonly TurnAt[]>();

/** The turns of a document, in their order. */
export function turnsIn(doc: EditorNode): readonly TurnAt[] {
  let turns = known.get(doc);
  if (!turns) {
    const found: TurnAt[] = [];
    doc.forEach((node, pos) => {
      if (node.type.name === 'turn') found.push({ pos, node, attrs: node.attrs as TurnAttrs });
    });
    known.set(doc, (turns = found));
  }
  return turns;
}

/** Of turns, the last that begins at a position or before it; -1 for none. */
function indexAt(turns: readonly TurnAt[], pos: number): number {
  let [low, high] = [0, turns.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (turns[middle]!.pos < pos) low = middle + 1;
    else high = middle;
  }
  return low - 1;
}

/** The turn that a position, or else the caret, is in: the last that begins before it. */
export const turnAt = ({ doc, selection }: EditorState, pos = selection.from): TurnAt | null =>
  turnsIn(doc)[indexAt(turnsIn(doc), pos)] ?? null;

/** The time, where a turn that begins at a position can have it: not before what stands before it, nor after what follows. */
function fitting(doc: EditorNode, pos: number, now: number | null): number | null {
  if (now === null) return null;
  const turns = turnsIn(doc);
  const at = indexAt(turns, pos);
  const before = turns.slice(0, at + 1).findLast(({ attrs }) => attrs.at !== null)?.attrs.at ?? 0;
  const after = turns.slice(at + 1).find(({ attrs }) => attrs.at !== null)?.attrs.at ?? Infinity;
  return now >= before && now <= after ? now : null;
}

/** When the words behind a position begin to be heard, where that is known of them; null where it is not. */
function heardFrom(node: EditorNode | null): number | null {
  const mark = node?.marks.find(({ type }) => type.name === 'heard');
  return (mark?.attrs.at as number | undefined) ?? null;
}

const caretAt = (tr: Transaction, pos: number): Transaction =>
  closeHistory(tr).setSelection(TextSelection.create(tr.doc, pos)).scrollIntoView();

/** The line at the caret made a turn of a speaker; a turn with words keeps its time. */
function lineAsTurn(state: EditorState, speaker: string, now: number | null): Transaction {
  const { $from } = state.selection;
  const turn = state.schema.nodes.turn!;
  const { parent } = $from;
  const own = parent.type === turn && parent.content.size > 0 ? (parent.attrs as TurnAttrs).at : null;
  const at = own ?? fitting(state.doc, $from.before(), heardFrom($from.nodeAfter) ?? now);
  return caretAt(state.tr.setNodeMarkup($from.before(), turn, { speaker, at }), $from.pos);
}

/** A turn that takes the words behind the caret. */
function turnWithin({ doc, tr, schema, selection }: EditorState, speaker: string, now: number | null) {
  const { $from } = selection;
  const at = fitting(doc, $from.pos, heardFrom($from.nodeAfter) ?? now);
  // The space that parted the two neither ends the one nor begins the other.
  const before = / *$/.exec($from.nodeBefore?.text ?? '')![0].length;
  const behind = /^ */.exec($from.nodeAfter?.text ?? '')![0].length;
  const pos = $from.pos - before;
  tr.delete(pos, $from.pos + behind).split(pos, 1, [{ type: schema.nodes.turn!, attrs: { speaker, at } }]);
  return caretAt(tr, pos + 2);
}

/** A turn without words behind the block at the caret. */
function turnBehind({ doc, tr, schema, selection }: EditorState, speaker: string, now: number | null) {
  const behind = selection.$from.after(1);
  const attrs = { speaker, at: fitting(doc, behind, now) };
  return caretAt(tr.insert(behind, schema.nodes.turn!.create(attrs)), behind + 1);
}

/**
 * A transaction that begins a turn at the caret: an empty paragraph becomes one, behind words a new one follows, within words it takes
 * those behind the caret. At the very beginning of a turn that turn is given to the speaker. Null where no turn can be: in a box.
 *
 * @param speaker - The speaker's id in the cast.
 * @param now - Where the recording is, in milliseconds; null where there is none.
 */
export function beginTurn(state: EditorState, speaker: string, now: number | null): Transaction | null {
  const { $from } = state.selection;
  if ($from.depth === 0 || $from.node(1).type.name === 'box') return null;
  const isPlainLine = $from.depth === 1 && ['paragraph', 'turn'].includes($from.parent.type.name);
  if (isPlainLine && $from.parentOffset === 0) return lineAsTurn(state, speaker, now);
  const isEnd = !isPlainLine || $from.parentOffset === $from.parent.content.size;
  return (isEnd ? turnBehind : turnWithin)(state, speaker, now);
}

/** A transaction that makes the caret's paragraph a turn without words: what stands on it named the speaker. */
export function turnOfLine(state: EditorState, speaker: string, now: number | null): Transaction {
  const { doc, tr, schema } = state;
  const { $from } = state.selection;
  const start = $from.before(1);
  tr.delete($from.start(1), $from.end(1));
  const attrs = { speaker, at: fitting(doc, start, now) };
  return caretAt(tr.setNodeMarkup(start, schema.nodes.turn, attrs), start + 1);
}

/** A transaction that gives the turn at the caret to another speaker; null where there is none. */
export function castTurn(state: EditorState, speaker: string): Transaction | null {
  const turn = turnAt(state);
  if (!turn) return null;
  return closeHistory(state.tr.setNodeAttribute(turn.pos, 'speaker', speaker));
}

/** The words of a line with the time at which its turn began, so that it is not forgotten. */
function keepingTime({ node, attrs }: TurnAt): Fragment {
  const first = node.firstChild;
  const mark = node.type.schema.marks.heard;
  if (!first || attrs.at === null || !mark || heardFrom(first) !== null) return node.content;
  return node.content.replaceChild(0, first.mark(mark.create({ at: attrs.at }).addToSet(first.marks)));
}

/**
 * A transaction that joins the turn at the caret to what stands before it: its words go on in the last paragraph there, parted by a
 * space. Null where the caret is in no turn. A first turn becomes a paragraph.
 */
export function joinTurn(state: EditorState): Transaction | null {
  const turn = turnAt(state);
  if (!turn) return null;
  const { tr, schema, doc } = state;
  const before = doc.resolve(turn.pos).nodeBefore;
  const end = turn.pos + turn.node.nodeSize;
  const words = keepingTime(turn);
  if (!before || (before.type.name !== 'turn' && before.type.name !== 'paragraph')) {
    const paragraph = schema.nodes.paragraph!.create(null, words);
    return caretAt(tr.replaceWith(turn.pos, end, paragraph), turn.pos + 1);
  }
  const needsSpace = before.content.size > 0 && words.size > 0 && !/\s$/.test(before.textContent);
  const joined = needsSpace ? Fragment.from(schema.text(' ')).append(words) : words;
  // Within one step, so that nothing in between is ever drawn.
  tr.delete(turn.pos, end).insert(turn.pos - 1, joined);
  return caretAt(tr, turn.pos - 1 + (needsSpace ? 1 : 0));
}

/** A transaction that puts turns behind all that is there; in place of it where nothing is. */
export function addTurns(state: EditorState, turns: readonly Block[], transcript: Transcript): Transaction {
  const { doc, schema, tr } = state;
  const nodes = Fragment.fromJSON(schema, turns);
  const isBare = doc.childCount === 1 && doc.firstChild!.isTextblock && doc.firstChild!.content.size === 0;
  const from = isBare ? 0 : doc.content.size;
  tr.replaceWith(from, doc.content.size, nodes);
  return caretAt(setTranscript(tr, transcript), tr.doc.content.size - 1);
}

/** A transaction that makes two speakers of the cast one: all turns of the first are the second's. */
export function mergeSpeakers(state: EditorState, from: string, into: string): Transaction {
  const { tr, doc } = state;
  for (const { pos, attrs } of turnsIn(doc))
    if (attrs.speaker === from) tr.setNodeAttribute(pos, 'speaker', into);
  const transcript = transcriptOf(doc);
  return closeHistory(
    setTranscript(tr, { ...transcript, cast: transcript.cast.filter(({ id }) => id !== from) }),
  );
}

/** A transaction after which a transcript carries something else; times in the text are written as it says. */
export function writeTimes(state: EditorState, transcript: Transcript): Transaction {
  const { tr, doc } = state;
  const before = transcriptOf(doc).times;
  const { times } = transcript;
  if (before.form !== times.form || before.rate !== times.rate)
    doc.descendants((node, pos) => {
      if (node.type.name === 'timeCode' && node.attrs.at !== null)
        tr.setNodeAttribute(pos, 'text', writtenTime(node.attrs.at as number, times));
    });
  return closeHistory(setTranscript(tr, transcript));
}
