import { describe, expect, test } from '@jest/globals';
import { DEFAULT_CUE_RULES, type CueRules } from '#core/cue';
import type { Field } from '#core/entry';
import { answersFromGroups } from '#core/fill';
import { compilePatterns, findPattern, patternProblem } from '.';

const compiled = (source: string, rules: Partial<CueRules> = {}) =>
  compilePatterns([
    { entry: source, typed: source, as: 'pattern', rules: { ...DEFAULT_CUE_RULES, ...rules } },
  ]);

describe('a pattern before the caret', () => {
  test.each<[string, string, Partial<CueRules>, string | null]>([
    ['fed (\\d+)g', 'It was fed 30g', {}, 'fed 30g'],
    ['fed (\\d+)g', 'It was FED 30g', {}, 'FED 30g'],
    ['fed (\\d+)g', 'It was FED 30g', { letters: 'exact' }, null],
    ['fed (\\d+)g', 'unfed 30g', {}, null],
    ['fed (\\d+)g', 'unfed 30g', { before: 'anything' }, 'fed 30g'],
    ['fed (\\d+)g', 'fed 30g of', {}, null],
    ['a|ab', 'ab', {}, 'ab'],
    ['(', 'x(', {}, null],
  ])('%s in %j', (source, line, rules, typed) => {
    expect(findPattern(compiled(source, rules), line)?.typed ?? null).toBe(typed);
  });

  test('the longest of several wins, and one that is slow elsewhere is quick', () => {
    const all = [...compiled('\\d+g'), ...compiled('fed \\d+g')];
    expect(findPattern(all, 'fed 30g')?.cue.entry).toBe('fed \\d+g');
    expect(findPattern(compiled('(a+)+b'), 'a'.repeat(5000))).toBeNull();
  });

  test('what cannot be used is told', () => {
    expect(patternProblem('(a')).toContain('missing closing )');
    expect(patternProblem('a*')).toBe('It fits where nothing is typed.');
    expect(patternProblem('(?P<Food>fish)')).toBeNull();
  });
});

test('groups answer fields: by name, the others in order; what a field cannot take is left to be asked', () => {
  const shared = { question: '', hint: '', required: true };
  const fields: Field[] = [
    {
      ...shared,
      id: 'f',
      name: 'Food given',
      kind: 'choice',
      many: false,
      join: 'and',
      options: [{ id: 'o', label: 'Fish', words: null }],
    },
    { ...shared, id: 'd', name: 'Day', kind: 'date', starting: 'none' },
    { ...shared, id: 'n', name: 'Note', kind: 'text', starting: '' },
  ];
  const clock = { today: '2026-11-25', now: '10:00' };
  const groups = [
    { name: null, text: 'fish' },
    { name: null, text: 'no day' },
    { name: 'note', text: 'ate well' },
    { name: 'gone', text: 'x' },
  ];
  expect(answersFromGroups(fields, groups, clock, 'en-GB')).toEqual({
    f: { kind: 'chosen', options: ['o'] },
    n: { kind: 'text', text: 'ate well' },
  });
});
