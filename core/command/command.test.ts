import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { commandInWords, pairIn, readCommand, touched } from '.';

test.each([
  ['a //erase', 'Delete one word back'],
  ['a //e', 'Delete one word back'],
  ['a //e.2.words', 'Delete 2 words back'],
  ['//m.3.sen.ah', 'Select 3 sentences ahead'],
  ['//go.p.up', 'Go one paragraph up'],
  ['//e.s.st', 'Delete to the start of the sentence'],
  ['//Copy.Paragraph.End', 'Copy to the end of the paragraph'],
  ['//swap', 'Swap the two words before the cursor'],
  ['//j.p', 'Join this paragraph to the one before'],
  ['//pa', 'Paste what was copied last'],
  ['//paste.w', null],
  // Which of several is meant cannot be told.
  ['//c', null],
  ['//e.2.l', null],
  ['//x', null],
  ['//e.2x', null],
  ['e.2.w', null],
  ['//e ', null],
  // Within a word it is text: an address, a folder.
  ['http://e', null],
  ['a//e', null],
])('%j: %s', (line, words) => {
  const command = readCommand(line, '//');
  expect(command && commandInWords(command)).toBe(words);
});

test('the lead-in is one’s own; without one there are no commands', () => {
  expect(readCommand('Files are in C:\\d', '')).toBeNull();
  expect(readCommand('//erase', '')).toBeNull();
  expect(readCommand('see !erase', '!')?.length).toBe(6);
});

/** A text of paragraphs with the caret as a bar; what a command touches, in brackets. */
function shown(text: string, typed: string): string | null {
  const blocks = text.split('\n\n');
  const block = blocks.findIndex((one) => one.includes('|'));
  const caret = { block, offset: blocks[block]!.indexOf('|') };
  blocks[block] = blocks[block]!.replace('|', '');
  const range = touched(blocks, caret, readCommand(typed, '//')!);
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
    ['It was weighed and fed|.', '//e.2', 'It was weighed [and fed].'],
    ['It was weighed and fed.|', '//e.2', 'It was weighed [and fed.]'],
    ['It was| weighed.', '//e.ah', 'It was[ weighed].'],
    ['It was wei|ghed.', '//e.w.end', 'It was wei[ghed].'],
    ['It ate. It sle|pt well.', '//e.s.st', 'It ate. [It sle]pt well.'],
    ['It ate. It sle|pt well.', '//e.s.end', 'It ate. It sle[pt well.]'],
    ['One.\n\nTwo.|', '//m.2', '[One.\n\nTwo.]'],
    ['One.\n\nTwo.|', '//e.p.up', 'One.\n\n[Two.]'],
    ['a\nbc|d', '//e.li.st', 'a\n[bc]d'],
    ['swap two words| here', '//s', 'swap [two words] here'],
    ['one|', '//s', null],
    ['abc|', '//e.2.le', 'a[bc]'],
    ['One.\n\nTw|o.', '//j.p', '[One.\n\nTwo.]'],
    ['One|', '//j.p', null],
    ['a|', '//e.99', '[a]'],
    ['don’t well-known|', '//e', 'don’t [well-known]'],
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
        fc.constantFrom('go', 'mark', 'copy', 'cut', 'erase', 'capital'),
        fc.nat(4),
        fc.constantFrom('letter', 'word', 'sentence', 'line', 'paragraph'),
        fc.constantFrom('back', 'ahead', 'up', 'down', 'start', 'end'),
      )
      .map((parts) => `//${parts.join('.')}`);
    fc.assert(
      fc.property(text, fc.nat(), fc.nat(), typed, (blocks, a, b, line) => {
        const block = a % blocks.length;
        const caret = { block, offset: b % (blocks[block]!.length + 1) };
        const { from, to } = touched(blocks, caret, readCommand(line, '//')!)!;
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
