import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { commandInWords, pairIn, readCommand, touched } from '.';

test.each([
  ['a \\d', 'Delete one word to the left'],
  ['a\\d2wl', 'Delete 2 words to the left'],
  ['\\s3sr', 'Select 3 sentences to the right'],
  ['\\mpu', 'Move one paragraph up'],
  ['\\dsa', 'Delete to the start of the sentence'],
  ['\\cpz', 'Copy to the end of the paragraph'],
  ['\\w', 'Swap the two words before the caret'],
  ['\\jp', 'Join this paragraph to the one before'],
  ['\\v', 'Paste what was copied last'],
  ['\\vw', null],
  ['\\q', null],
  ['\\d2x', null],
  ['d2w', null],
  ['\\d ', null],
])('%j: %s', (line, words) => {
  const command = readCommand(line);
  expect(command && commandInWords(command)).toBe(words);
});

/** A text of paragraphs with the caret as a bar; what a command touches, in brackets. */
function shown(text: string, typed: string): string | null {
  const blocks = text.split('\n\n');
  const block = blocks.findIndex((one) => one.includes('|'));
  const caret = { block, offset: blocks[block]!.indexOf('|') };
  blocks[block] = blocks[block]!.replace('|', '');
  const range = touched(blocks, caret, readCommand(typed)!);
  if (!range) return null;
  const { from, to } = range;
  const put = (at: typeof from, sign: string) => {
    blocks[at.block] = blocks[at.block]!.slice(0, at.offset) + sign + blocks[at.block]!.slice(at.offset);
  };
  put(to, ']');
  put(from, '[');
  return blocks.join('\n\n');
}

describe('what is touched', () => {
  test.each([
    ['It was weighed and fed|.', '\\d2', 'It was weighed [and fed].'],
    ['It was weighed and fed.|', '\\d2', 'It was weighed [and fed.]'],
    ['It was| weighed.', '\\dr', 'It was[ weighed].'],
    ['It was wei|ghed.', '\\dwz', 'It was wei[ghed].'],
    ['It ate. It sle|pt well.', '\\dsa', 'It ate. [It sle]pt well.'],
    ['It ate. It sle|pt well.', '\\dsz', 'It ate. It sle[pt well.]'],
    ['One.\n\nTwo.|', '\\s2', '[One.\n\nTwo.]'],
    ['One.\n\nTwo.|', '\\dpu', 'One.\n\n[Two.]'],
    ['a\nbc|d', '\\dna', 'a\n[bc]d'],
    ['swap two words| here', '\\w', 'swap [two words] here'],
    ['one|', '\\w', null],
    ['abc|', '\\d2l', 'a[bc]'],
    ['One.\n\nTw|o.', '\\jp', '[One.\n\nTwo.]'],
    ['One|', '\\jp', null],
    ['a|', '\\d99', '[a]'],
    ['don’t well-known|', '\\d', 'don’t [well-known]'],
  ])('%j %s', (text, typed, expected) => {
    expect(shown(text, typed)).toBe(expected);
  });

  test('is a stretch of the text that has the caret at one of its ends, for all that go from it', () => {
    const text = fc.array(
      fc.string({ unit: fc.constantFrom('a', 'b', ' ', '.', '\n', 'é', '-'), maxLength: 12 }),
      { minLength: 1, maxLength: 3 },
    );
    const typed = fc
      .tuple(
        fc.constantFrom(...'mscxdu'),
        fc.nat(4),
        fc.constantFrom(...'lwsnp'),
        fc.constantFrom(...'lrudaz'),
      )
      .map(([verb, count, unit, way]) => `\\${verb}${count}${unit}${way}`);
    fc.assert(
      fc.property(text, fc.nat(), fc.nat(), typed, (blocks, a, b, line) => {
        const block = a % blocks.length;
        const caret = { block, offset: b % (blocks[block]!.length + 1) };
        const { from, to } = touched(blocks, caret, readCommand(line)!)!;
        expect([JSON.stringify(from), JSON.stringify(to)]).toContain(JSON.stringify(caret));
        expect(from.block < to.block || (from.block === to.block && from.offset <= to.offset)).toBe(true);
        for (const place of [from, to]) expect(place.offset).toBeLessThanOrEqual(blocks[place.block]!.length);
      }),
    );
  });
});

test('the pair that is swapped or joined', () => {
  expect(pairIn('two, words', 'word')).toEqual({ first: { from: 0, to: 3 }, second: { from: 5, to: 10 } });
  expect(pairIn('It ate. It slept.', 'sentence')).toMatchObject({ first: { to: 7 }, second: { from: 8 } });
  expect(pairIn('alone', 'word')).toBeNull();
});
