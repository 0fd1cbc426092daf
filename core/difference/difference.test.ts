import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { newEntry } from '#core/entry';
import { passageFrom, writeEntry } from '#core/notation';
import { anyEntry } from '#core/testing';
import { entryDifference, wordDifference, type Piece } from '.';

const SIGNS = { same: '', added: '+', dropped: '-' };
const told = (pieces: Piece[]) =>
  pieces.map(({ kind, text }) => (kind === 'same' ? text : `[${SIGNS[kind]}${text}]`)).join('');

describe('words', () => {
  test.each([
    ['the owl', 'the owl', 'the owl'],
    ['', 'an owl', '[+an owl]'],
    ['an owl', '', '[-an owl]'],
    ['weighed daily', 'weighed twice daily', 'weighed [+twice ]daily'],
    ['It was red and hot.', 'It was pale and cold.', 'It was [-red][+pale] and [-hot][+cold].'],
    ['Give 2.5 ml', 'Give 2.75 ml', 'Give [-2.5][+2.75] ml'],
    ['Weighs {Weight}.', 'Weighs {Weight; plain}.', 'Weighs [-{Weight}][+{Weight; plain}].'],
    ['the bird’s wing', 'the birds wing', 'the [-bird’s][+birds] wing'],
    ['a b c d', 'e f g h', '[-a b c d][+e f g h]'],
    ['One.\nTwo.', 'One.\nThree.\nTwo.', 'One.\n[+Three.\n]Two.'],
  ])('from “%s” to “%s”', (before, after, wanted) => {
    expect(told(wordDifference(before, after))).toBe(wanted);
  });

  const anyText = fc
    .array(fc.constantFrom('owl', 'wing', ' ', ' ', '.', '\n', '{Weight}', '3', 'é'), { maxLength: 40 })
    .map((all) => all.join(''));

  test('both texts are whole in it, and what is the same is not told as changed', () => {
    fc.assert(
      fc.property(anyText, anyText, (before, after) => {
        const pieces = wordDifference(before, after);
        const without = (kind: Piece['kind']) =>
          pieces
            .filter((piece) => piece.kind !== kind)
            .map(({ text }) => text)
            .join('');
        expect(without('added')).toBe(before);
        expect(without('dropped')).toBe(after);
        expect(pieces.every(({ text }, at) => text !== '' && pieces[at - 1]?.kind !== pieces[at]!.kind)).toBe(
          true,
        );
        if (before === after) expect(pieces.every(({ kind }) => kind === 'same')).toBe(true);
      }),
    );
  });

  test('two long texts that share nothing are told at once', () => {
    const words = (from: number) => Array.from({ length: 20_000 }, (_, at) => `w${from + at}x`).join(' ');
    expect(wordDifference(words(0), words(50_000)).map(({ kind }) => kind)).toEqual(['dropped', 'added']);
  });
});

describe('entries', () => {
  const entry = newEntry('Fluids', 'en-GB', passageFrom('Warmed fluids were given.'));

  test('differ in each of their parts, told by what it is', () => {
    const later = {
      ...entry,
      title: 'Fluids by mouth',
      cues: [{ text: 'fl' }],
      tags: ['treatment'],
      wordings: [{ ...entry.wordings[0]!, language: 'cy' }],
    };
    expect(
      entryDifference(entry, later).map(({ about, kind, pieces }) => [about, kind, told(pieces)]),
    ).toEqual([
      ['title', 'changed', 'Fluids[+ by mouth]'],
      ['tags', 'added', '[+treatment]'],
      ['cues', 'added', '[+fl]'],
      ['language', 'changed', '[-en-GB][+cy]'],
    ]);
  });

  test('any two differ where their notations do, and by no more than was changed', () => {
    const part = fc.constantFrom('title', 'purpose', 'tags', 'cues', 'wordings', 'fields', 'comment');
    fc.assert(
      fc.property(anyEntry, anyEntry, part, (one, other, changed) => {
        expect(entryDifference(one, one)).toEqual([]);
        const later = { ...one, [changed]: other[changed] };
        const differs = entryDifference(one, later);
        expect(differs.length > 0).toBe(writeEntry(one) !== writeEntry(later));
        const about = {
          wordings: ['wording', 'language', 'joins', 'page', 'short'],
          fields: ['field', 'order', 'wording', 'condition'],
        };
        const may = about[changed as 'fields'] ?? [changed];
        expect(differs.filter((change) => !may.includes(change.about))).toEqual([]);
      }),
      { numRuns: 60 },
    );
  });
});
