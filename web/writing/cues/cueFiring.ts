import { closeHistory, isHistoryTransaction, undo } from '@tiptap/pm/history';
import { Plugin, PluginKey, TextSelection, type EditorState, type Transaction } from '@tiptap/pm/state';
import type { EditorView } from '@tiptap/pm/view';
import { closerOf, typedCase, type Closer, type CueIndex, type CueMatch } from '#core/cue';
import type { Way } from '#core/savings';
import type { PlaceRequest } from '#core/fill';
import { isInWord } from '#core/passage';
import type { PatternMatch } from '#core/pattern';
import { placementRange, isCode, lineBefore, placeEntry } from '../../editor';
import { giveKeys } from '../surface/whereKeysGo';

/** What the leaf gives to cues: those in reach now, and what it takes to place an entry. */
export interface CueHost {
  cues: () => CueIndex | null;
  /** Told how many keys brought a placement, and in which way. */
  brought: (placement: string, entry: string, keys: number, way: Way) => void;
  /** Finds the pattern that a line ends with; null for none. */
  pattern: (line: string, closer: Closer) => PatternMatch | null;
  request: (
    entry: string,
    cue: string | null,
    view: { state: EditorState },
    groups?: PatternMatch['groups'],
  ) => PlaceRequest | null;
  /** Presses a key as the editor itself understands it, without cues. */
  press: (key: 'Enter') => void;
}

interface Firing {
  /** The placement a cue has just brought, until anything else happens. */
  just: { from: number; typed: string } | null;
  /** Typed characters that were given back and so do not fire again. */
  refused: { from: number; typed: string } | null;
}

type Meta = Pick<Firing, 'just'>;

const key = new PluginKey<Firing>('cueFiring');

/** Marks a change as bringing words for what was typed from `from` on: a step of its own, given back by one Backspace. */
export function broughtBy(tr: Transaction, from: number, typed: string): Transaction {
  return closeHistory(tr.setMeta(key, { just: { from, typed } } satisfies Meta));
}

/** Whether a change brought words for what was typed, or is about that. */
export const isBringing = (tr: Transaction): boolean => tr.getMeta(key) !== undefined;

function nextFiring(tr: Transaction, before: Firing, old: EditorState): Firing {
  const meta = tr.getMeta(key) as Meta | undefined;
  if (meta) return { just: meta.just, refused: null };
  if (before.just && isHistoryTransaction(tr)) {
    const { from, typed } = before.just;
    return { just: null, refused: { from, typed } };
  }
  const moved = tr.docChanged || !tr.selection.eq(old.selection);
  const refused = before.refused && tr.docChanged ? stillRefused(tr, before.refused) : before.refused;
  return { just: moved ? null : before.just, refused };
}

/** What was given back, where it stands now; null once it has been changed. */
function stillRefused(tr: Transaction, { from, typed }: { from: number; typed: string }): Firing['refused'] {
  const at = tr.mapping.map(from, 1);
  const end = Math.min(at + typed.length, tr.doc.content.size);
  return tr.doc.textBetween(at, end) === typed ? { from: at, typed } : null;
}

function isRefused(state: EditorState, from: number): boolean {
  return key.getState(state)?.refused?.from === from;
}

/** A cue found before the caret; of a pattern, with what its groups hold. */
type Match = CueMatch & Partial<Pick<PatternMatch, 'groups'>>;

/** Places what a cue brings over the stretch from its first character to the caret, as one step for undo. */
function fire(view: EditorView, host: CueHost, match: Match, from: number, kept: string): boolean {
  const request = host.request(match.cue.entry, match.typed, view, match.groups);
  if (!request) return false;
  const { state } = view;
  // A cue that may stand after anything and was typed behind a letter goes on with that word.
  const inWord = match.cue.rules.before === 'anything' && isInWord(lineBefore(state, from));
  const tr = placeEntry(state, from, state.selection.from, request, typedCase(match), inWord);
  const range = kept && placementRange(tr.doc, request.id);
  if (range) {
    const onBlank = !(tr.selection instanceof TextSelection);
    tr.insert(range.to, state.schema.text(kept));
    if (!onBlank) tr.setSelection(TextSelection.create(tr.doc, range.to + kept.length));
  }
  view.dispatch(broughtBy(tr, from, match.typed));
  // A closing key is pressed beyond the cue's own letters.
  const isClosed = match.cue.as === 'pattern' || match.cue.rules.fires === 'closing';
  host.brought(request.id, match.cue.entry, match.typed.length + (isClosed ? 1 : 0), 'cue');
  return true;
}

/** A character typed: fires a cue that it completes, or one that it closes. */
function typed(view: EditorView, host: CueHost, from: number, to: number, text: string): boolean {
  const cues = host.cues();
  if (!cues || view.composing || !view.editable || text.length !== 1 || isCode(view.state)) return false;
  const line = lineBefore(view.state, from);
  const closer = closerOf(text);
  const match: Match | null =
    cues.find(line + text) ?? (closer && (cues.find(line, closer) ?? host.pattern(line, closer)));
  if (!match) return false;
  const closed = match.cue.as === 'pattern' || match.cue.rules.fires === 'closing';
  const start = from - (closed ? match.typed.length : match.typed.length - 1);
  if (isRefused(view.state, start)) return false;
  // What was typed stands first, as a step of its own: undoing the placement gives back exactly that.
  view.dispatch(view.state.tr.insertText(text, from, to));
  return fire(view, host, match, start, closed && match.cue.rules.keepCloser ? text : '');
}

/** Enter or Tab: fires a cue that waits for it. */
function closed(view: EditorView, host: CueHost, closer: 'enter' | 'tab'): boolean {
  const { state } = view;
  const cues = host.cues();
  if (!cues || view.composing || !view.editable || !state.selection.empty || isCode(state)) return false;
  const line = lineBefore(state, state.selection.from);
  const match: Match | null = cues.find(line, closer) ?? host.pattern(line, closer);
  if (!match) return false;
  const start = state.selection.from - match.typed.length;
  if (isRefused(state, start)) return false;
  if (closer === 'tab') return fire(view, host, match, start, '');
  if (match.cue.rules.keepCloser) {
    if (!fire(view, host, match, start, '')) return false;
    if (view.state.selection instanceof TextSelection) host.press('Enter');
    return true;
  }
  host.press('Enter');
  return fire(view, host, match, start, '');
}

/** Right after a cue brought wording: gives back exactly what was typed. Returns whether there was anything. */
export function giveBack(view: EditorView): boolean {
  if (!key.getState(view.state)?.just) return false;
  const done = undo(view.state, view.dispatch);
  giveKeys(view);
  return done;
}

/** Brings wording when a cue is typed, by the cue's own rules. */
export function cueFiring(host: CueHost): Plugin<Firing> {
  let pressing = false;
  const once = (work: () => boolean) => {
    pressing = true;
    try {
      return work();
    } finally {
      pressing = false;
    }
  };
  return new Plugin<Firing>({
    key,
    state: {
      init: () => ({ just: null, refused: null }),
      apply: (tr, value, old) => nextFiring(tr, value, old),
    },
    props: {
      handleTextInput: (view, from, to, text) => typed(view, host, from, to, text),
      handleKeyDown: (view, event) => {
        if (pressing || event.ctrlKey || event.metaKey || event.altKey || event.shiftKey) return false;
        if (event.key === 'Backspace') return giveBack(view);
        if (event.key === 'Enter') return once(() => closed(view, host, 'enter'));
        return event.key === 'Tab' ? once(() => closed(view, host, 'tab')) : false;
      },
    },
  });
}
