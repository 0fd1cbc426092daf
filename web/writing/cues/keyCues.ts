import { Plugin, PluginKey, type EditorState } from '@tiptap/pm/state';
import type { EditorView } from '@tiptap/pm/view';
import { keysOf, type ResolvedCue } from '#core/cue';
import type { Way } from '#core/savings';
import type { PlaceRequest } from '#core/fill';
import { placeEntry } from '../../editor';
import { stepTo } from '../surface/blankKeys';
import { broughtBy } from './cueFiring';

/** What the leaf gives to key cues. */
export interface KeyCueHost {
  /** The key cues in reach; of two alike the first wins. */
  keys: () => readonly ResolvedCue[];
  request: (entry: string, cue: string | null, view: { state: EditorState }) => PlaceRequest | null;
  /** Told how many keys brought a placement, and in which way. */
  brought: (placement: string, entry: string, keys: number, way: Way) => void;
}

/** A key that begins key cues was pressed: which letters bring what. */
export interface Begun {
  keys: string;
  letters: { letter: string; entry: string }[];
}

const key = new PluginKey<Begun | null>('keyCues');

/** The key cues that the key pressed last begins; null when none was. */
export const begunAt = (state: EditorState): Begun | null => key.getState(state) ?? null;

function bring(view: EditorView, host: KeyCueHost, entry: string, keys: string): boolean {
  const { from, to } = view.state.selection;
  const request = host.request(entry, keys, view);
  if (!request) return false;
  const over = view.state.doc.textBetween(from, to);
  stepTo(view, broughtBy(placeEntry(view.state, from, to, request), from, over));
  // Each of "Alt+Shift+H" is a key pressed, and so is a letter after them.
  host.brought(request.id, entry, keys.split(/[+ ]/).length, 'keys');
  return true;
}

const begin = (view: EditorView, begun: Begun | null) => view.dispatch(view.state.tr.setMeta(key, { begun }));

function pressed(view: EditorView, host: KeyCueHost, event: KeyboardEvent): boolean {
  if (!view.editable || event.isComposing || ['Alt', 'Control', 'Shift', 'Meta'].includes(event.key))
    return false;
  const begun = begunAt(view.state);
  if (begun) {
    begin(view, null);
    const letter = /^(?:Key|Digit)(.)$/.exec(event.code)?.[1]?.toLowerCase();
    const found = begun.letters.find((one) => one.letter === letter);
    if (found) return bring(view, host, found.entry, `${begun.keys} ${found.letter}`);
    // Escape leaves the list; any other key means what it always does.
    return event.key === 'Escape';
  }
  if (event.metaKey || event.getModifierState('AltGraph')) return false;
  const keys = keysOf(event);
  if (!keys) return false;
  const cues = host.keys();
  const whole = cues.find(({ typed }) => typed === keys);
  if (whole) return bring(view, host, whole.entry, keys);
  const letters = cues.flatMap(({ typed, entry }) =>
    typed.startsWith(`${keys} `) ? [{ letter: typed.slice(-1), entry }] : [],
  );
  if (letters.length === 0) return false;
  const first = letters.filter(({ letter }, at) => letters.findIndex((one) => one.letter === letter) === at);
  begin(view, { keys, letters: first.sort((a, b) => (a.letter < b.letter ? -1 : 1)) });
  return true;
}

/** Brings an entry by keys: a combination, or one key and then a letter, while what the letters bring is shown. */
export const keyCues = (host: KeyCueHost): Plugin<Begun | null> =>
  new Plugin<Begun | null>({
    key,
    state: {
      init: () => null,
      apply: (tr, value) => {
        const meta = tr.getMeta(key) as { begun: Begun | null } | undefined;
        if (meta) return meta.begun;
        return tr.docChanged || tr.selectionSet ? null : value;
      },
    },
    props: {
      handleKeyDown: (view, event) => {
        const used = pressed(view, host, event);
        if (used) event.preventDefault();
        return used;
      },
    },
  });
