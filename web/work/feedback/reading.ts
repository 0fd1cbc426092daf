import type { Node as ReadingNode } from '@tiptap/pm/model';
import { Plugin, PluginKey, EditorState, Selection, TextSelection, type Command } from '@tiptap/pm/state';
import { Decoration, DecorationSet, EditorView } from '@tiptap/pm/view';
import { keymap } from '@tiptap/pm/keymap';
import { baseKeymap } from '@tiptap/pm/commands';
import { comparePoints, type TextRange } from '#core/passage';
import { sentencesIn } from '#core/submission';
import { pagePicture, type DrawPage } from './pagePicture';
import { pointAt, positionsOf, type ReadingDocument } from './readingDocument';

/** A passage that something is said of, as it is marked in what is read. */
export interface MarkedPassage {
  id: string;
  on: TextRange;
  /** Whether it is a colleague's. */
  isOthers: boolean;
}

/** What hears of what a reader does. */
export interface ReadingHost {
  /** Words were typed or pasted: they are meant for a comment. */
  typed: (words: string) => void;
  /** A comment is begun without words: by Enter, or since an input method begins. */
  begin: () => void;
  /** Another place is selected. */
  selected: (range: TextRange) => void;
  /** The reader is here. */
  focused: () => void;
  /** A key before anything else; true where it was used. */
  key: (event: KeyboardEvent) => boolean;
  /** The comment on the words here is to go. */
  remove: () => void;
  undo: () => void;
  redo: () => void;
  /** BCP 47: by whose rules sentences are parted. */
  language: () => string;
  /** Draws a page that stands as itself. */
  drawPage: DrawPage;
}

/** A place where an entry would fit. */
export interface SignedPlace {
  on: TextRange;
  isCurrent: boolean;
}

interface Marked {
  passages: readonly MarkedPassage[];
  current: string | null;
}

/** A plugin that draws what it was told last, under its key. */
const drawing = <Told>(
  key: PluginKey<DecorationSet>,
  draw: (told: Told, doc: ReadingNode) => Decoration[],
): Plugin<DecorationSet> =>
  new Plugin<DecorationSet>({
    key,
    state: {
      init: () => DecorationSet.empty,
      apply: (tr, before) => {
        const told = tr.getMeta(key) as Told | undefined;
        return told ? DecorationSet.create(tr.doc, draw(told, tr.doc)) : before;
      },
    },
    props: { decorations: (state) => key.getState(state) },
  });

const MARKED = new PluginKey<DecorationSet>('marked');

/** Draws the passages that comments are on: the current one stronger. */
const marking = (reading: ReadingDocument) =>
  drawing<Marked>(MARKED, ({ passages, current }) =>
    passages.map(({ id, on, isOthers }) => {
      const { from, to } = positionsOf(reading, on);
      const look = `${isOthers ? ' is-others' : ''}${id === current ? ' is-current' : ''}`;
      return Decoration.inline(from, to, { class: `commented${look}`, 'data-passage': id });
    }),
  );

/** Marks passages in what is read, and which of them is the current one. */
export const mark = (view: EditorView, marked: Marked): void =>
  view.dispatch(view.state.tr.setMeta(MARKED, marked));

const SIGNED = new PluginKey<DecorationSet>('signed');

/** Points out where entries would fit: a tick in the gutter of the line, and its words once it is at hand. */
const signing = (reading: ReadingDocument) =>
  drawing<readonly SignedPlace[]>(SIGNED, (places, doc) => {
    const lines = new Set<number>();
    const all = places.map(({ on, isCurrent }) => {
      const { from, to } = positionsOf(reading, on);
      lines.add(doc.resolve(from).before());
      return Decoration.inline(from, to, { class: `signed${isCurrent ? ' is-current' : ''}` });
    });
    const ticks = [...lines].map((pos) =>
      Decoration.node(pos, pos + doc.nodeAt(pos)!.nodeSize, { class: 'has-sign' }),
    );
    return [...all, ...ticks];
  });

/** Points out where entries would fit. */
export const pointOut = (view: EditorView, places: readonly SignedPlace[]): void =>
  view.dispatch(view.state.tr.setMeta(SIGNED, places));

/** The stretch that is selected, in the terms of the submission. */
export function selectedRange(reading: ReadingDocument, { selection }: EditorState): TextRange {
  const [from, to] = [pointAt(reading, selection.from), pointAt(reading, selection.to)];
  return comparePoints(from, to) <= 0 ? { from, to } : { from: to, to: from };
}

/** Selects a stretch of the submission, and brings it into sight. */
export function selectRange(view: EditorView, reading: ReadingDocument, range: TextRange): void {
  const { from, to } = positionsOf(reading, range);
  const { tr } = view.state;
  view.dispatch(tr.setSelection(TextSelection.create(tr.doc, from, to)).scrollIntoView());
}

/** The starts of all sentences of a line, and its end: where one steps to. */
const stopsIn = (words: string, language: string): number[] => [
  ...sentencesIn(words, language).map(({ from }) => from),
  words.length,
];

const wordsOfLine = (state: EditorState, at: number): string => {
  const { parent } = state.doc.resolve(at);
  return parent.textBetween(0, parent.content.size, undefined, '\uFFFC');
};

/** How one steps: from sentence to sentence, or from line to line; with `isWider` what lies between is selected. */
interface Step {
  by: 'sentence' | 'line';
  direction: 1 | -1;
  isWider: boolean;
}

/** The next stop within the line of a position; undefined where there is none. */
function stopInLine(state: EditorState, head: number, { by, direction, isWider }: Step, language: string) {
  const $head = state.doc.resolve(head);
  // A line is stepped to by its beginning; with what lies between selected, forward by its end.
  const ofLine = isWider && direction === 1 ? [$head.parent.content.size] : [0];
  const stops = by === 'line' ? ofLine : stopsIn(wordsOfLine(state, head), language);
  const here = $head.parentOffset;
  const next = direction === 1 ? stops.find((stop) => stop > here) : stops.findLast((stop) => stop < here);
  return next === undefined ? undefined : $head.start() + next;
}

/** The first stop in the line before or behind; undefined where there is none. */
function stopInNextLine({ doc }: EditorState, head: number, { by, direction, isWider }: Step) {
  const $head = doc.resolve(head);
  const edge = doc.resolve(direction === 1 ? $head.after() : $head.before());
  const next = Selection.findFrom(edge, direction, true)?.$from;
  if (direction === 1) return by === 'line' && isWider ? next?.end() : next?.start();
  return by === 'line' ? next?.start() : next?.end();
}

const stepping =
  (step: Step, language: () => string): Command =>
  (state, dispatch) => {
    const { selection, doc, tr } = state;
    const { head } = selection;
    if (!doc.resolve(head).parent.isTextblock) return false;
    const pos = stopInLine(state, head, step, language()) ?? stopInNextLine(state, head, step);
    if (pos === undefined) return true;
    const at = doc.resolve(pos);
    dispatch?.(
      tr.setSelection(TextSelection.between(step.isWider ? selection.$anchor : at, at)).scrollIntoView(),
    );
    return true;
  };

const STEPS: readonly (readonly [string, Step])[] = (['sentence', 'line'] as const).flatMap((by) =>
  ([1, -1] as const).flatMap((direction) =>
    [false, true].map((isWider) => {
      const keys = `${by === 'line' ? 'Mod' : 'Alt'}-${isWider ? 'Shift-' : ''}Arrow${direction === 1 ? 'Down' : 'Up'}`;
      return [keys, { by, direction, isWider }] as const;
    }),
  ),
);

const walking = ({ language }: ReadingHost) =>
  keymap({
    ...Object.fromEntries(STEPS.map(([keys, step]) => [keys, stepping(step, language)])),
    'Mod-a': baseKeymap['Mod-a']!,
  });

/** Undo and redo are of what one writes, wherever the keys are; false for any other key. */
function hearUndo(host: ReadingHost, event: KeyboardEvent): boolean {
  const key = event.key.toLowerCase();
  if (!(event.ctrlKey || event.metaKey) || !['z', 'y'].includes(key)) return false;
  if (key === 'y' || event.shiftKey) host.redo();
  else host.undo();
  event.preventDefault();
  return true;
}

/** Keys that write nothing here: whatever would change what is read is for a comment, or for nothing. */
function hearKey(host: ReadingHost, event: KeyboardEvent): boolean {
  if (host.key(event)) return true;
  const isPlain = !event.ctrlKey && !event.metaKey && !event.altKey;
  // An input method begins: what it composes goes into a comment, which must have the keys before the first letter.
  if (event.isComposing || event.key === 'Process' || event.key === 'Dead') {
    host.begin();
    return false;
  }
  if (hearUndo(host, event)) return true;
  if (event.key === 'Enter' && isPlain) {
    host.begin();
    return true;
  }
  if (event.key !== 'Backspace' && event.key !== 'Delete') return false;
  if (event.key === 'Delete') host.remove();
  return true;
}

/**
 * Shows a submission to be read: with a caret that goes where keys and mouse put it, and nothing in it can be changed. What is typed is
 * told to the host.
 */
export function createReading(place: HTMLElement, reading: ReadingDocument, host: ReadingHost): EditorView {
  const state = EditorState.create({
    doc: reading.doc,
    plugins: [marking(reading), signing(reading), walking(host)],
  });
  const view = new EditorView(place, {
    state,
    nodeViews: {
      // Of other places what the schema says.
      page: ({ attrs }) => pagePicture(Number(attrs.name), host.drawPage),
    },
    attributes: {
      role: 'textbox',
      'aria-multiline': 'true',
      'aria-readonly': 'true',
      'aria-label': 'Submission',
      class: 'book reading',
      spellcheck: 'false',
    },
    dispatchTransaction: (tr) => {
      if (tr.docChanged) return;
      view.updateState(view.state.apply(tr));
      if (tr.selectionSet) host.selected(selectedRange(reading, view.state));
    },
    handleKeyDown: (_view, event) => hearKey(host, event),
    handleTextInput: (_view, _from, _to, words) => {
      host.typed(words);
      return true;
    },
    handlePaste: (_view, event) => {
      const words = event.clipboardData?.getData('text/plain').trim() ?? '';
      if (words !== '') host.typed(words);
      return true;
    },
    handleDrop: () => true,
    handleDOMEvents: {
      focus: () => {
        host.focused();
        return false;
      },
      // From a keyboard on glass, a spelling menu, a drag: nothing of it changes what is read.
      beforeinput: (_view, event) => {
        if (event.isComposing) return false;
        event.preventDefault();
        if (event.inputType === 'insertText' && event.data) host.typed(event.data);
        return true;
      },
      cut: (_view, event) => {
        event.preventDefault();
        return true;
      },
    },
  });
  return view;
}
