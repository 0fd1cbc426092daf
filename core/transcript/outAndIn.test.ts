import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { parseText } from 'media-captions';
import type { Block, Passage } from '#core/passage';
import {
  fromSrt,
  fromVtt,
  subtitlesOf,
  toSrt,
  toVtt,
  turnsOf,
  USUAL_LIMITS,
  withSpeaker,
  wordsOfTurn,
} from '.';

/** Words as people say them, long ones and signs of markup among them. */
const aWord = fc.oneof(
  {
    weight: 20,
    arbitrary: fc.constantFrom(
      'so',
      'the',
      'water',
      'came',
      'up,',
      'then.',
      'Eleven!',
      'a<b',
      'R&D',
      'llanfairpwll',
    ),
  },
  { weight: 1, arbitrary: fc.constant('x'.repeat(100)) },
);
const talks = fc.array(
  fc.record({
    speaker: fc.constantFrom('a', 'b'),
    gap: fc.option(fc.integer({ min: 0, max: 20_000 })),
    words: fc.array(aWord, { minLength: 1, maxLength: 60 }),
  }),
  { maxLength: 8 },
);
const CAST = withSpeaker(withSpeaker([], 'a', 'Wilf Ambry'), 'b', 'Nesta <Marsh> & Co');
function passageOf(talk: { speaker: string; gap: number | null; words: string[] }[]): Passage {
  let at = 0;
  const content = talk.map(({ speaker, gap, words }): Block => {
    at += gap ?? 0;
    return {
      type: 'turn',
      attrs: { speaker, at: gap === null ? null : at },
      content: [{ type: 'text', text: words.join(' ') }],
    };
  });
  return { type: 'doc', content: content.length > 0 ? content : [{ type: 'paragraph' }] };
}
const bare = (text: string) => text.replace(/\s/g, '');

test('no subtitle is over its limits, begins before the one above has ended, or loses a letter', () => {
  const { lines: most, line, seconds, speed } = USUAL_LIMITS;
  fc.assert(
    fc.property(talks, fc.option(fc.integer({ min: 0, max: 200_000 })), (talk, length) => {
      const turns = turnsOf(passageOf(talk));
      const subtitles = subtitlesOf(turns, length);
      subtitles.forEach(({ from, to, lines }, at) => {
        expect(lines.length).toBeLessThanOrEqual(most);
        for (const one of lines) expect(one.length).toBeLessThanOrEqual(line);
        expect(to - from).toBeLessThanOrEqual(seconds * 1000);
        expect(lines.join(' ').length / ((to - from) / 1000)).toBeLessThanOrEqual(speed);
        expect(from).toBeGreaterThanOrEqual(subtitles[at - 1]?.to ?? 0);
      });
      expect(bare(subtitles.flatMap(({ lines }) => lines).join(''))).toBe(
        bare(turns.map(wordsOfTurn).join('')),
      );
    }),
  );
});

test('out as WebVTT and SubRip and in again, words, speakers and times are the same; a reader of others’ reads the same', async () => {
  await fc.assert(
    fc.asyncProperty(talks, async (talk) => {
      const subtitles = subtitlesOf(turnsOf(passageOf(talk)), null);
      const vtt = toVtt(subtitles, CAST);
      const read = fromVtt(vtt);
      expect(read.remarks).toEqual([]);
      expect(read.lines.map(({ from, to, voice }) => ({ from, to, voice }))).toEqual(
        subtitles.map(({ from, to, speaker }) => ({
          from,
          to,
          voice: CAST.find(({ id }) => id === speaker)!.name,
        })),
      );
      expect(read.lines.map(({ spans }) => spans.map(({ text }) => text).join(''))).toEqual(
        subtitles.map(({ lines }) => lines.join(' ')),
      );
      const others = await parseText(vtt, { type: 'vtt' });
      expect(others.errors).toEqual([]);
      expect(
        others.cues.map(({ startTime, endTime }) => [
          Math.round(startTime * 1000),
          Math.round(endTime * 1000),
        ]),
      ).toEqual(subtitles.map(({ from, to }) => [from, to]));
      const srt = fromSrt(toSrt(subtitles));
      expect(
        srt.lines.map(({ from, to, spans }) => [from, to, spans.map(({ text }) => text).join('')]),
      ).toEqual(subtitles.map(({ from, to, lines }) => [from, to, lines.join(' ')]));
    }),
    { numRuns: 50 },
  );
});

test('200 made files, some broken, are read as a reader of others’ reads them', async () => {
  const stampOf = fc.tuple(
    fc.integer({ min: 0, max: 59 }),
    fc.integer({ min: 0, max: 59 }),
    fc.integer({ min: 0, max: 999 }),
  );
  const written = stampOf.map(
    ([m, s, ms]) =>
      `${String(m).padStart(2, '0')}:${String(s).padStart(2, '0')}.${String(ms).padStart(3, '0')}`,
  );
  const time = fc.oneof(
    { weight: 8, arbitrary: written },
    { weight: 2, arbitrary: written.map((one) => `01:${one}`) },
    { weight: 1, arbitrary: fc.constantFrom('1:2', '', '00:61.000', '00:01,500') },
  );
  const payload = fc.array(
    fc.constantFrom(
      'So <b>then</b>',
      '<v Wilf>Yes.</v>',
      'a &amp; b',
      'plain',
      '<i>x',
      '<00:01.000>y',
      'NOTE',
      '<c.loud>z</c>',
    ),
    { minLength: 1, maxLength: 3 },
  );
  const cue = fc.tuple(
    fc.constantFrom('', 'name\n', '7\n'),
    time,
    time,
    fc.constantFrom('', ' align:start', ' line:0'),
    payload,
  );
  const other = fc.constantFrom(
    'NOTE a remark\nover two rows',
    'STYLE\n::cue { }',
    'REGION\nid:a',
    'words without a time',
  );
  const block = fc.oneof(
    {
      weight: 6,
      arbitrary: cue.map(
        ([id, from, to, settings, rows]) => `${id}${from} --> ${to}${settings}\n${rows.join('\n')}`,
      ),
    },
    { weight: 1, arbitrary: other },
  );
  const file = fc
    .tuple(fc.constantFrom('\n', '\r\n', '\r'), fc.array(block, { maxLength: 6 }))
    .map(([end, blocks]) => ['WEBVTT', ...blocks].join('\n\n').replaceAll('\n', end));
  await fc.assert(
    fc.asyncProperty(file, async (text) => {
      const { cues } = await parseText(text, { type: 'vtt' });
      const own = fromVtt(text).lines;
      // Of a cue with several voices there are several lines of ours; of one that ends before it begins theirs is none.
      const times = new Set(own.map(({ from }) => from));
      for (const { startTime } of cues) expect(times).toContain(Math.round(startTime * 1000));
      const ours = own.filter(({ from, to }) => to! > from!);
      const theirs = new Set(cues.map(({ startTime }) => Math.round(startTime * 1000)));
      for (const { from } of ours) expect(theirs).toContain(from);
    }),
    { numRuns: 200 },
  );
});
