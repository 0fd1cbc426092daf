import { getSchema } from '@tiptap/core';
import type { Node as EditorNode } from '@tiptap/pm/model';
import { EditorState, TextSelection, type Plugin, type Transaction } from '@tiptap/pm/state';
import type { EditorView } from '@tiptap/pm/view';
import type { Placements } from '#core/draft';
import { newEntry, type EntryContent, type Field } from '#core/entry';
import type { PlaceRequest } from '#core/fill';
import type { Passage } from '#core/passage';
import { emptyRecord } from '#core/record';
import { BlankNode, passageExtensions, toEditor } from '../editor';

/** The editor of a leaf without a page: its schema, its states, and a view that only takes changes. */

export const leafSchema = getSchema([...passageExtensions('draft'), BlankNode]);

/** A passage as the editor's document, with what it carries. */
export const leafDoc = (passage: Passage, placements: Placements = {}): EditorNode =>
  leafSchema.nodeFromJSON(toEditor({ ...passage, attrs: { placements } }));

/** Lines of plain words as a leaf; the caret where the first | stands. */
export function leafOf(lines: readonly string[], plugins: Plugin[] = []): EditorState {
  const content = lines.map((line) => ({
    type: 'paragraph' as const,
    ...(line.replace('|', '') !== '' && {
      content: [{ type: 'text' as const, text: line.replace('|', '') }],
    }),
  }));
  const state = EditorState.create({ doc: leafDoc({ type: 'doc', content }), plugins });
  const line = lines.findIndex((one) => one.includes('|'));
  if (line < 0) return state;
  const before = content
    .slice(0, line)
    .reduce((sum, one) => sum + (one.content?.[0]?.text.length ?? 0) + 2, 0);
  const at = before + 1 + lines[line]!.indexOf('|');
  return state.apply(state.tr.setSelection(TextSelection.create(state.doc, at)));
}

/** What a reader sees, line by line; what is still to be answered in brackets. */
export const readOf = ({ doc }: EditorState): string =>
  doc.textBetween(0, doc.content.size, '\n', ({ type, attrs }) =>
    type.name === 'blank' && attrs.state === 'gap' ? `[${attrs.field}]` : String(attrs.text ?? ''),
  );

/** A view as plugins need it: it holds a state and takes changes to it. */
export interface BareView {
  view: EditorView;
  state: () => EditorState;
  /** Types letters as a person does: each is given to the plugins first. */
  type: (text: string) => void;
  /** Presses a key without modifiers; whether a plugin took it. */
  press: (key: string) => boolean;
}

/** A view without a page, for plugins that answer what is typed and pressed. */
export function bareView(begun: EditorState): BareView {
  let state = begun;
  const bare = {
    get state() {
      return state;
    },
    editable: true,
    composing: false,
    focus: () => undefined,
    isDestroyed: false,
    // Without a page no blank has a line to type on.
    dom: { querySelector: () => null },
    someProp: <T>(name: string, use: (prop: never) => T) =>
      state.plugins
        .map((plugin) => plugin.props[name as keyof typeof plugin.props])
        .flatMap((prop) => (prop ? [use(prop as never)] : []))
        .find(Boolean),
    dispatch: (tr: Transaction) => {
      state = state.apply(tr);
    },
  };
  const view = bare as unknown as EditorView;
  const dispatch = bare.dispatch;
  const taken = (ask: (plugin: Plugin) => boolean | void | undefined) =>
    state.plugins.some((plugin) => ask(plugin));
  const event = (key: string) =>
    ({ key, code: '', ctrlKey: false, metaKey: false, altKey: false, shiftKey: false }) as KeyboardEvent;
  return {
    view,
    state: () => state,
    type: (text) => {
      for (const letter of text) {
        const { from, to } = state.selection;
        const insert = () => state.tr.insertText(letter, from, to);
        if (!taken((plugin) => plugin.props.handleTextInput?.call(plugin, view, from, to, letter, insert)))
          dispatch(insert());
      }
    },
    press: (key) => taken((plugin) => plugin.props.handleKeyDown?.call(plugin, view, event(key))),
  };
}

const asked = { question: '', hint: '' };

/** A field of words, asked for. */
export const wordsField = (id: string, over: Partial<Field> = {}): Field =>
  ({ ...asked, id, name: id, kind: 'text', required: true, starting: '', ...over }) as Field;

/** "It ate [food]." as a passage of one line for each: brackets are blanks. */
export const wordingOf = (...lines: string[]): Passage => ({
  type: 'doc',
  content: lines.map((line) => ({
    type: 'paragraph' as const,
    content: line
      .split(/(\[\w+\])/)
      .filter((piece) => piece !== '')
      .map((piece) => {
        const field = /^\[(\w+)\]$/.exec(piece)?.[1];
        return field === undefined
          ? { type: 'text' as const, text: piece }
          : {
              type: 'blank' as const,
              attrs: {
                field,
                form: 'as-is' as const,
                placement: null,
                text: '',
                state: 'gap' as const,
                dropped: 'none' as const,
              },
            };
      }),
  })),
});

/** An entry of one wording whose blanks are fields of words. */
export function entryOf(title: string, ...lines: string[]): EntryContent {
  const names = [...lines.join(' ').matchAll(/\[(\w+)\]/g)].map(([, name]) => name!);
  return {
    ...newEntry(title, 'en-GB', wordingOf(...lines)),
    fields: [...new Set(names)].map((name) => wordsField(name)),
  };
}

/** What it takes to place it, in a case of which nothing is known. */
export const requestOf = (
  content: EntryContent,
  id: string,
  over: Partial<PlaceRequest> = {},
): PlaceRequest => ({
  entry: { id: content.title, revision: 1, content },
  cue: null,
  record: emptyRecord(),
  today: '2026-11-25',
  id,
  ...over,
});
