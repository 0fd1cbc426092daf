import { expect, test } from '@jest/globals';
import { Fragment, Slice, type Node as EditorNode } from '@tiptap/pm/model';
import fc from 'fast-check';
import { leafOf, leafSchema } from '../testing/leafState';
import { listMarks, sliceOfText, withLists } from './pastedText';

/** A slice in brackets: lists as ul and ol, items as li, a line break as a stroke. */
function written(node: EditorNode | Fragment): string {
  const parts: string[] = [];
  node.forEach((child) => {
    if (child.isText) parts.push(child.text!);
    else if (child.type.name === 'hardBreak') parts.push('/');
    else {
      const name = { bulletList: 'ul', orderedList: 'ol', listItem: 'li', paragraph: 'p' }[child.type.name];
      const start = (child.attrs.start as number | null | undefined) ?? 1;
      parts.push(`${name}${start === 1 ? '' : start}(${written(child)})`);
    }
  });
  return parts.join('');
}
const paragraphs = (...lines: string[]) =>
  Slice.maxOpen(
    Fragment.from(
      lines.map((line) => leafSchema.nodes.paragraph!.create(null, line === '' ? [] : leafSchema.text(line))),
    ),
  );

test.each([
  [['•\u00a0\u00a0 ticks', '•\u00a0\u00a0 fleas'], 'ul(li(p(ticks))li(p(fleas)))'],
  [['Seen:', '· ticks', '· fleas', 'Fed.'], 'p(Seen:)ul(li(p(ticks))li(p(fleas)))p(Fed.)'],
  [['1. ticks', '2. fleas'], 'ol(li(p(ticks))li(p(fleas)))'],
  [['4) ticks', '5) fleas'], 'ol4(li(p(ticks))li(p(fleas)))'],
  [
    ['• ticks', 'o\u00a0\u00a0 ears', 'o\u00a0\u00a0 neck', '• fleas'],
    'ul(li(p(ticks)ul(li(p(ears))li(p(neck))))li(p(fleas)))',
  ],
  [['It ate.', '\u00a0', '', 'It slept.'], 'p(It ate.)p(It slept.)'],
  // One alone, numbers that do not count and dashes of speech are words.
  [['- ticks'], 'p(- ticks)'],
  [['3. May', '17. May'], 'p(3. May)p(17. May)'],
  [['– Where?', '– There.'], 'p(– Where?)p(– There.)'],
  [['o well', 'o dear'], 'p(o well)p(o dear)'],
])('%j is pasted as %s', (lines, expected) => {
  expect(written(withLists(paragraphs(...lines)).content)).toBe(expected);
});

test.each([
  ['one', 'p(one)'],
  ['one\ntwo\r\n\r\nthree\n', 'p(one/two)p(three)'],
  ['Seen:\n- ticks\n- fleas\nFed.', 'p(Seen:)p(- ticks)p(- fleas)p(Fed.)'],
  ['- ticks\n  and lice\n- fleas', 'p(- ticks/  and lice)p(- fleas)'],
  ['one\n \n\n\ntwo', 'p(one)p(two)'],
])('plain text %j is %s', (text, expected) => {
  expect(written(sliceOfText(leafSchema, text).content)).toBe(expected);
});

test('in an empty line a list stands for it; in a sentence words stay in it', () => {
  const pasted = (line: string, slice: Slice) => written(leafOf([line]).tr.replaceSelection(slice).doc);
  const list = withLists(paragraphs('- ticks', '- fleas'));
  expect(pasted('|', list)).toBe('ul(li(p(ticks))li(p(fleas)))');
  expect(pasted('It ate | well.', sliceOfText(leafSchema, 'one\ntwo'))).toBe('p(It ate one/two well.)');
});

test('whatever is pasted, no word of it is lost', () => {
  const line = fc
    .tuple(
      fc.constantFrom('', '• ', '- ', '1. ', '2. ', '3) ', 'o\u00a0', '* '),
      fc.string({ unit: fc.constantFrom('a', 'é', ' ', '1', '.'), maxLength: 6 }),
    )
    .map((parts) => parts.join(''));
  const words = (text: string) => text.replace(/[^aé]+/g, ' ').trim();
  fc.assert(
    fc.property(fc.array(line, { minLength: 1, maxLength: 9 }), (lines) => {
      const { content } = withLists(sliceOfText(leafSchema, lines.join('\n')));
      const doc = leafSchema.nodes.doc!.create(null, content);
      doc.check();
      expect(words(doc.textBetween(0, doc.content.size, ' ', ' '))).toBe(words(lines.join(' ')));
      expect(listMarks(lines)).toHaveLength(lines.length);
    }),
  );
});
