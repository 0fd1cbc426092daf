import type { Node as EditorNode } from '@tiptap/pm/model';
import {
  NodeSelection,
  Plugin,
  PluginKey,
  TextSelection,
  type EditorState,
  type Transaction,
} from '@tiptap/pm/state';
import { Decoration, DecorationSet } from '@tiptap/pm/view';
import { occurrences, type SearchedAs } from '#core/finder';
import { inCaseOf } from '#core/language';
import { withItsSpace } from '#core/terms';
import { blanksIn } from './blanks';

/** What is looked for in a draft. */
export interface Search extends SearchedAs {
  words: string;
}

/** Words that were found in a draft: from and to as positions of the document. */
export interface FoundWords {
  from: number;
  to: number;
  words: string;
  /** Whether some of them are no written words but the answer of a blank, a number or a reference: these are changed there. */
  isAnswered: boolean;
  /** What changing them to nothing takes along and puts: the space beside them, and the capital of a sentence they began. */
  dropped: { from: number; to: number; put: string };
}

type ReadBlock = ReturnType<typeof readBlock>;

/** How words of a block are changed to nothing: whole words with the space beside them, where that is written by hand. */
function droppedIn({ text, begins, ends, isWritten }: ReadBlock, from: number, to: number) {
  const isWhole = !/[\p{L}\p{N}]/u.test((text[from - 1] ?? '') + (text[to] ?? ''));
  const edit = isWhole ? withItsSpace(text, from, to) : { from, to, put: '' };
  const { put, ...range } = isWritten.slice(edit.from, edit.to).every(Boolean) ? edit : { from, to, put: '' };
  return { from: begins[range.from]!, to: ends[range.to - 1]!, put };
}

/** The text of a block as it is read, with the position at which each character begins, and which of them are written words. */
function readBlock(block: EditorNode, pos: number) {
  let text = '';
  const begins: number[] = [];
  const ends: number[] = [];
  const isWritten: boolean[] = [];
  block.forEach((node, offset) => {
    const at = pos + 1 + offset;
    const shown = node.isText ? node.text! : ((node.attrs.text as string | undefined) ?? '');
    for (let i = 0; i < shown.length; i += 1) {
      begins.push(node.isText ? at + i : at);
      ends.push(node.isText ? at + i + 1 : at + node.nodeSize);
      isWritten.push(node.isText);
    }
    if (shown === '' && node.type.name === 'hardBreak') {
      begins.push(at);
      ends.push(at + node.nodeSize);
      isWritten.push(true);
      text += '\n';
    } else text += shown;
  });
  return { text, begins, ends, isWritten };
}

/** Every place where the words stand in a document, in reading order: within a block, over blanks too, as a reader sees them. */
export function findWords(doc: EditorNode, search: Search): FoundWords[] {
  const found: FoundWords[] = [];
  doc.descendants((block, pos) => {
    if (!block.isTextblock) return true;
    const read = readBlock(block, pos);
    const { text, begins, ends, isWritten } = read;
    for (const { from, to } of occurrences(text, search.words, search))
      found.push({
        from: begins[from]!,
        to: ends[to - 1]!,
        words: text.slice(from, to),
        isAnswered: !isWritten.slice(from, to).every(Boolean),
        dropped: droppedIn(read, from, to),
      });
    return false;
  });
  return found;
}

/** What is put in place of found words: in their case, unless the case was looked for. */
const inPlaceOf = ({ words }: FoundWords, put: string, { sameCase }: Search) =>
  sameCase ? put : inCaseOf(words, put);

/**
 * Puts other words in place of found ones, from the last to the first so that positions stay true; what is an answer stays. Words
 * changed to nothing take the space before them along.
 */
export function changeWords(
  state: EditorState,
  places: readonly FoundWords[],
  put: string,
  search: Search,
): Transaction {
  const { tr } = state;
  let changedFrom = state.doc.content.size;
  for (const place of places.filter(({ isAnswered }) => !isAnswered).toReversed()) {
    const words = inPlaceOf(place, put, search);
    // The word that would begin the sentence may have gone itself.
    const isFree = place.dropped.put === '' || place.dropped.to <= changedFrom;
    const edit = words === '' && isFree ? place.dropped : { ...place, put: words };
    const { from, to, put: instead } = edit;
    changedFrom = from;
    if (instead === '') tr.delete(from, to);
    else tr.insertText(instead, from, to);
  }
  return tr;
}

interface Finding {
  search: Search;
  places: readonly FoundWords[];
  /** Which of them is looked at; -1 for none. */
  at: number;
}

const key = new PluginKey<Finding | null>('finding');

/** What is looked for in this draft now, and where it stands; null where nothing is. */
export const findingIn = (state: EditorState): Finding | null => key.getState(state) ?? null;

/** The place at or behind a position, else the first. */
function nextFrom(places: readonly FoundWords[], pos: number): number {
  const next = places.findIndex(({ from }) => from >= pos);
  return next === -1 && places.length > 0 ? 0 : next;
}

/** Looks for words, from the caret on; null looks for nothing any more. */
export const lookFor = (state: EditorState, search: Search | null): Transaction => {
  const places = search ? findWords(state.doc, search) : [];
  const found = search && { search, places, at: nextFrom(places, state.selection.from) };
  return state.tr.setMeta(key, { found });
};

/** Goes to one of the places, with its words selected. */
export function goToFound(state: EditorState, at: number): Transaction | null {
  const finding = findingIn(state);
  const place = finding?.places[at];
  if (!place) return null;
  return state.tr
    .setSelection(TextSelection.create(state.doc, place.from, place.to))
    .setMeta(key, { found: { ...finding, at } })
    .scrollIntoView();
}

/** Stops looking: with the cursor behind the words gone to, or on the blank that holds them. Null where none were found. */
export function stayAtFound(state: EditorState): Transaction | null {
  const finding = findingIn(state);
  const place = finding?.places[finding.at];
  if (!place) return null;
  const blank = blanksIn(state.doc).find(({ pos }) => pos >= place.from && pos < place.to);
  return state.tr.setSelection(
    blank ? NodeSelection.create(state.doc, blank.pos) : TextSelection.create(state.doc, place.to),
  );
}

/** Marks what is looked for in the text, and follows it while the text changes. */
export const finding = (): Plugin =>
  new Plugin<Finding | null>({
    key,
    state: {
      init: () => null,
      apply(tr, now, _before, after) {
        const told = tr.getMeta(key) as { found: Finding | null } | undefined;
        if (told) return told.found;
        if (!now || !tr.docChanged) return now;
        const places = findWords(after.doc, now.search);
        const was = now.places[now.at];
        return { ...now, places, at: nextFrom(places, was ? tr.mapping.map(was.from) : 0) };
      },
    },
    props: {
      decorations(state) {
        const found = findingIn(state);
        if (!found || found.places.length === 0) return null;
        return DecorationSet.create(
          state.doc,
          found.places.map(({ from, to }, at) =>
            Decoration.inline(from, to, { class: at === found.at ? 'found is-here' : 'found' }),
          ),
        );
      },
    },
  });
