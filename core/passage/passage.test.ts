import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  excerpt,
  followCase,
  isSafeLink,
  joinAtCaret,
  joinOf,
  type Join,
  LIMITS,
  PassageSchema,
  plainPassage,
  plainText,
  textOfInlines,
  tidyInlines,
  trimEdges,
  type Block,
  type Inline,
  type Passage,
} from './index';

const doc = (...content: unknown[]) => ({ type: 'doc', content });
const paragraph = (...content: Inline[]): Block => ({ type: 'paragraph', content });
const text = (words: string, ...marks: ('bold' | 'code')[]): Inline =>
  marks.length
    ? { type: 'text', text: words, marks: marks.map((type) => ({ type })) }
    : { type: 'text', text: words };

describe('a passage from outside', () => {
  test('what is not part of the model is dropped', () => {
    const pasted = doc({
      type: 'paragraph',
      attrs: { class: 'x' },
      content: [{ ...text('a'), style: 'red' }],
    });
    expect(PassageSchema.parse(pasted)).toEqual(doc(paragraph(text('a'))));
  });

  const nested = (depth: number) => {
    let block: unknown = { type: 'paragraph' };
    for (let level = 0; level < depth; level += 1) block = { type: 'blockquote', content: [block] };
    return block;
  };
  const link = (href: string) => ({ type: 'text', text: 'x', marks: [{ type: 'link', attrs: { href } }] });
  test.each([
    ['no document', { type: 'paragraph' }],
    ['a foreign block', doc({ type: 'iframe' })],
    ['a script for a link', doc({ type: 'paragraph', content: [link('javascript:alert(1)')] })],
    [
      'an address of another site without its protocol',
      doc({ type: 'paragraph', content: [link('//x.example')] }),
    ],
    ['too deep', doc(nested(5000))],
    ['too long', doc(paragraph(text('x'.repeat(LIMITS.characters + 1))))],
    ['too many', doc(...Array.from({ length: LIMITS.nodes + 1 }, () => ({ type: 'paragraph' })))],
  ])('is refused: %s', (_what, value) => {
    expect(PassageSchema.safeParse(value).success).toBe(false);
  });
});

describe('joining at the cursor', () => {
  test.each([
    ['Seen.', 'It ate.', '', 'Seen. It ate.'],
    ['Seen. ', 'It ate.', '', 'Seen. It ate.'],
    ['', ' It ate.', '', 'It ate.'],
    ['(', 'it ate', ')', '(it ate)'],
    ['It', 'ate', 'well', 'It ate well'],
    ['It', 'ate', ', then slept', 'It ate, then slept'],
    ['“', 'Yes', '”', '“Yes”'],
    ['half-', 'hourly', '', 'half-hourly'],
  ])('%j + %j + %j', (before, words, after, expected) => {
    expect(before + plainText(joinAtCaret(plainPassage(words), before, after)) + after).toBe(expected);
  });

  test.each<[string, string, string, Join, boolean, string]>([
    ['bandag', 'ing', '', 'words', true, 'bandaging'],
    ['2026_11_26', '-Marsh', '', 'closely', false, '2026_11_26-Marsh'],
    ['2026_11_26', '-Marsh', '_bill', 'closely', false, '2026_11_26-Marsh_bill'],
    ['Seen', ' it.', '.', 'as-is', false, 'Seen it..'],
    ['bandag', 'ing', 'today', 'words', true, 'bandaging today'],
  ])('%j + %j + %j joins %s, within a word %s', (before, words, after, join, inWord, expected) => {
    const joined = joinAtCaret(plainPassage(words), before, after, join, inWord);
    expect(before + plainText(joined) + after).toBe(expected);
  });

  test.each<[string, Join]>([
    ['-Marsh', 'closely'],
    ['_Water_bill', 'closely'],
    ['2026/', 'closely'],
    ['It ate.', 'words'],
    ['- a dash, then words', 'words'],
    ['well', 'words'],
    ['2026-11-26', 'words'],
  ])('%s joins by itself: %s', (words, join) => {
    expect(joinOf(plainPassage(words))).toBe(join);
  });

  test('what joins as it is comes back as the same object', () => {
    const passage = plainPassage('It ate.');
    expect(joinAtCaret(passage, 'Seen. ', '')).toBe(passage);
  });
});

describe('tidying static words', () => {
  test.each([
    ['It  ate ,then slept .', 'It ate, then slept.'],
    ['1,000 ml at 10.30', '1,000 ml at 10.30'],
    ['www.hollin.example/a;b', 'www.hollin.example/a;b'],
    ['well,then', 'well, then'],
  ])('%j', (words, expected) => {
    expect(tidyInlines([text(words)])).toEqual([text(expected)]);
  });

  test('code is left alone, and tidying twice changes nothing more', () => {
    const code = [text('a  ,b', 'code')];
    expect(tidyInlines(code)).toBe(code);
    const unit = fc.constantFrom(' ', ',', '.', ';', 'a', 'B', '1', '!');
    fc.assert(
      fc.property(fc.array(fc.string({ unit, minLength: 1, maxLength: 8 }), { maxLength: 4 }), (runs) => {
        const once = tidyInlines(runs.map((run) => text(run)));
        expect(tidyInlines(once)).toEqual(once);
        const letters = (line: readonly Inline[]) => textOfInlines(line).replace(/[^\p{L}\p{N}]/gu, '');
        expect(letters(once)).toBe(letters(runs.map((run) => text(run))));
      }),
    );
  });
});

const blank = (form: string): Inline =>
  ({ type: 'blank', attrs: { field: 'f', form, placement: null } }) as unknown as Inline;

describe('the case a cue was typed in', () => {
  test.each<[Inline[], Inline[]]>([
    [
      [text('it ate.'), text(' it slept.')],
      [text('It ate.'), text(' it slept.')],
    ],
    [[text('“it ate”')], [text('“It ate”')]],
    [
      [text('('), text('it', 'bold'), text(' ate)')],
      [text('('), text('It', 'bold'), text(' ate)')],
    ],
    // In another case a unit would be another unit.
    [[text('2 mg given')], [text('2 mg given')]],
    [[text('½ ml more')], [text('½ ml more')]],
    [
      [blank('as-is'), text(' ate.')],
      [blank('capital'), text(' ate.')],
    ],
    [
      [text('“'), blank('as-is')],
      [text('“'), blank('capital')],
    ],
    [
      [blank('article'), text(' was seen')],
      [blank('article'), text(' was seen')],
    ],
    [
      [{ type: 'hardBreak' }, text('ate')],
      [{ type: 'hardBreak' }, text('ate')],
    ],
    [[], []],
  ])('a capital: %j', (line, expected) => {
    const passage = { type: 'doc', content: [paragraph(...line)] } as Passage;
    expect(followCase(passage, 'capital').content).toEqual([paragraph(...expected)]);
  });

  test('of several lines the first that has words gets the capital; capitals go through all; as it is, nothing', () => {
    const passage = {
      type: 'doc',
      content: [paragraph(), paragraph(text('one')), paragraph(text('two'), blank('as-is'))],
    } as Passage;
    expect(plainText(followCase(passage, 'capital'))).toBe('\n\nOne\n\ntwo');
    expect(followCase(passage, 'upper').content.at(-1)).toEqual(paragraph(text('TWO'), blank('upper')));
    expect(followCase(passage, 'as-is')).toBe(passage);
  });
});

test.each([
  ['It ate well today.', 40, 'It ate well today.'],
  ['It ate well today.', 10, 'It ate…'],
  ['Otorhinolaryngologist', 10, 'Otorhinola…'],
  ['A otorhinolaryngologist', 10, 'A otorhino…'],
  ['', 5, ''],
])('an excerpt of %j in %d letters', (words, length, expected) => {
  expect(excerpt(plainPassage(words), length)).toBe(expected);
});

test.each([
  ['https://hollin.example/owls', true],
  ['mailto:desk@hollin.example', true],
  ['tel:+440000000', true],
  ['javascript:alert(1)', false],
  [' javascript:alert(1)', false],
  ['JaVaScRiPt:alert(1)', false],
  ['data:text/html,x', false],
  ['//hollin.example', false],
  [`https://hollin.example/${'a'.repeat(2000)}`, false],
])('whether %j may be followed: %s', (href, safe) => {
  expect(isSafeLink(href)).toBe(safe);
});

test('captured words lose stray paragraph ends and leaking bold, and keep wanted spaces and breaks', () => {
  const caught = doc(
    { type: 'paragraph' },
    paragraph(text('Dose:', 'bold'), text(' ', 'bold')),
    paragraph(text('a\tb'), { type: 'hardBreak' }, text('c ')),
    { type: 'paragraph' },
  ) as Passage;
  expect(trimEdges(caught)).toEqual(
    doc(
      paragraph(text('Dose:', 'bold'), text(' ')),
      paragraph(text('a\tb'), { type: 'hardBreak' }, text('c ')),
    ),
  );
});

test('plain text becomes a passage and comes back the same', () => {
  const line = fc.string({ unit: fc.constantFrom('a', ' ', 'é', '-', '\t'), minLength: 1, maxLength: 6 });
  const paragraphs = fc.array(fc.array(line, { minLength: 1, maxLength: 3 }), { minLength: 1, maxLength: 4 });
  fc.assert(
    fc.property(paragraphs, (given) => {
      const words = given.map((lines) => lines.join('\n')).join('\n\n');
      expect(plainText(plainPassage(words))).toBe(words);
    }),
  );
});
