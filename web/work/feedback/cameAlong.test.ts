import { expect, test } from '@jest/globals';
import { plainText } from '#core/passage';
import { cameAlong } from './cameAlong';

test('comments in the file stand as those of their authors, on their words', () => {
  const on = (at: number) => ({ from: { block: 0, at }, to: { block: 0, at: at + 2 } });
  const said = (author: string, text: string, at: number) => ({ author, at: '', text, on: on(at) });
  const all = cameAlong({
    submission: {
      version: 1,
      blocks: [{ kind: 'paragraph', spans: [{ text: 'We go on.' }] }],
      comments: [said('Ruan Pellow', 'Who?', 0), said('', 'Where?', 3), said('Ruan Pellow', 'When?', 6)],
    },
    ...{ name: 'a.docx', file: null, version: 1, takenAt: '2026-11-28T10:00:00.000Z', assignment: null },
  });
  expect(
    all.map(({ authorName, comments }) => [
      authorName,
      comments.map(({ words, passage }) => [words, plainText(passage)]),
    ]),
  ).toEqual([
    [
      'Ruan Pellow',
      [
        ['We', 'Who?'],
        ['on', 'When?'],
      ],
    ],
    ['In the file', [['go', 'Where?']]],
  ]);
});
