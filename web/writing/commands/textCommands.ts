import { Plugin, PluginKey, TextSelection, type EditorState, type Transaction } from '@tiptap/pm/state';
import { Decoration, DecorationSet, type EditorView } from '@tiptap/pm/view';
import { Slice, type Node as EditorNode } from '@tiptap/pm/model';
import {
  commandInWords,
  pairIn,
  readCommand,
  touched,
  wordStarts,
  type TextPlace,
  type TextCommand,
  type Verb,
} from '#core/command';
import { OFFER_KEYS } from '#core/glossary';
import { isCode, lineBefore } from '../../editor';
import { broughtBy } from '../cues/cueFiring';

interface CommandState {
  leadIn: () => string;
  calledOff: number | null;
}
const key = new PluginKey<CommandState>('textCommands');

/** A command that stands before the caret, ready to be closed. */
interface Ready {
  command: TextCommand;
  /** Where its letters begin, and the caret behind them. */
  start: number;
  end: number;
  /** What it touches, as places in the document as it stands. Null where there is nothing of the kind. */
  range: { from: number; to: number } | null;
}

/** The command at the caret as it is told: what it does, and the words it touches. */
export interface CommandTold {
  does: string;
  words: string | null;
}

/** What was copied or cut last by a command: the page may not read the clipboard unasked. */
let copied: Slice = Slice.empty;

interface Line {
  node: EditorNode;
  /** Where its text begins. */
  start: number;
}

function linesOf(state: EditorState): Line[] {
  const lines: Line[] = [];
  state.doc.descendants((node, pos) => {
    if (node.isTextblock) lines.push({ node, start: pos + 1 });
    return !node.isTextblock;
  });
  return lines;
}

/** A character for each step of the document, so that places in the text are places in the document. */
const charactersOf = (node: EditorNode, from: number, to: number) =>
  node.textBetween(from, to, undefined, (leaf) => (leaf.type.name === 'hardBreak' ? '\n' : '\uFFFC'));
const textOf = (node: EditorNode) => charactersOf(node, 0, node.content.size);

function readyAt(state: EditorState): Ready | null {
  const own = key.getState(state);
  if (!(state.selection instanceof TextSelection) || !state.selection.empty || isCode(state)) return null;
  const end = state.selection.from;
  const command = readCommand(lineBefore(state, end), own?.leadIn() ?? '');
  if (!command) return null;
  const start = end - command.length;
  if (own?.calledOff === start) return null;
  const lines = linesOf(state);
  const block = lines.findIndex(
    (line) => line.start <= start && start <= line.start + line.node.content.size,
  );
  // The text as it is without the command's own letters.
  const begins = lines[block]!.start;
  const blocks = lines.map(({ node }, at) => {
    const text = textOf(node);
    return at === block ? text.slice(0, start - begins) + text.slice(end - begins) : text;
  });
  const stretch = touched(blocks, { block, offset: start - begins }, command);
  const at = ({ block: of, offset }: TextPlace) => {
    const pos = lines[of]!.start + offset;
    return of === block && pos > start ? pos + command.length : pos;
  };
  return { command, start, end, range: stretch && { from: at(stretch.from), to: at(stretch.to) } };
}

/** The command at the caret, in words; null when there is none. */
export function commandTold(state: EditorState): CommandTold | null {
  const ready = readyAt(state);
  if (!ready) return null;
  const { command, range } = ready;
  if (!range) return { does: commandInWords(command), words: null };
  const words = state.doc.textBetween(range.from, range.to, ' … ', '').trim();
  return { does: commandInWords(command), words };
}

function capitalise(tr: Transaction, from: number, to: number): void {
  tr.doc.nodesBetween(from, to, (node, pos) => {
    if (!node.isTextblock) return true;
    for (const start of wordStarts(textOf(node))) {
      const at = pos + 1 + start;
      const letter = tr.doc.textBetween(at, at + 1);
      const capital = letter.toLocaleUpperCase();
      // A letter whose capital is two letters (ß) stays: the places that follow would move.
      if (at < from || at >= to || capital.length !== 1) continue;
      tr.insertText(capital, at, at + 1);
    }
    return false;
  });
}

/** Two neighbours before the caret: swapped, or joined into one. */
function neighbours(tr: Transaction, { command: { verb, unit } }: Ready, from: number, to: number): void {
  if (unit === 'paragraph') {
    const $to = tr.doc.resolve(to);
    if (verb === 'join') tr.join($to.before($to.depth));
    return;
  }
  const pair = pairIn(charactersOf(tr.doc, from, to), unit);
  if (!pair) return;
  const { first, second } = pair;
  if (verb === 'join') {
    tr.delete(from + first.to, from + second.from);
    return;
  }
  // As slices, so that blanks and marks go along. The second is changed first: the place of the other stays.
  const slice = (span: typeof first) => tr.doc.slice(from + span.from, from + span.to);
  const [one, other] = [slice(first), slice(second)];
  tr.replace(from + second.from, from + second.to, one);
  tr.replace(from + first.from, from + first.to, other);
}

type Work = (tr: Transaction, at: Ready & { from: number; to: number }) => void;

const select = (tr: Transaction, from: number, to = from) =>
  void tr.setSelection(TextSelection.create(tr.doc, from, to));
const remove: Work = (tr, { from, to }) => void tr.delete(from, to);
const pair: Work = (tr, at) => neighbours(tr, at, at.from, at.to);

/** What each verb does with what it touches. */
const WORK: Record<Verb, Work> = {
  go: (tr, { from, to, start }) => select(tr, from < start ? from : to),
  mark: (tr, { from, to }) => select(tr, from, to),
  copy: () => undefined,
  cut: remove,
  erase: remove,
  paste: (tr) => void tr.replaceSelection(copied),
  capital: (tr, { from, to }) => capitalise(tr, from, to),
  swap: pair,
  join: pair,
};

function run(view: EditorView, ready: Ready): void {
  const { command, start, end } = ready;
  const tr = view.state.tr.delete(start, end);
  const from = tr.mapping.map(ready.range?.from ?? start, -1);
  const to = tr.mapping.map(ready.range?.to ?? start, -1);
  const slice = tr.doc.slice(from, to);
  if (command.verb === 'copy' || command.verb === 'cut') {
    copied = slice;
    // Beside the page's own memory, where it may: what was copied can be pasted elsewhere too.
    void navigator.clipboard?.writeText(tr.doc.textBetween(from, to, '\n')).catch(() => undefined);
  }
  WORK[command.verb](tr, { ...ready, from, to });
  view.dispatch(broughtBy(tr.scrollIntoView(), start, ''));
}

/** Runs the command at the caret; false when there is none, or nothing it could touch. */
function close(view: EditorView, ran: (does: string) => void): boolean {
  const ready = view.editable && !view.composing ? readyAt(view.state) : null;
  if (!ready?.range) return false;
  run(view, ready);
  ran(commandInWords(ready.command));
  return true;
}

/** The place of a command that Escape has called off: it is text from then on, until it is deleted. */
function calledOff(tr: Transaction, before: number | null): number | null {
  const meta = tr.getMeta(key) as { calledOff: number } | undefined;
  if (meta) return meta.calledOff;
  if (before === null) return null;
  const now = tr.mapping.mapResult(before, -1);
  return now.deletedAfter ? null : now.pos;
}

/** What text commands need: what they begin with ('' while they are off), and who hears what was done. */
export interface CommandHost {
  commandLeadIn: () => string;
  ran: (does: string) => void;
}

/** Text commands typed at the caret: shown with what they would touch, run by Space, Enter or the first offer's key. */
export const textCommands = (host: CommandHost): Plugin<CommandState> =>
  new Plugin<CommandState>({
    key,
    state: {
      init: () => ({ leadIn: host.commandLeadIn, calledOff: null }),
      apply: (tr, value) => ({ ...value, calledOff: calledOff(tr, value.calledOff) }),
    },
    props: {
      decorations: (state) => {
        const ready = readyAt(state);
        if (!ready?.range || ready.range.from === ready.range.to) return null;
        const { from, to } = ready.range;
        return DecorationSet.create(state.doc, [
          Decoration.inline(from, to, { class: 'to-touch' }),
          Decoration.inline(ready.start, ready.end, { class: 'command' }),
        ]);
      },
      handleTextInput: (view, _from, _to, text) => text === ' ' && close(view, host.ran),
      handleKeyDown: (view, event) => {
        const ready = event.key === 'Escape' && readyAt(view.state);
        if (ready) {
          view.dispatch(view.state.tr.setMeta(key, { calledOff: ready.start }));
          return true;
        }
        const isFirst = event.altKey && event.code === OFFER_KEYS[0] && !event.getModifierState('AltGraph');
        const isEnter = event.key === 'Enter' && !event.ctrlKey && !event.metaKey && !event.shiftKey;
        return (isFirst || isEnter) && close(view, host.ran);
      },
    },
  });
