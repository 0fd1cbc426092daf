import { describe, expect, test } from '@jest/globals';
import { EditorState } from '@tiptap/pm/state';
import type { Block, Passage } from '#core/passage';
import { plainText } from '#core/passage';
import { entryOf, leafDoc, leafOf, requestOf, wordingOf } from '../testing/leafState';
import { placeEntry } from './placing';
import { bodyRange, withItsBlocks, withoutBareEnds, wordsStanding } from './standing';

const fed = entryOf('Fed', 'It ate well.');

/** An entry placed where the caret is. */
const placed = (begun: EditorState, content = fed) =>
  begun.apply(placeEntry(begun, begun.selection.from, begun.selection.from, requestOf(content, 'p')));
const wordsOf = (state: EditorState) => {
  const words = wordsStanding(state.doc, 'p');
  return words && plainText(words);
};
const line = (text: string): Block => ({ type: 'paragraph', content: [{ type: 'text', text }] });
/** A leaf of these blocks, with an entry placed at the end of the words "Here". */
function placedHere(blocks: Block[], content = fed): EditorState {
  const doc = leafDoc({ type: 'doc', content: blocks });
  let at = 0;
  doc.descendants((node, pos) => void (node.text === 'Here ' && (at = pos + node.nodeSize)));
  const begun = EditorState.create({ doc });
  return begun.apply(placeEntry(begun, at, at, requestOf(content, 'p')));
}
const item = (...content: Block[]) => ({ type: 'listItem' as const, content });

describe('the words of a placement, wherever it was placed', () => {
  test.each<[string, Block[]]>([
    ['in a paragraph', [line('Here ')]],
    ['among others', [line('Before.'), line('Here '), line('Behind.')]],
    ['in a heading', [{ type: 'heading', attrs: { level: 2 }, content: [{ type: 'text', text: 'Here ' }] }]],
    ['in a list', [{ type: 'bulletList', content: [item(line('One.')), item(line('Here '))] }]],
    ['in a quotation', [{ type: 'blockquote', content: [line('Here ')] }]],
    [
      'in a table',
      [
        {
          type: 'table',
          content: [
            {
              type: 'tableRow',
              content: [
                { type: 'tableCell', content: [line('One.')] },
                { type: 'tableCell', content: [line('Here ')] },
              ],
            },
          ],
        },
      ],
    ],
  ])('%s', (_where, blocks) => {
    expect(wordsOf(placedHere(blocks))).toBe('It ate well.');
  });

  test('without the spaces that join it, with what was written within it, and nothing of what is around', () => {
    const state = placed(leafOf(['Seen at dawn. | Then it slept.']));
    const { from } = bodyRange(state.doc, 'p')!;
    const written = state.apply(state.tr.insertText(' very', from + 'It ate'.length));
    expect(wordsOf(written)).toBe('It ate very well.');
  });

  test('of several lines as lines, where the first and the last stand in lines of others', () => {
    const state = placed(leafOf(['Before | behind.']), entryOf('Two', 'It ate.', 'It drank.'));
    expect(wordsStanding(state.doc, 'p')!.content).toHaveLength(2);
    expect(wordsOf(state)).toBe('It ate.\n\nIt drank.');
  });

  test('where its words are gone there are none, nor of what was never placed', () => {
    const state = placed(leafOf(['|']));
    const { from, to } = bodyRange(state.doc, 'p')!;
    expect(wordsOf(state.apply(state.tr.delete(from, to)))).toBeNull();
    expect(wordsStanding(state.doc, 'other')).toBeNull();
  });

  test('of an entry in parts those outside the boxes that its other parts went to', () => {
    const parts = [
      { id: 'subject', name: 'Subject', passage: wordingOf('About the owl') },
      { id: 'text', name: 'Text', passage: wordingOf('It ate well.') },
    ];
    const letter = { ...fed, wordings: [{ ...fed.wordings[0]!, parts }] };
    expect(wordsOf(placed(leafOf(['|']), letter))).toBe('It ate well.');
  });
});

describe('a stretch with the blocks it stands in', () => {
  test.each([
    ['of all words of two paragraphs: both of them', 1, 17, { from: 0, to: 18 }],
    ['of one line: that stretch', 1, 8, { from: 1, to: 8 }],
    ['of two, where words stand before it: that stretch', 4, 17, { from: 4, to: 17 }],
    ['of two, where words stand behind it: that stretch', 1, 14, { from: 1, to: 14 }],
  ])('%s', (_of, from, to, wanted) => {
    const { doc } = leafOf(['It ate.', 'It sat.']);
    expect(withItsBlocks(doc, { from, to })).toEqual(wanted);
  });
});

test('lines without a word at the ends of what is placed go, those within it stay', () => {
  const marked = (text: string): Block => ({
    type: 'paragraph',
    content: [{ type: 'text', text, marks: [{ type: 'placed', attrs: { placement: 'p' } } as never] }],
  });
  const empty: Block = { type: 'paragraph' };
  const passage: Passage = {
    type: 'doc',
    content: [empty, marked('It ate.'), empty, marked('It slept.'), empty, empty],
  };
  const { content } = withoutBareEnds(leafOf(['|']), passage, 'p');
  expect(content.map((block) => plainText({ type: 'doc', content: [block] }))).toEqual([
    'It ate.',
    '',
    'It slept.',
  ]);
});
