import { expect, test } from '@jest/globals';
import { toMarkdown } from '#core/exchange';
import { plainPassage, plainText, emptyPassage, type TextRange } from '#core/passage';
import {
  COMMENTED_IN_ENGLISH,
  commentedPassage,
  commentList,
  passageOfSubmission,
  submissionOfPassage,
  wordsOfBlock,
  type ReadComment,
  type Submission,
} from '.';

const REPORT: Submission = {
  version: 1,
  comments: [],
  blocks: [
    { kind: 'heading', level: 1, spans: [{ text: 'Method' }] },
    {
      kind: 'paragraph',
      spans: [
        { text: 'We ' },
        { text: 'walked', marks: ['bold'] },
        { place: 'note', name: '1' },
        { text: ' out.' },
      ],
    },
    { kind: 'item', level: 0, label: '1.', spans: [{ text: 'mud' }] },
    { kind: 'item', level: 1, label: '•', spans: [{ text: 'deep' }] },
    { kind: 'item', level: 0, label: '2.', spans: [{ text: 'reed' }] },
    { kind: 'paragraph', cell: { table: 0, row: 0, column: 0 }, spans: [{ text: 'Curlew' }] },
    { kind: 'paragraph', cell: { table: 0, row: 0, column: 1 }, spans: [{ text: '3' }] },
    { kind: 'quote', spans: [{ text: 'Never still.' }] },
  ],
};
const on = (block: number, from: number, to: number): TextRange => ({
  from: { block, at: from },
  to: { block, at: to },
});
const comment = (range: TextRange, text: string, author = 'Desta Wynne'): ReadComment => ({
  on: range,
  passage: plainPassage(text),
  author,
});
const COMMENTS = [comment(on(7, 0, 5), 'Source?'), comment(on(1, 3, 9), 'How far?')];

test('the submission with numbers, the comments by them, and the summing-up', () => {
  const passage = commentedPassage(REPORT, COMMENTS, plainPassage('Well seen.'), COMMENTED_IN_ENGLISH);
  expect(toMarkdown(passage)).toBe(`# Method

We **walked** \\[1\\]\\[1\\] out.

1. mud

   - deep
2. reed

| Curlew | 3 |
| --- | --- |

> Never \\[2\\] still.

## Comments

1. How far?
2. Source?

## Summing-up

Well seen.
`);
});

test('the comments alone, each with what it is on; signed where several people wrote', () => {
  const list = commentList(REPORT, COMMENTS, emptyPassage(), COMMENTED_IN_ENGLISH);
  expect(plainText(list)).toBe('1. Paragraph 1, “walked”\n   How far?\n2. Paragraph 5, “Never”\n   Source?');
  const both = [...COMMENTS, comment(on(2, 0, 3), 'Which?', 'Imke Tarrow')];
  expect(plainText(commentList(REPORT, both, emptyPassage(), COMMENTED_IN_ENGLISH))).toContain(
    '2. Paragraph 2, “mud” (Imke Tarrow)\n   Which?',
  );
});

test('written out as a passage and read again, each block is where it was', () => {
  const out = { placeWords: () => '*', signs: [] };
  const again = submissionOfPassage(passageOfSubmission(REPORT, out));
  expect(again.blocks.map(({ kind, level, cell }) => [kind, level, cell])).toEqual(
    REPORT.blocks.map(({ kind, level, cell }) => [kind, level, cell]),
  );
  expect(again.blocks.map(wordsOfBlock)).toEqual(
    REPORT.blocks.map((block) => wordsOfBlock(block).replace('\uFFFC', '*')),
  );
});
