import { describe, expect, test } from '@jest/globals';
import type { Block } from '#core/passage';
import {
  fromLabelled,
  fromLines,
  fromSrt,
  fromVtt,
  MOST_SPEAKERS,
  TooManySpeakers,
  turnsOf,
  withSpeaker,
  wordsOfTurn,
  type Speaker,
  type TimedText,
} from '.';

const told = ({ lines }: TimedText) =>
  lines.map(
    ({ from, to, voice, spans }) =>
      `${from}-${to} ${voice ?? '-'}: ${spans.map(({ text }) => text).join('|')}`,
  );
let made = 0;
const taken = (text: TimedText, cast: readonly Speaker[] = []) =>
  fromLines(text.lines, cast, () => `new-${(made += 1)}`);
/** The turns of what was taken in, by the names of the speakers. */
function turnsTold(text: TimedText, cast: readonly Speaker[] = []): string[] {
  const { content, cast: all } = taken(text, cast);
  const names = new Map(all.map(({ id, name }) => [id, name]));
  return turnsOf({ type: 'doc', content }).map(
    (turn) => `${turn.at ?? '-'} ${names.get(turn.speaker)}: ${wordsOfTurn(turn)}`,
  );
}

describe('WebVTT', () => {
  test('voices, looks, times within, entities, cue names and settings; notes, styles and regions are no words', () => {
    const text = `\uFEFFWEBVTT - a head

NOTE made for a test

STYLE
::cue { color: red }

first
00:01.000 --> 00:03.500 align:start position:10%
<v.loud Wilf Ambry>So <i>there</i> &amp; <00:02.000>then</v>

01:00:00.000 --> 01:00:02.000
<v A>One.<v B>Two &lt;of&gt; them.
`;
    expect(told(fromVtt(text))).toEqual([
      '1000-3500 Wilf Ambry: So |there| & |then',
      '3600000-3602000 A: One.',
      '3600000-3602000 B: Two <of> them.',
    ]);
    expect(fromVtt(text).lines[0]!.spans.map(({ at, italic }) => [at, italic])).toEqual([
      [null, undefined],
      [null, true],
      [null, undefined],
      [2000, undefined],
    ]);
    expect(fromVtt(text).remarks).toEqual([]);
  });

  test.each([
    ['not WebVTT', '1\n00:00:01,000 --> 00:00:02,000\nHello', [], ['It does not begin with “WEBVTT”.']],
    ['nothing', '', [], ['It does not begin with “WEBVTT”.']],
    ['nothing but a head', 'WEBVTT', [], []],
    [
      'times that cannot be read',
      'WEBVTT\n\n00:00:01 --> 00:00:02\nLost\n\n00:01.000 --> 00:02.000\nKept',
      ['1000-2000 -: Kept'],
      ['Line 3: “00:00:01 --> 00:00:02” cannot be read as times; its words were left out.'],
    ],
    [
      'times that run backwards',
      'WEBVTT\n\n00:05.000 --> 00:04.000\nOne\n\n00:01.000 --> 00:02.000\nTwo',
      ['5000-5000 -: One', '1000-2000 -: Two'],
      [
        'Line 3: it ends before it begins. Its words are kept.',
        'Line 6: it begins before the one above it. Its words are kept.',
      ],
    ],
    ['words without a time', 'WEBVTT\n\nLost', [], ['Line 3: words without a time were left out.']],
  ])('%s', (_, text, lines, remarks) => {
    expect(told(fromVtt(text))).toEqual(lines);
    expect(fromVtt(text).remarks).toEqual(remarks);
  });
});

describe('SubRip', () => {
  test('with and without numbers, with a point, with looks, with a line of digits', () => {
    const text =
      '1\r\n00:00:01,000 --> 00:00:02,500\r\n<b>The year</b>\r\n1953\r\n\r\n2\r\n00:00:03.000 --> 00:00:04.000 X1:10\r\n{\\an8}water <font color="red">came</font>\r\n';
    expect(told(fromSrt(text))).toEqual(['1000-2500 -: The year| 1953', '3000-4000 -: water |came']);
    expect(told(fromSrt('00:00:01,000 --> 00:00:02,000\n1953\n00:00:03,000 --> 00:00:04,000\nEnd'))).toEqual([
      '1000-2000 -: 1953',
      '3000-4000 -: End',
    ]);
  });

  test('a time that cannot be read is told, and takes nothing else with it', () => {
    const { remarks, lines } = fromSrt(
      '1\n00:xx --> 00:00:02,000\nLost\n\n2\n00:00:03,000 --> 00:00:04,000\nKept\n',
    );
    expect(remarks).toEqual([
      'Line 2: “00:xx --> 00:00:02,000” cannot be read as times; its words were left out.',
    ]);
    expect(lines).toHaveLength(1);
  });
});

describe('a text with labels', () => {
  test.each([
    ['a tab', 'RP\tAnd then?\nWA\tHe went.\nRP\tAnd?', ['- RP: And then?', '- WA: He went.', '- RP: And?']],
    [
      'a colon and times',
      '[00:00:01] Ruan Pellow: And then?\n\n[00:00:05] Wilf Ambry: He went.\nHe counted.\n\n00:01:05 Ruan Pellow: And?',
      [
        '1000 Ruan Pellow: And then?',
        '5000 Wilf Ambry: He went.',
        '- Wilf Ambry: He counted.',
        '65000 Ruan Pellow: And?',
      ],
    ],
    [
      'a line of its own',
      'Ruan Pellow 0:01\nAnd then?\n\nWilf Ambry  0:05\nHe went.\nHe counted.\nRuan Pellow 0:12\nAnd?',
      [
        '1000 Ruan Pellow: And then?',
        '5000 Wilf Ambry: He went.',
        '- Wilf Ambry: He counted.',
        '12000 Ruan Pellow: And?',
      ],
    ],
    [
      'colons that are none',
      'He said: no.\nShe asked: why?',
      ['- Speaker 1: He said: no.', '- Speaker 1: She asked: why?'],
    ],
    [
      'whoever speaks but once, where others have labels',
      'A: Yes.\nB: No.\nA: Yes.\nNesta: Come in.',
      ['- A: Yes.', '- B: No.', '- A: Yes.', '- Nesta: Come in.'],
    ],
  ])('%s', (_, text, turns) => {
    expect(turnsTold(fromLabelled(text))).toEqual(turns);
  });
});

test('lines of one voice go together until a silence; those of the cast are known by name and initials', () => {
  const cast = withSpeaker([], 'w', 'Wilf Ambry');
  const text = fromSrt(
    [
      ...['1', '00:00:01,000 --> 00:00:02,000', 'WA: So there', ''],
      ...['2', '00:00:02,000 --> 00:00:03,000', 'we were.', ''],
      ...['3', '00:00:30,000 --> 00:00:31,000', 'Later.', ''],
      ...['4', '00:00:31,000 --> 00:00:32,000', 'RUAN: When?', ''],
      ...['5', '00:00:32,000 --> 00:00:33,000', 'WA: Then.', ''],
    ].join('\n'),
  );
  expect(turnsTold(text, cast)).toEqual([
    '1000 Wilf Ambry: So there we were.',
    '30000 Wilf Ambry: Later.',
    '31000 RUAN: When?',
    '32000 Wilf Ambry: Then.',
  ]);
  const [first] = taken(text, cast).content as Extract<Block, { type: 'turn' }>[];
  expect(first!.content!.map((inline) => inline.marks)).toEqual([
    [{ type: 'heard', attrs: { at: 1000 } }],
    [{ type: 'heard', attrs: { at: 2000 } }],
  ]);
});

test('as many speak as a cast can have, and no more', () => {
  const said = (count: number) =>
    fromLabelled(Array.from({ length: 2 * count }, (_, at) => `Warden ${at % count}: Yes.`).join('\n'));
  expect(taken(said(MOST_SPEAKERS)).cast).toHaveLength(MOST_SPEAKERS);
  expect(() => taken(said(MOST_SPEAKERS + 1))).toThrow(TooManySpeakers);
  const full = taken(said(MOST_SPEAKERS)).cast;
  expect(taken(said(3), full).cast).toEqual(full);
  expect(() => taken(fromLabelled('Moss: No.\nMoss: No.'), full)).toThrow(TooManySpeakers);
});
