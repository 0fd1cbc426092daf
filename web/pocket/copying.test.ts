import { expect, test } from '@jest/globals';
import type { Block } from '#core/passage';
import { copiedInWords, partsToCopy } from './copying';

const paragraph = (text: string): Block => ({ type: 'paragraph', content: [{ type: 'text', text }] });
const box = (name: string, ...content: Block[]): Block => ({ type: 'box', attrs: { name }, content });
const names = (...content: Block[]) => partsToCopy({ type: 'doc', content }).map(({ name }) => name);

test('each box is a part of its own, what stands outside another; those without words are none', () => {
  expect(names(paragraph('Hello'))).toEqual(['the text']);
  expect(names(box('Subject', paragraph('An owl')), paragraph('Hello'))).toEqual(['Subject', 'the text']);
  expect(names(box('Subject', { type: 'paragraph' }), paragraph('Hello'))).toEqual(['the text']);
  expect(names({ type: 'paragraph' })).toEqual([]);
});

test('it is said what was copied, and what comes next', () => {
  const parts = partsToCopy({
    type: 'doc',
    content: [box('Subject', paragraph('An owl')), paragraph('Hello')],
  });
  expect(copiedInWords(parts, 0)).toBe('Copied Subject. The same key copies the text.');
  expect(copiedInWords(parts, 1)).toBe('Copied the text.');
});
