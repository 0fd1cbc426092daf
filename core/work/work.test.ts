import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { DETAILS } from '#core/record';
import { KIND_IDS, kindOf, KINDS, titleFromText } from '.';

test('every kind has a name of its own for its work and its cases, and asks for details that there are, each once', () => {
  const kinds = KIND_IDS.map((id) => KINDS[id]);
  expect(new Set(kinds.map(({ work }) => work)).size).toBe(kinds.length);
  expect(new Set(kinds.map(({ caseName }) => caseName)).size).toBe(kinds.length);
  const known = new Set<string>(DETAILS.map(({ path }) => path));
  for (const { details } of kinds) {
    expect(details.filter((path) => !known.has(path))).toEqual([]);
    expect(new Set(details).size).toBe(details.length);
  }
});

test('a kind that is not registered is none', () => {
  expect([kindOf('reply'), kindOf('batch-of-2030')]).toEqual([KINDS.reply, null]);
});

describe('the title of a leaf that was given none', () => {
  test.each([
    ['', null],
    ['  \n ', null],
    ['...', null],
    ['Rang the vet. She comes at noon.', 'Rang the vet'],
    ['Is it so? It is.', 'Is it so?'],
    ['One line\nand another', 'One line and another'],
    ['Fed 1.5 ml of milk', 'Fed 1.5 ml of milk'],
    [
      'Today the whole ward was moved to the other side of the yard because of the roof',
      'Today the whole ward was moved to the other side of the …',
    ],
  ])('%j is called %j', (text, title) => {
    expect(titleFromText(text)).toBe(title);
  });

  test('it is never long, never empty, and made of what is written', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 300 }), (text) => {
        const title = titleFromText(text);
        if (title === null) return;
        expect(title.length).toBeLessThanOrEqual(62);
        expect(title.trim()).not.toBe('');
        expect(text.replace(/\s+/g, ' ')).toContain(title.replace(/ …$/, ''));
      }),
    );
  });
});
