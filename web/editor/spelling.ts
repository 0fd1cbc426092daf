import type { Node as EditorNode } from '@tiptap/pm/model';
import { closeHistory } from '@tiptap/pm/history';
import type { EditorState, Transaction } from '@tiptap/pm/state';
import { checkedWords, type CheckedWord } from '#core/spelling';
import { isOfLanguage } from '#core/terms';
import { wordsAround, type FoundPlace } from './placesInLines';
import { placementsOf } from './placements';

/** A word of a draft whose spelling nobody knows, and where it stands. */
export type MisspeltPlace = FoundPlace & Pick<CheckedWord, 'word'>;

/** Stands for what is not checked, so that letters and positions go together. */
const NO_LETTER = '\uFFFC';

/** Words of each block that was looked at, so that those that stay as they are cost nothing. */
const known = new WeakMap<EditorNode, { language: string; words: readonly CheckedWord[] }>();

/** Whether a piece of a line is in another language by its wording, or is a program's. */
function isElse(node: EditorNode, doc: EditorNode, language: string): boolean {
  return node.marks.some(({ type, attrs }) => {
    if (type.name === 'code') return true;
    const of = type.name === 'placed' ? placementsOf(doc)[attrs.placement as string]?.language : undefined;
    return of !== undefined && !isOfLanguage(of, language);
  });
}

function wordsOfBlock(block: EditorNode, doc: EditorNode, language: string): readonly CheckedWord[] {
  const held = known.get(block);
  if (held?.language === language) return held.words;
  let line = '';
  block.forEach((node) => {
    const isRead = node.isText && !isElse(node, doc, language);
    line += isRead ? node.text! : NO_LETTER.repeat(node.nodeSize);
  });
  const words = block.type.name === 'codeBlock' ? [] : checkedWords(line);
  known.set(block, { language, words });
  return words;
}

/** Goes through the words of a text, or of a stretch of it, that are checked in a language; each with the block it stands in and its place. */
export function eachWord(
  doc: EditorNode,
  language: string,
  tell: (word: CheckedWord, block: EditorNode, start: number) => void,
  from = 0,
  to = doc.content.size,
): void {
  doc.nodesBetween(from, to, (block, pos) => {
    if (!block.isTextblock) return true;
    for (const word of wordsOfBlock(block, doc, language)) tell(word, block, pos + 1);
    return false;
  });
}

/** All words of a text that are wrong, in its order, with what stands around each. */
export function misspeltPlaces(
  doc: EditorNode,
  language: string,
  isWrong: (word: string) => boolean,
): MisspeltPlace[] {
  const places: MisspeltPlace[] = [];
  eachWord(doc, language, ({ from, to, word }, block, start) => {
    if (isWrong(word))
      places.push({ word, ...wordsAround(block, from, to), from: start + from, to: start + to });
  });
  return places;
}

/** Puts another spelling in each of these places, as a step of its own for undo; curly apostrophes stay so. */
export function respell(
  { tr, doc }: EditorState,
  places: readonly Pick<MisspeltPlace, 'from' | 'to'>[],
  put: string,
): Transaction {
  for (const { from, to } of places.toReversed()) {
    const isCurly = doc.textBetween(from, to).includes('’');
    tr.insertText(isCurly ? put.replaceAll("'", '’') : put, from, to);
  }
  return closeHistory(tr);
}
