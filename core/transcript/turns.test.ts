import { expect, test } from '@jest/globals';
import { plainText, type Block, type Passage } from '#core/passage';
import {
  apartFromRecording,
  NEW_TRANSCRIPT,
  partOf,
  sharesOf,
  timeFaults,
  turnsOf,
  withLabels,
  wordsOfTurn,
  withSpeaker,
  type Transcript,
} from '.';

const line = (text: string) => ({ content: [{ type: 'text' as const, text }] });
const turn = (speaker: string, at: number | null, text: string): Block => ({
  ...{ type: 'turn', attrs: { speaker, at } },
  ...(text && line(text)),
});
const p = (text: string): Block => ({ type: 'paragraph', ...line(text) });
const doc = (...content: Block[]): Passage => ({ type: 'doc', content });
const cast = withSpeaker(withSpeaker([], 'r', 'Ruan Pellow'), 'w', 'Wilf Ambry');
const written = (
  of: Partial<Transcript['labels']>,
  times: Partial<Transcript['times']> = {},
): Transcript => ({
  cast,
  labels: { ...NEW_TRANSCRIPT.labels, ...of },
  times: { ...NEW_TRANSCRIPT.times, shown: 'none', ...times },
});

const TALK = doc(
  p('Recorded at the cottage.'),
  turn('r', 0, 'And then?'),
  turn('w', 2000, 'He went down.'),
  p('He counted them.'),
  turn('w', 65_000, 'Eleven.'),
  turn('x', null, 'Who is there?'),
);

test('a turn goes on in the paragraphs behind it, up to the next or a heading', () => {
  const after = doc(
    ...TALK.content,
    { type: 'heading', attrs: { level: 2 }, ...line('Side two') },
    p('Blank.'),
  );
  expect(turnsOf(after).map((one) => [one.speaker, one.at, wordsOfTurn(one)])).toEqual([
    ['r', 0, 'And then?'],
    ['w', 2000, 'He went down.\nHe counted them.'],
    ['w', 65_000, 'Eleven.'],
    ['x', null, 'Who is there?'],
  ]);
});

test.each([
  [
    {},
    {},
    'Ruan Pellow:\tAnd then?|Wilf Ambry:\tHe went down.|He counted them.|Eleven.|Unknown speaker:\tWho is there?',
  ],
  [
    { by: 'initials', capitals: true, colon: false, after: 'space' },
    { shown: 'text', form: 'brackets' },
    '[00:00:00] RP And then?|[00:00:02] WA He went down.|He counted them.|[00:01:05] Eleven.|UNKNOWN SPEAKER Who is there?',
  ],
  [{ by: 'none' }, {}, 'And then?|He went down.|He counted them.|Eleven.|Who is there?'],
  [
    { after: 'line' },
    { shown: 'margin', every: 1 },
    '00:00:00 Ruan Pellow:\nAnd then?|Wilf Ambry:\nHe went down.|He counted them.|00:01:05 Eleven.|Unknown speaker:\nWho is there?',
  ],
] as const)('labels written as %j with times %j', (labels, times, expected) => {
  const text = plainText(withLabels(TALK, written(labels, times)));
  expect(text).toBe(`Recorded at the cottage.|${expected}`.replaceAll('|', '\n\n'));
});

test('a bold label is bold, and nothing else', () => {
  const [, first] = withLabels(TALK, written({ bold: true })).content;
  expect(first).toMatchObject({
    content: [{ text: 'Ruan Pellow:', marks: [{ type: 'bold' }] }, { text: '\t' }, { text: 'And then?' }],
  });
});

test.each([
  [null, null, 'Recorded at the cottage.|And then?|He went down.|He counted them.|Eleven.|Who is there?'],
  [0, 2000, 'Recorded at the cottage.|And then?'],
  [2000, 60_000, 'He went down.|He counted them.'],
  [60_000, null, 'Eleven.|Who is there?'],
  [70_000, null, ''],
])('what is said from %d to %d', (from, to, expected) => {
  expect(plainText(partOf(TALK, { from, to }))).toBe(expected.replaceAll('|', '\n\n'));
});

test('how much each speaks: turns in a row are one, time between two known times is shared by words', () => {
  const shares = sharesOf(turnsOf(TALK), 75_000);
  expect(shares).toEqual([
    { speaker: 'r', turns: 1, words: 2, spoken: 2000 },
    // 63 s, and of the last 10 s one word of four.
    { speaker: 'w', turns: 1, words: 7, spoken: 63_000 + 2500 },
    { speaker: 'x', turns: 1, words: 3, spoken: 7500 },
  ]);
  expect(sharesOf(turnsOf(TALK), null)[2]).toMatchObject({ spoken: 0 });
});

test('times that run backwards or past the end are told, and do not make later ones wrong', () => {
  expect(timeFaults([0, 5000, 3000, null, 6000, 99_000, 7000], 60_000)).toEqual([
    { index: 2, at: 3000, kind: 'backwards' },
    { index: 5, at: 99_000, kind: 'past-end' },
  ]);
  expect(timeFaults([0, 99_000], null)).toEqual([]);
});

test('words taken elsewhere are no turns, and their times are set anew there', () => {
  const taken = apartFromRecording(
    doc({
      type: 'turn',
      attrs: { speaker: 'w', at: 5 },
      content: [
        { type: 'text', text: 'so ', marks: [{ type: 'heard', attrs: { at: 5 } }, { type: 'bold' }] },
        { type: 'timeCode', attrs: { at: 9, unclear: true, text: '00:00:09' } },
      ],
    }),
  );
  expect(taken.content).toEqual([
    {
      type: 'paragraph',
      content: [
        { type: 'text', text: 'so ', marks: [{ type: 'bold' }] },
        { type: 'timeCode', attrs: { at: null, unclear: true, text: '' } },
      ],
    },
  ]);
  const plain = doc(p('Nothing of the kind.'));
  expect(apartFromRecording(plain)).toEqual(plain);
});
