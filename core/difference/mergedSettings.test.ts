import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { mergedSettings } from './mergedSettings';

test('two changes made one hold both of them, whichever is called mine; what both changed otherwise is not guessed', () => {
  const settings = fc.record({ a: fc.nat(2), b: fc.nat(2), c: fc.nat(2) });
  fc.assert(
    fc.property(settings, settings, settings, (base, mine, theirs) => {
      const merged = mergedSettings(mine, base, theirs);
      expect(mergedSettings(theirs, base, mine)).toEqual(merged);
      for (const key of ['a', 'b', 'c'] as const) {
        if (merged === null) continue;
        const wanted = mine[key] === base[key] ? theirs[key] : mine[key];
        expect(merged[key]).toBe(wanted);
      }
      const clash = (['a', 'b', 'c'] as const).some(
        (key) => mine[key] !== base[key] && theirs[key] !== base[key] && mine[key] !== theirs[key],
      );
      expect(merged === null).toBe(clash);
    }),
  );
});

test('of a setting that has parts each part is one of its own', () => {
  const base = { style: { spaces: 'kept', capitals: 'kept' }, folder: '' };
  const styled = (style: Partial<typeof base.style>) => ({ ...base, style: { ...base.style, ...style } });
  const [hyphens, small] = [styled({ spaces: 'hyphens' }), styled({ capitals: 'lower' })];
  expect(mergedSettings(hyphens, base, small)).toEqual(styled({ spaces: 'hyphens', capitals: 'lower' }));
  expect(mergedSettings(hyphens, base, styled({ spaces: 'underscores' }))).toBeNull();
  // Of another kind altogether: parts of both would be neither.
  const other = { ...base, style: { pattern: 'x' } };
  expect(mergedSettings(hyphens, base, other as never)).toBeNull();
});

describe('lists, item by item', () => {
  const rule = (id: string, words = id) => ({ id, words });
  const [a, b, c] = [rule('a'), rule('b'), rule('c')];
  const merged = (base: unknown[], mine: unknown[], theirs: unknown[]) =>
    mergedSettings({ list: mine }, { list: base }, { list: theirs })?.list ?? null;
  test.each<[string, unknown[], unknown[], unknown[], unknown[] | null]>([
    [
      'each changed another',
      [a, b],
      [rule('a', 'A'), b],
      [a, rule('b', 'B')],
      [rule('a', 'A'), rule('b', 'B')],
    ],
    ['each added one at the end', [a], [a, b], [a, c], [a, c, b]],
    ['both began an empty list', [], [a], [b], [b, a]],
    ['both added the same', [a], [a, b], [a, b], [a, b]],
    ['one changed and one added', [a], [rule('a', 'A')], [a, b], [rule('a', 'A'), b]],
    ['one changed and one added further on', [a, b], [rule('a', 'A'), b], [a, b, c], [rule('a', 'A'), b, c]],
    ['one took out what the other left', [a, b, c], [b, c], [a, b, c, rule('d')], [b, c, rule('d')]],
    ['one took out what the other changed', [a, b], [b], [rule('a', 'A'), b], null],
    ['both changed one, differently', [a], [rule('a', 'A')], [rule('a', 'Ah')], null],
    ['both added one of the same id', [], [rule('r1', 'mine')], [rule('r1', 'theirs')], null],
    ['words alone', ['x'], ['x', 'mine'], ['theirs', 'x'], ['theirs', 'x', 'mine']],
  ])('%s', (_name, base, mine, theirs, wanted) => {
    expect(merged(base, mine, theirs)).toEqual(wanted);
  });

  test('nothing that either of the two added is lost, nothing comes in that neither had', () => {
    const list = fc.uniqueArray(fc.nat(9), { maxLength: 6 });
    fc.assert(
      fc.property(list, list, list, (base, mine, theirs) => {
        const both = merged(base, mine, theirs);
        if (both === null) return;
        for (const one of [...mine, ...theirs]) if (!base.includes(one)) expect(both).toContain(one);
        for (const one of both) expect([...mine, ...theirs]).toContain(one);
      }),
    );
  });
});
