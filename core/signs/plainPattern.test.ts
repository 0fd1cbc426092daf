import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { RE2JS } from 're2js';
import { plainPattern } from './plainPattern';

/** What RE2 finds, and what stands for it. */
function byRe2(pattern: string, text: string): [number, string][] {
  const matcher = RE2JS.compile(pattern, RE2JS.CASE_INSENSITIVE).matcher(text);
  const found: [number, string][] = [];
  while (matcher.find()) if (matcher.end() > matcher.start()) found.push([matcher.start(), matcher.group()!]);
  return found;
}
const byPlain = (pattern: RegExp, text: string): [number, string][] =>
  [...text.matchAll(pattern)].filter(([match]) => match !== '').map(({ 0: match, index }) => [index, match]);

describe('a plain pattern', () => {
  test.each([
    ['\\b(a|one) of the\\b'],
    ['very \\w+'],
    ['\\d+(?:\\.\\d{1,2})? ?%'],
    ['[A-Z][a-z]{2,8} et al\\.'],
    ['it is (clear|obvious)'],
    ['\\p{Lu}\\p{Ll}+'],
    ['“[^”]{1,20}”'],
    ['a\\sb|a.b'],
  ])('%s finds what RE2 finds', (pattern) => {
    const plain = plainPattern(pattern);
    const text =
      'One of the VERY old, very\u00a0new “walls” is 12.50 % high; Holt et al. say it is Clear. A b a\rb a\u00a0b a\nb Œuvre Dŵr';
    expect(plain).not.toBeNull();
    expect(byPlain(plain!, text)).toEqual(byRe2(pattern, text));
    expect(byRe2(pattern, text).length).toBeGreaterThan(0);
  });

  test.each([
    ['a repeated group', '(\\w+ )+x'],
    ['two repetitions without an end', '\\w+ \\w+'],
    ['many with one', 'a?b?c?d?e?f'],
    ['a long one', '\\w{1,400}'],
    ['flags', '(?i)tide'],
    ['a class of POSIX', '[[:alpha:]]x'],
    ['what is quoted', '\\Qa+b\\E'],
    ['ends of the text', '\\Atide\\z'],
    ['a sign of another meaning in a class', '[\\b]'],
  ])('is none with %s: it is left to RE2', (_what, pattern) => {
    expect(plainPattern(pattern)).toBeNull();
  });

  const atom = fc.constantFrom(
    'a',
    'B',
    '.',
    '\\w',
    '\\d',
    '\\s',
    '\\S',
    '[a-c]',
    '[^b\\s]',
    '\\b',
    '(a|bc)',
    '(?:b|)',
    '\\.',
    'ſ',
    'K',
  );
  const repeated = fc.constantFrom('', '', '', '?', '*', '+', '{2}', '{1,3}', '+?', '{1,}');
  const pattern = fc
    .array(fc.tuple(atom, repeated), { minLength: 1, maxLength: 5 })
    .map((parts) => parts.map((part) => part.join('')).join(''));
  const text = fc.string({
    unit: fc.constantFrom('a', 'b', 'c', 'A', 'B', ' ', '.', '\u00a0', '\r', '\n', '7', 'é'),
    maxLength: 30,
  });

  test('of any sort finds what RE2 finds', () => {
    fc.assert(
      fc.property(pattern, text, (made, words) => {
        const plain = plainPattern(made);
        fc.pre(plain !== null);
        expect(byPlain(plain, words)).toEqual(byRe2(made, words));
      }),
      { numRuns: 2000 },
    );
  });
});
