import { expect, test } from '@jest/globals';
import { MarkingOnSchema, plainText, type Block } from '../passage';
import { markingsAsText, markingsOf } from './markings';

const line = (text: string): Block => ({
  type: 'paragraph',
  ...(text !== '' && { content: [{ type: 'text' as const, text }] }),
});
const marking = (page: number, ...lines: string[]): Block => ({
  type: 'box',
  attrs: { name: 'Marking', marking: MarkingOnSchema.parse({ id: 'm', page, at: { x: 1, y: 2 } }) },
  content: lines.map(line),
});
const read = (...content: Block[]) => plainText(markingsAsText({ type: 'doc', content })).split('\n\n');

test('markings are read one after another, under their pages where they are on several', () => {
  expect(read(marking(0, 'fire door'), marking(0, 'bin'))).toEqual(['fire door', 'bin']);
  expect(read(marking(0, 'fire door'), marking(2, 'bin'), marking(2, 'lamp'))).toEqual([
    ...['Page 1', 'fire door', 'Page 3', 'bin', 'lamp'],
  ]);
});

test('what stands in no marking stays where it is; what has no words is left out, its page too', () => {
  const all = [line('Inspected on Monday.'), marking(0, 'bin', ''), line(''), marking(1, ''), line('End.')];
  expect(read(...all)).toEqual(['Inspected on Monday.', 'bin', 'End.']);
  expect(read(marking(3, ''))).toEqual(['']);
  expect(markingsOf({ type: 'doc', content: all }).map(({ page }) => page)).toEqual([0, 1]);
});
