import { describe, expect, test } from '@jest/globals';
import { execFileSync } from 'node:child_process';
import { plainPassage } from './make';
import type { Passage } from './passage';
import { countWords, lengthOf, TextLimitSchema } from './textLength';

const PROSE = [
  "The survey was walked on three evenings. You've named every site, which helps; the grid references are given to six figures.",
  'Two counts differ (14 and 41): which is right? A "likely" otter is not a record... Say what you saw & heard.',
  'Mae’r draethell yn llydan. Der Igel wog 512 g, well-fed, at 35.4 °C; the owner’s e-mail came at 9:30.',
];

describe('words', () => {
  test.each([
    ['', 0],
    ['  \n\t ', 0],
    ['one', 1],
    ['well-fed and e-mail', 3],
    ['before – after—then', 3],
    ['- a bullet . . .', 2],
    ['Pen 7 & pen 8', 5],
    ['£40 or 3.5 %', 3],
    ['pen\u00a07', 2],
  ])('“%s” has %i', (text, count) => expect(countWords(text)).toBe(count));

  test.each(PROSE)('on prose they are what wc counts: %s', (text) =>
    expect(countWords(text)).toBe(Number(execFileSync('wc', ['-w'], { input: text, encoding: 'utf8' }))),
  );
});

describe('a passage', () => {
  const passage: Passage = {
    type: 'doc',
    content: [
      ...plainPassage('Bramble is').content,
      {
        type: 'orderedList',
        content: ['well fed', 'warm'].map((text) => ({
          type: 'listItem',
          content: [{ type: 'paragraph', content: [{ type: 'text', text }] }],
        })),
      },
    ],
  };
  test('counts the words of its lines, without the numbers of lists', () =>
    expect(lengthOf(passage, 'words')).toBe(5));
  test('counts the characters of its plain text as copied', () =>
    expect(lengthOf(passage, 'characters')).toBe('Bramble is\n\n1. well fed\n2. warm'.length));
  test('an emoji is one character', () => expect(lengthOf(plainPassage('🦔'), 'characters')).toBe(1));
});

test.each([
  [{ most: 300, of: 'words' }, true],
  [{ most: 0, of: 'words' }, false],
  [{ most: 2.5, of: 'characters' }, false],
  [{ most: 300, of: 'pages' }, false],
])('%j may be a limit: %s', (limit, may) => expect(TextLimitSchema.safeParse(limit).success).toBe(may));
