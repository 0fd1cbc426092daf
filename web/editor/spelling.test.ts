import { describe, expect, test } from '@jest/globals';
import { history, undo } from '@tiptap/pm/history';
import type { Transaction } from '@tiptap/pm/state';
import { leafOf } from '../testing/leafState';
import { eachWord, misspeltPlaces, respell } from './spelling';

const RIGHT = new Set(['the', 'patient', 'was', 'seen', 'by', "wasn't", 'then', 'nurse']);
const isWrong = (word: string) => !RIGHT.has(word.toLowerCase());
const leaf = (...lines: string[]) => leafOf([...lines.slice(0, -1), `${lines.at(-1)!}|`], [history()]);

describe('words of a draft that nobody knows', () => {
  test('are found in every line, in order, with some of what stands around them', () => {
    const { doc } = leaf(
      'The paient was seen.',
      'Then sene by the nurse, and the nurse, and the nurse, and then.',
    );
    const [first, second, ...more] = misspeltPlaces(doc, 'en-GB', isWrong);
    expect(doc.textBetween(first!.from, first!.to)).toBe('paient');
    expect(first).toMatchObject({ word: 'paient', before: 'The ', behind: ' was seen.' });
    expect(second).toMatchObject({ word: 'sene', before: 'Then ', behind: ' by the nurse, and the …' });
    expect(more.map(({ word }) => word)).toEqual(['and', 'and', 'and']);
  });

  test('are put right as one step, and curly apostrophes stay curly', () => {
    let state = leaf('The paient wasn’nt seen; the paient was.');
    const places = misspeltPlaces(state.doc, 'en-GB', isWrong);
    const before = state.doc;
    const paients = places.filter(({ word }) => word === 'paient');
    state = state.apply(respell(state, paients, 'patient'));
    const [other] = misspeltPlaces(state.doc, 'en-GB', isWrong);
    state = state.apply(respell(state, [other!], "wasn't"));
    expect(state.doc.textContent).toBe('The patient wasn’t seen; the patient was.');
    const back = (tr: Transaction) => (state = state.apply(tr));
    undo(state, back);
    undo(state, back);
    expect(state.doc.eq(before)).toBe(true);
  });

  test('are looked for in a stretch of it alone where one is given', () => {
    const { doc } = leaf('one', 'two', 'three');
    const words: string[] = [];
    eachWord(doc, 'en-GB', ({ word }) => words.push(word), 6, 8);
    expect(words).toEqual(['two']);
  });
});
