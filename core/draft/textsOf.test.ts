import { expect, test } from '@jest/globals';
import { passageFrom } from '#core/notation';
import { plainText, type Block } from '#core/passage';
import { textsOf } from './index';

const line = (words: string): Block => passageFrom(words).content[0]!;
const box = (name: string, words: string): Block => ({
  type: 'box',
  attrs: { name },
  content: [line(words)],
});
const told = (...content: Block[]) =>
  textsOf({ type: 'doc', content }).map(({ name, passage }) => [name, plainText(passage)]);

test.each<[string, Block[], [string | null, string][]]>([
  ['one text without a name', [line('One.'), line('Two.')], [[null, 'One.\n\nTwo.']]],
  [
    'a subject and its message',
    [box('Subject', 'Owl'), line('Dear all,')],
    [
      ['Subject', 'Owl'],
      [null, 'Dear all,'],
    ],
  ],
  [
    'what stands outside is one text, be it parted',
    [line('One.'), box('Letter', 'Dear all,'), line('Two.')],
    [
      [null, 'One.\n\nTwo.'],
      ['Letter', 'Dear all,'],
    ],
  ],
  ['boxes alone have no text without a name', [box('Letter', 'Dear all,')], [['Letter', 'Dear all,']]],
])('%s', (_, blocks, texts) => {
  expect(told(...blocks)).toEqual(texts);
});
