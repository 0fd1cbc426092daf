import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Block } from '#core/passage';
import { MOST_SPEAKERS, withSpeaker, type Speaker } from './cast';
import { TooManySpeakers } from './fromLines';
import { asOwnWords, castTogether, insertionsOf } from './together';

const turn = (at: number | null, text: string, speaker = 'a'): Block => ({
  type: 'turn',
  attrs: { speaker, at },
  content: [{ type: 'text', text }],
});
const line = (text: string): Block => ({ type: 'paragraph', content: [{ type: 'text', text }] });
const wordsOf = (block: Block) => JSON.stringify(block);

/** One's own text with all of the other's that was not in it. */
function together(mine: readonly Block[], theirs: readonly Block[]): Block[] {
  const all = [...mine];
  for (const { before, blocks } of insertionsOf(mine, theirs).toReversed()) all.splice(before, 0, ...blocks);
  return all;
}
const told = (blocks: readonly Block[]) =>
  blocks.map((block) => ('content' in block ? (block.content as { text: string }[])[0]!.text : ''));

describe('two parts of a recording', () => {
  test('go together by time, each with the lines behind it; of the same time one’s own come first', () => {
    const mine = [line('head'), turn(0, 'm0'), line('m0b'), turn(20, 'm20'), turn(null, 'm20b')];
    const theirs = [turn(10, 't10'), line('t10b'), turn(20, 't20'), turn(30, 't30')];
    expect(told(together(mine, theirs))).toEqual([
      ...['head', 'm0', 'm0b', 't10', 't10b', 'm20', 'm20b', 't20', 't30'],
    ]);
  });

  test('what is in it already is not put in twice; what was changed since is put beside it', () => {
    const mine = [turn(0, 'm0')];
    const once = together(mine, [turn(10, 't10')]);
    expect(told(together(once, [turn(10, 't10')]))).toEqual(['m0', 't10']);
    expect(told(together(once, [turn(10, 'T10')]))).toEqual(['m0', 't10', 'T10']);
  });

  test('into an empty leaf, and an empty one into it', () => {
    expect(told(together([{ type: 'paragraph' }], [turn(5, 't5')]))).toEqual(['', 't5']);
    expect(insertionsOf([turn(5, 'm5')], [{ type: 'paragraph' }])).toEqual([]);
  });

  const block = fc.oneof(
    fc
      .tuple(fc.option(fc.nat(9), { nil: null }), fc.stringMatching(/^[a-f]{1,3}$/))
      .map(([at, text]) => turn(at, text)),
    fc.stringMatching(/^[a-f]{1,3}$/).map(line),
  );
  const blocks = fc.array(block, { minLength: 1, maxLength: 12 });

  test('nothing is lost, one’s own order stays, and a second time there is nothing to do', () => {
    fc.assert(
      fc.property(blocks, blocks, (mine, theirs) => {
        const all = together(mine, theirs);
        let at = 0;
        for (const own of mine) {
          at = all.indexOf(own, at);
          expect(at).toBeGreaterThanOrEqual(0);
          at += 1;
        }
        const words = new Set(all.map(wordsOf));
        for (const their of theirs) expect(words.has(wordsOf(their))).toBe(true);
      }),
    );
  });

  test('parts that are in order of time are so together', () => {
    const inOrder = fc
      .uniqueArray(fc.nat(500), { minLength: 1, maxLength: 12 })
      .map((times) => times.sort((a, b) => a - b).map((at) => turn(at, `w${at}`)));
    fc.assert(
      fc.property(inOrder, inOrder, (mine, theirs) => {
        const times = together(mine, theirs).map((one) => (one.type === 'turn' ? one.attrs.at! : 0));
        expect(times).toEqual(times.toSorted((a, b) => a - b));
        expect(insertionsOf(together(mine, theirs), theirs)).toEqual([]);
      }),
    );
  });
});

test('speakers are the same by name, others are added with what is free', () => {
  const mine = withSpeaker([], 'w', 'Wilf Ambry');
  const theirs = withSpeaker(withSpeaker([], 'x', 'wilf ambry'), 'y', 'Wynn Arkell', 'ferryman');
  const { cast, here } = castTogether(mine, theirs, () => 'new');
  expect(cast.map(({ id, name, initials, role }) => [id, name, initials, role])).toEqual([
    ['w', 'Wilf Ambry', 'WA', ''],
    ['new', 'Wynn Arkell', 'WAr', 'ferryman'],
  ]);
  expect([...here]).toEqual([
    ['x', 'w'],
    ['y', 'new'],
  ]);
  let full: Speaker[] = [];
  for (let at = 0; at < MOST_SPEAKERS; at += 1) full = withSpeaker(full, `${at}`, `Warden ${at}`);
  expect(() => castTogether(full, theirs, () => 'new')).toThrow(TooManySpeakers);
});

test('answers are words in another’s text; times, looks and what is heard stay', () => {
  const attrs = {
    field: 'f',
    form: 'as-is',
    placement: 'p',
    text: '512 g',
    state: 'answered',
    dropped: 'none',
  } as const;
  const time = { type: 'timeCode' as const, attrs: { at: 5, unclear: true, text: '0:05' } };
  const content: Block[] = [
    {
      type: 'turn',
      attrs: { speaker: 'a', at: 0 },
      content: [
        {
          type: 'text',
          text: 'It is ',
          marks: [{ type: 'placed', attrs: { placement: 'p' } }, { type: 'bold' }],
        },
        { type: 'blank', attrs },
        { type: 'caretMark' },
        time,
        { type: 'text', text: 'so', marks: [{ type: 'heard', attrs: { at: 9 } }, { type: 'disfluency' }] },
      ],
    },
  ];
  expect(asOwnWords({ type: 'doc', content }).content).toEqual([
    {
      type: 'turn',
      attrs: { speaker: 'a', at: 0 },
      content: [
        { type: 'text', text: 'It is ', marks: [{ type: 'bold' }] },
        { type: 'text', text: '512 g' },
        time,
        { type: 'text', text: 'so', marks: [{ type: 'heard', attrs: { at: 9 } }, { type: 'disfluency' }] },
      ],
    },
  ]);
});
